import { Server } from '../api/client';
import { Button } from '../ui/Button';
import { moment } from '../ui/dates';

interface Props {
  group: number;
  onBack: (list: { id: number; name: string }) => void;
}

/** The lists that were deleted, folded: each can be brought back. */
export function DeletedLists({ group, onBack }: Props) {
  const deleted = Server.useQuery('get', '/api/groups/{group}/deleted-lists', {
    params: { path: { group } },
  });
  if (!deleted.data?.length) return null;
  return (
    <details className="basis-full">
      <summary className="text-second text-soft hover:text-accent inline-block min-h-6 cursor-pointer">
        Deleted ({deleted.data.length})
      </summary>
      <ul className="border-line divide-line divide-y rounded border">
        {deleted.data.map((list) => (
          <li key={list.id} className="flex flex-wrap items-center gap-x-3 px-4 py-1.5">
            <span className="min-w-0 grow basis-64">
              {list.name}{' '}
              <span className="text-second text-soft">
                {list.entries} {list.entries === 1 ? 'entry' : 'entries'}, deleted {moment(list.at)} by{' '}
                {list.by}
              </span>
            </span>
            <Button className="text-second" onClick={() => onBack(list)}>
              Bring back
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}
