import { INPUT } from '../ui/Field';
import { printed, usePaper } from '../ui/paper';
import { PaperChoice } from '../ui/PaperChoice';
import { useState } from 'react';

/** What an operation is printed as. */
export function OperationPapers({ operation, changed }: { operation: number; changed: boolean }) {
  const [paper, setPaper] = usePaper();
  const [size, setSize] = useState('wallet');
  const base = `/api/operations/${operation}`;
  return (
    <section aria-label="Its papers">
      <div className="flex items-center justify-between gap-2 pb-1">
        <h2 className="text-second text-soft">Its papers</h2>
        <PaperChoice paper={paper} onChange={setPaper} />
      </div>
      <ul className="border-line bg-sheet divide-line divide-y rounded border">
        <li className="px-3 py-1.5">
          <a
            className="text-accent font-semibold underline-offset-2 hover:underline"
            href={`${base}/sheet.pdf?${printed(paper)}`}
            target="_blank"
            rel="noreferrer"
          >
            The plan for the wall
          </a>
          <p className="text-second text-soft">
            Who is on what, when, and what if that fails; what is not settled; who has which radio.
            {changed && ' As it is kept: what was changed here is not on it.'}
          </p>
        </li>
        <li className="px-3 py-1.5">
          <a
            className="text-accent font-semibold underline-offset-2 hover:underline"
            href={`${base}/cards.pdf?${printed(paper)}&size=${size}`}
            target="_blank"
            rel="noreferrer"
          >
            Channel cards
          </a>
          <p className="text-second text-soft pb-1">
            For everybody who is on it, of what has gone out of its lists.
          </p>
          <select
            aria-label="Size of the cards"
            className={`${INPUT} text-second`}
            value={size}
            onChange={(event) => setSize(event.target.value)}
          >
            <option value="wallet">for the wallet</option>
            <option value="badge">for a badge holder</option>
            <option value="windscreen">for the windscreen</option>
          </select>
        </li>
      </ul>
    </section>
  );
}
