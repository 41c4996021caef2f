import { useState } from 'react';
import { Button } from './Button';

/** Puts a text where it can be pasted from, and says so. */
export function CopyText({ text }: { text: string }) {
  const [copied, setCopied] = useState<string>();
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(text);
      setCopied(text);
    } catch {
      setCopied('');
    }
  };
  return (
    <>
      <Button kind="quiet" className="text-second" onClick={() => void copy()}>
        {copied === text ? 'Copied' : 'Copy as text'}
      </Button>
      {copied === '' && (
        <textarea
          readOnly
          aria-label="The text to copy"
          rows={6}
          className="bg-sunk text-second w-full rounded p-2"
          value={text}
        />
      )}
    </>
  );
}
