import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { lately, moment } from '../ui/dates';
import { some } from '../ui/people';
import { VERDICTS, VerdictMark, verdictEdge, verdictText, verdictWord } from '../ui/VerdictMark';

type Summary = Schemas['ListSummary'];

/** The edge of a list is that of its worst entry. */
function edge({ counts, unjudged, entries, pending }: Summary): string {
  if (pending) return 'border-l-line';
  if (unjudged !== null) return 'border-l-hold';
  const worst = (['hold', 'query'] as const).find((verdict) => counts[verdict] > 0);
  return (worst ? verdictEdge[worst] : entries > 0 ? verdictEdge.clear : undefined) ?? 'border-l-line';
}

/** A list in a line: what it is, who carries it, and what its entries came to. */
export function ListRow({ list, under, parent }: { list: Summary; under: boolean; parent?: string }) {
  return (
    <Link
      to={`/lists/${list.id}`}
      className={`hover:bg-accent-wash flex min-w-0 grow flex-wrap items-center gap-x-4 gap-y-1 border-l-[3px] py-2 pr-2 ${under ? 'pl-9' : 'pl-4'} ${edge(list)}`}
    >
      <span className="min-w-0 grow basis-64">
        <span className="block font-semibold">{list.name}</span>
        <span
          className="text-second text-soft block"
          title={`Changed ${moment(list.changedAt)} by ${list.changedBy}`}
        >
          {list.unjudged === null &&
            !list.pending &&
            `${list.entries} ${list.entries === 1 ? 'entry' : 'entries'}, ${some(list.carriers, 1) || 'carried by nobody yet'} · `}
          {parent === undefined ? `changed ${lately(list.changedAt)}` : `follows ${parent}`}
        </span>
      </span>
      {list.pending ? (
        <span className="text-second text-soft">being judged …</span>
      ) : list.unjudged === null ? (
        <span className="flex flex-wrap gap-x-3 sm:grid sm:grid-cols-[repeat(4,5.75rem)] sm:gap-x-0">
          {VERDICTS.map((verdict) => (
            <span
              key={verdict}
              className={`flex items-center gap-1.5 whitespace-nowrap ${list.counts[verdict] === 0 ? 'text-soft' : verdictText[verdict]}`}
            >
              <VerdictMark verdict={verdict} />
              <span>
                <span className="font-mono">{list.counts[verdict]}</span>{' '}
                <span className="text-second">{verdictWord(verdict).toLowerCase()}</span>
              </span>
            </span>
          ))}
        </span>
      ) : (
        <span className="text-hold text-second basis-full">{list.unjudged}</span>
      )}
    </Link>
  );
}
