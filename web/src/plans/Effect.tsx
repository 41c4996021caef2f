import { Link } from 'react-router';
import type { Schemas, Verdict } from '../api/client';
import { VerdictMark, verdictText } from '../ui/VerdictMark';

const BECOME: Record<Verdict, string> = {
  hold: 'holds',
  query: 'queries',
  listen: 'listening',
  clear: 'clear',
};

/** "3 entries become queries", list by list, with the entries. */
export function Effect({ effects, pending }: { effects?: Schemas['ListEffect'][]; pending: boolean }) {
  if (!effects) return pending ? <p className="text-soft">Trying it on each list …</p> : null;
  if (effects.length === 0) return <p className="text-soft">No entry of any list comes out differently.</p>;
  return (
    <ul className="flex flex-col gap-3">
      {effects.map((effect) => (
        <li key={effect.list} className="border-line bg-sheet rounded border px-3 py-2">
          <Link to={`/lists/${effect.list}`} className="hover:text-accent font-semibold">
            {effect.name}
          </Link>
          <p className="text-second flex flex-wrap gap-x-3">
            {became(effect).map(([verdict, many]) => (
              <span key={verdict} className={verdictText[verdict]}>
                {many} {many === 1 ? 'entry becomes' : 'entries become'}{' '}
                {many === 1 && verdict === 'query'
                  ? 'a query'
                  : many === 1 && verdict === 'hold'
                    ? 'a hold'
                    : BECOME[verdict]}
              </span>
            ))}
          </p>
          <ul className="text-second pt-1">
            {effect.changed.slice(0, 8).map((entry) => (
              <li key={entry.entry} className="py-0.5">
                <span className="inline-flex items-center gap-1">
                  <VerdictMark verdict={entry.before} size={11} />→
                  <VerdictMark verdict={entry.after} size={11} />
                </span>{' '}
                <span className="font-semibold">{entry.name || entry.number}</span>{' '}
                <span className="text-soft">{entry.why}</span>
              </li>
            ))}
            {effect.changed.length > 8 && <li className="text-soft">and {effect.changed.length - 8} more</li>}
          </ul>
        </li>
      ))}
    </ul>
  );
}

function became(effect: Schemas['ListEffect']): [Verdict, number][] {
  const many = new Map<Verdict, number>();
  effect.changed.forEach((entry) => many.set(entry.after, (many.get(entry.after) ?? 0) + 1));
  return [...many];
}
