import { keepPreviousData, useMutation } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { api, data, type Schemas, Server } from '../api/client';
import { SumView } from '../desk/SumView';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { VerdictMark, VerdictWord, verdictEdge } from '../ui/VerdictMark';
import { CopyText } from '../ui/CopyText';
import type { Decided } from './cells';
import { reasonText } from './reasonText';

interface Props {
  list: number;
  by: string;
  /** Whether the list is itself a variant. */
  parent: boolean;
  entry?: Schemas['MatrixEntry'];
  column?: Schemas['MatrixColumn'];
  decided?: Decided;
}

/** Why a cell is as it is: the route taken, the others and why they fail; and a variant for the column. */
export function ReasonPanel({ list, by, parent, entry, column, decided }: Props) {
  const reason = Server.useQuery(
    'get',
    '/api/lists/{list}/matrix/{entry}',
    { params: { path: { list, entry: entry?.id ?? 0 }, query: { by, column: column?.key ?? 0 } } },
    { enabled: entry !== undefined && column !== undefined, placeholderData: keepPreviousData },
  );
  return (
    <aside
      aria-label="Why"
      aria-live="polite"
      aria-busy={reason.isPlaceholderData}
      className="border-line flex w-full shrink-0 flex-col gap-3 overflow-y-auto border-l p-3 max-lg:max-h-[45%] max-lg:border-t max-lg:border-l-0 lg:w-[380px]"
    >
      {entry && column && (
        <header className="flex flex-col gap-0.5">
          <h2 className="text-title font-semibold">{entry.name || `Number ${entry.number}`}</h2>
          <p>
            for <span className="font-semibold">{column.name}</span>
            {column.holds && <span className="text-soft"> ({column.holds})</span>}
          </p>
        </header>
      )}
      {reason.error && <Notice message={reason.error.message} />}
      {reason.data && entry && column && (
        <div className={`flex grow flex-col gap-3 ${reason.isPlaceholderData ? 'opacity-40' : ''}`}>
          <p className="flex items-baseline gap-2">
            <VerdictWord verdict={reason.data.verdict} />
            {reason.data.decider && reason.data.verdict !== 'clear' && (
              <span className="text-soft">{reason.data.decider} decides</span>
            )}
          </p>
          <Routes routes={reason.data.routes} />
          {reason.data.findings.map((finding) => (
            <section
              key={finding.rule + finding.message}
              className={`border-line bg-sheet rounded border border-l-[3px] px-3 py-2 ${verdictEdge[finding.severity]}`}
            >
              <p className="pb-1">{finding.message}</p>
              {finding.sum.length > 0 && <SumView lines={finding.sum} />}
              <p className="text-second text-soft">{finding.source}</p>
            </section>
          ))}
          {reason.data.findings.length === 0 && (
            <p className="text-soft">
              {reason.data.verdict === 'listen' ? 'It never transmits.' : 'Nothing speaks against it.'}
            </p>
          )}
          <p className="flex flex-wrap items-baseline gap-x-4">
            <Link
              to={`/lists/${list}?entry=${entry.id}`}
              className="text-accent underline-offset-2 hover:underline"
            >
              Open it on the Desk (Enter)
            </Link>
            <CopyText text={reasonText(entry, column, reason.data)} />
          </p>
          {decided && decided.verdict !== 'clear' && decided.verdict !== 'listen' && (
            <p className="text-second text-soft">
              The entry comes to {decided.verdict} on account of{' '}
              {decided.all && decided.many > 1 ? 'everyone' : decided.name}
              {!decided.all && decided.many > 1 && ` and ${decided.many - 1} others`}.
            </p>
          )}
          {!parent && <Variant list={list} column={column} />}
        </div>
      )}
    </aside>
  );
}

function Routes({ routes }: { routes: Schemas['RouteTold'][] }) {
  if (routes.length === 0) return null;
  return (
    <ul className="text-second flex flex-col gap-1">
      {routes.map((route) => (
        <li key={route.service + route.authority} className="flex items-baseline gap-2">
          <span className="translate-y-[2px]">
            <VerdictMark verdict={route.legal ? 'clear' : 'hold'} size={12} />
          </span>
          <span>
            <span className="font-semibold">{route.service}</span>
            {route.legal ? `: ${route.authority}, ${route.source}` : ': does not do'}
            {route.taken && routes.length > 1 && <span className="text-accent"> · taken</span>}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** One press makes a list in which what these may not key only listens. */
function Variant({ list, column }: { list: number; column: Schemas['MatrixColumn'] }) {
  const go = useNavigate();
  const make = useMutation({
    mutationFn: async () => {
      const desk = await data(api.GET('/api/lists/{list}', { params: { path: { list } } }));
      return data(
        api.POST('/api/lists/{list}/variants', {
          params: { path: { list } },
          body: { name: `${desk.name}, for ${column.name}`.slice(0, 200), carriers: column.choice },
        }),
      );
    },
    onSuccess: (made) => {
      void go(`/lists/${made.id}`);
    },
  });
  return (
    <section className="border-line mt-auto flex flex-col gap-1.5 border-t pt-3">
      <Button className="self-start" disabled={make.isPending} onClick={() => make.mutate()}>
        Make a variant for {column.name}
      </Button>
      <p className="text-second text-soft">
        {column.counts.hold === 0
          ? 'Every entry stays as it is.'
          : `${column.counts.hold} ${column.counts.hold === 1 ? 'entry' : 'entries'} on hold for them: what they may not key only listens, and says so.`}{' '}
        {column.counts.clear + column.counts.query === 0 && (
          <span className="text-query">They could talk on nothing of it: it would only listen. </span>
        )}
        The variant follows every change of this list.
      </p>
      {make.error && <Notice message={make.error.message} />}
    </section>
  );
}
