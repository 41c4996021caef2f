import { Link } from 'react-router';
import { Server } from '../api/client';
import { Notice } from '../ui/Notice';
import type { Links, Reach } from './knots';

interface Props {
  reach: Reach;
  from: number;
  to: number;
  links: Links;
}

/** How one reaches another: on which entries, or why not and what would change it. */
export function OneWay({ reach, from, to, links }: Props) {
  const entries = links[`${from} ${to}`];
  const one = reach.people[from]!.name;
  const other = reach.people[to]!.name;
  return (
    <section aria-label={`${one} to ${other}`} className="border-line border-t py-2">
      <h3 className="font-semibold">
        {one} → {other}
      </h3>
      {entries ? (
        <p>
          {entries.slice(0, 12).map((place, i) => {
            const entry = reach.entries[place]!;
            return (
              <span key={entry.id}>
                {i > 0 && ', '}
                <Link
                  to={`/lists/${entry.list}?entry=${entry.id}`}
                  className="text-accent underline-offset-2 hover:underline"
                >
                  {entry.name || entry.number}
                </Link>
              </span>
            );
          })}
          {entries.length > 12 && ` and ${entries.length - 12} more`}
        </p>
      ) : (
        <Gap reach={reach} from={from} to={to} />
      )}
    </section>
  );
}

function Gap({ reach, from, to }: Omit<Props, 'links'>) {
  const ofList = Server.useQuery(
    'get',
    '/api/lists/{list}/reach/gap',
    {
      params: {
        path: { list: reach.list ?? 0 },
        query: { everyone: reach.everyone, on: reach.on, from, to },
      },
    },
    { enabled: reach.list !== null },
  );
  const ofOperation = Server.useQuery(
    'get',
    '/api/operations/{operation}/reach/gap',
    { params: { path: { operation: reach.operation ?? 0 }, query: { from, to } } },
    { enabled: reach.list === null },
  );
  const gap = reach.list === null ? ofOperation : ofList;
  if (gap.error) return <Notice message={gap.error.message} />;
  if (!gap.data) return <p className="text-soft">Working it out …</p>;
  return (
    <>
      <p className="text-hold font-semibold">Not at all</p>
      <ul className="list-disc pl-5">
        {gap.data.reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
      {gap.data.least.length > 0 && (
        <>
          <p className="text-second text-soft pt-1">The least that would change it, each by itself</p>
          <ul className="list-disc pl-5">
            {gap.data.least.map((each) => (
              <li key={each}>{each.replace(/^./, (first) => first.toUpperCase())}</li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
