import { Link } from 'react-router';
import { useGroup } from '../accounts/group';
import { type Schemas, Server } from '../api/client';
import { day } from '../ui/dates';
import { Notice } from '../ui/Notice';

/** The editions of the rulebook, what each changed, and the group's lists as of their first day. */
export function EditionsView({ rulebook }: { rulebook: string }) {
  const { group } = useGroup();
  const editions = Server.useQuery(
    'get',
    '/api/rulebook/editions',
    { params: { query: { rulebook } } },
    { staleTime: Infinity },
  );
  const lists = Server.useQuery(
    'get',
    '/api/groups/{group}/lists',
    { params: { path: { group: group?.id ?? 0 } } },
    { enabled: group !== undefined },
  );
  if (editions.error) return <Notice message={editions.error.message} />;
  return (
    <ol className="flex flex-col gap-6">
      {[...(editions.data ?? [])].reverse().map((edition) => (
        <li key={edition.id} className="flex flex-col gap-2">
          <h2 className="text-title font-semibold">
            {day(edition.from)}
            {edition.inForce && <span className="text-clear text-body"> · in force</span>}
          </h2>
          <p>
            {edition.title}. <span className="text-second text-soft">{edition.source}</span>
          </p>
          <Changes title="Gone" lines={edition.gone} />
          <Changes title="New" lines={edition.come} />
          {lists.data && lists.data.length > 0 && (
            <p className="text-second text-soft">
              As of this day:{' '}
              {lists.data.map((list, index) => (
                <span key={list.id}>
                  {index > 0 && ', '}
                  <Link
                    to={`/lists/${list.id}?on=${edition.from}`}
                    className="text-accent underline-offset-2 hover:underline"
                  >
                    {list.name}
                  </Link>
                </span>
              ))}
            </p>
          )}
        </li>
      ))}
    </ol>
  );
}

function Changes({ title, lines }: { title: string; lines: Schemas['Line'][] }) {
  if (lines.length === 0) return null;
  return (
    <div className="flex gap-3">
      <h3 className="text-second text-soft w-12 shrink-0 pt-0.5">{title}</h3>
      <ul className="border-line bg-sheet divide-line grow divide-y rounded border">
        {lines.map((line) => (
          <li key={line.service + line.text} className="flex flex-wrap items-baseline gap-x-3 px-3 py-1">
            <span className="text-soft w-24 shrink-0">{line.service}</span>
            <span className="grow">{line.text}</span>
            <span className="text-second text-soft">{line.source}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
