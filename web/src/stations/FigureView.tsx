import { useState } from 'react';
import type { Schemas } from '../api/client';
import { SumView } from '../desk/SumView';

/** A figure that opens its sum and its source. */
export function FigureRow({ figure, caution }: { figure: Schemas['FigureView']; caution?: string }) {
  const [open, setOpen] = useState(false);
  return (
    <div className="border-line border-b">
      <button
        type="button"
        aria-expanded={open}
        className="hover:bg-sunk flex w-full items-baseline gap-2 px-2 py-1 text-left"
        onClick={() => setOpen(!open)}
      >
        <span className="grow">{figure.label}</span>
        <span className="font-mono font-semibold">{figure.amount}</span>
        <span className="text-soft w-28 shrink-0">{figure.unit}</span>
      </button>
      {open && (
        <div className="bg-sunk px-3 py-2">
          <SumView lines={figure.sum} />
          <p className="text-second text-soft pt-1">{figure.source}</p>
        </div>
      )}
      {caution && <p className="text-second text-query px-2 pb-1">{caution}</p>}
    </div>
  );
}
