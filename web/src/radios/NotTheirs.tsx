import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { useMay } from '../accounts/rights';

/** What whoever has the radio may not key of what is in it, and where that is mended. */
export function NotTheirs({ unit }: { unit: Schemas['UnitView'] }) {
  const may = useMay('bench');
  if (unit.notTheirs.length === 0) return null;
  return (
    <div className="border-l-hold border-line bg-sheet rounded border border-l-[3px] px-3 py-2">
      <ul className="text-second flex flex-col gap-0.5">
        {unit.notTheirs.map((entry, index) => (
          <li key={index}>
            <span className="font-mono">{entry.number}</span>{' '}
            <span className="font-semibold">{entry.name}</span>: {entry.message}
          </li>
        ))}
      </ul>
      {may && (
        <Link
          className="text-accent inline-block pt-1 underline underline-offset-2"
          to={`/bench?units=${unit.id}${unit.load ? `&list=${unit.load.list}` : ''}`}
        >
          Write it for {unit.carrier?.name ?? 'them'} on the bench
        </Link>
      )}
    </div>
  );
}
