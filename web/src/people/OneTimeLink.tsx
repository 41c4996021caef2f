import { useState } from 'react';
import { Button } from '../ui/Button';

/** A link that is shown once, to be copied. */
export function OneTimeLink({ path, words }: { path: string; words: string }) {
  const [copied, setCopied] = useState(false);
  const address = `${window.location.origin}${path}`;
  return (
    <div
      role="status"
      className="border-line border-l-accent bg-sheet mt-2 rounded border border-l-[3px] px-3 py-2"
    >
      <p>{words}</p>
      <div className="flex flex-wrap items-center gap-3 pt-1">
        <code className="bg-sunk min-w-0 rounded px-2 py-1 font-mono break-all">{address}</code>
        <Button
          onClick={() => {
            void navigator.clipboard.writeText(address).then(() => setCopied(true));
          }}
        >
          {copied ? 'Copied' : 'Copy'}
        </Button>
      </div>
    </div>
  );
}
