import { useState } from 'react';
import { Problem, type Schemas } from '../api/client';
import { sent } from '../api/files';
import { Notice } from '../ui/Notice';
import { VerdictMark } from '../ui/VerdictMark';

/** Looks at a release file, of whichever group: whether it is as it was released. */
export function Verify() {
  const [found, setFound] = useState<Schemas['Verified']>();
  const [problem, setProblem] = useState<string>();
  const look = async (file: File) => {
    setFound(undefined);
    setProblem(undefined);
    try {
      setFound(await sent<Schemas['Verified']>('/api/verification', file));
    } catch (cause) {
      setProblem(cause instanceof Problem ? cause.message : 'The file could not be sent. Try again.');
    }
  };
  return (
    <section aria-label="Verify a file" className="flex flex-col gap-2">
      <h2 className="text-second text-soft">Is a release file as it was released?</h2>
      <label className="border-edge hover:border-accent hover:text-accent has-focus-visible:outline-accent self-start rounded border px-2.5 py-1 has-focus-visible:outline-2">
        Choose the file
        <input
          type="file"
          accept=".json,application/json"
          className="sr-only"
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) void look(file);
          }}
        />
      </label>
      {problem && <Notice message={problem} />}
      {found && (
        <div
          role="status"
          className={`border-line bg-sheet rounded border border-l-[3px] px-4 py-2 ${found.good ? 'border-l-clear' : 'border-l-hold'}`}
        >
          <p className="font-semibold">
            {found.good ? 'As it was released' : 'Not as it was released'}: {found.list}, release{' '}
            {found.number} of {found.group}
          </p>
          <ul className="py-1">
            {found.lines.map((line) => (
              <li key={line.text} className="flex items-start gap-2 py-0.5">
                <span className="pt-0.5">
                  <VerdictMark verdict={line.good ? 'clear' : 'hold'} size={13} />
                </span>
                {line.text}
              </li>
            ))}
          </ul>
          <p className="text-second text-soft font-mono break-words">{found.sum}</p>
        </div>
      )}
    </section>
  );
}
