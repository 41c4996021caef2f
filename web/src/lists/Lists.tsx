import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { elsewhere } from '../ui/elsewhere';
import { INPUT } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { Refused } from '../ui/Refused';
import { useKept } from '../ui/useKept';
import { arranged, copyName, type Sort } from './arranged';
import { DeletedLists } from './DeletedLists';
import { ListMenu } from './ListMenu';
import { ListName } from './ListName';
import { ListRow } from './ListRow';
import { useShelves } from './useShelves';

type Summary = Schemas['ListSummary'];

/** So many lists are shown before the others are asked for. */
const FIRST = 12;
/** From so many lists on one looks for them. */
const MANY = 6;

const SORTS: Record<Sort, string> = { worst: 'Worst first', name: 'By name', changed: 'Last changed first' };

/** The lists of a group: found, put in order, and each renamed, copied, archived or deleted where it stands. */
export function Lists({ group, lists }: { group: number; lists: Summary[] }) {
  const edits = useMay('edit');
  const caughtUp = useCaughtUp();
  const [search, setSearch] = useState('');
  const [sort, setSort] = useKept<Sort>('lists sort', 'worst');
  const [all, setAll] = useState(false);
  const [archive, setArchive] = useState(false);
  const [naming, setNaming] = useState<number>();
  const box = useRef<HTMLInputElement>(null);
  useHotkeys('/', () => box.current?.focus(), {
    useKey: true,
    ignoreEventWhen: elsewhere,
    preventDefault: true,
  });
  const shelves = useShelves();
  const copy = useMutation({
    mutationFn: (list: Summary) =>
      data(
        api.POST('/api/lists/{list}/copies', {
          params: { path: { list: list.id } },
          body: { name: copyName(list.name, lists) },
        }),
      ),
    onSuccess: async (made) => {
      await caughtUp();
      setNaming(made.id);
    },
  });
  const here = lists.filter((list) => list.shelf === (archive ? 'archived' : 'in-use'));
  const archived = lists.filter((list) => list.shelf === 'archived').length;
  const found = arranged(here, sort, search);
  // A list that is being named, or was just brought back, is in sight wherever it stands.
  const shown = all
    ? found
    : found.filter(({ list }, i) => i < FIRST || list.id === naming || list.id === shelves.last);
  const nameOf = (id: number | null) => lists.find((list) => list.id === id)?.name;
  return (
    <section aria-label={archive ? 'The archive' : 'The lists'} className="flex flex-col gap-2">
      {(lists.length >= MANY || archived > 0) && (
        <div className="flex flex-wrap items-center gap-2">
          <input
            ref={box}
            type="search"
            aria-label="Find a list"
            placeholder="Find a list or who carries it  /"
            className={`${INPUT} min-w-0 grow basis-48`}
            value={search}
            onChange={(event) => setSearch(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Escape') setSearch('');
            }}
          />
          <select
            aria-label="Order"
            className={INPUT}
            value={sort}
            onChange={(event) => setSort(event.target.value as Sort)}
          >
            {Object.entries(SORTS).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </select>
          {(archived > 0 || archive) && (
            <Button aria-pressed={archive} onClick={() => setArchive(!archive)}>
              {archive ? 'Lists in use' : `Archive (${archived})`}
            </Button>
          )}
        </div>
      )}
      {shelves.done && (
        <p
          role="status"
          className="border-line bg-accent-wash flex flex-wrap items-center gap-3 rounded border px-4 py-1.5"
        >
          <span className="grow">{shelves.done.words}.</span>
          <Button disabled={shelves.busy} onClick={() => shelves.undo()}>
            Undo
          </Button>
        </p>
      )}
      {shelves.error && <Notice message={shelves.error.message} />}
      <Refused by={[copy]} />
      {found.length === 0 ? (
        <p className="text-soft border-line bg-sheet rounded border px-4 py-3">
          {search.trim()
            ? `No list is called like “${search.trim()}”, nor does anybody of that name carry one${archived > 0 && !archive ? '; the archive is not looked through' : ''}.`
            : archive
              ? 'Nothing is in the archive.'
              : 'All lists are in the archive.'}
        </p>
      ) : (
        <ul className="border-line bg-sheet divide-line divide-y rounded border">
          {shown.map(({ list, under }) => (
            <li key={list.id} className="flex items-stretch gap-1 pr-2">
              {naming === list.id ? (
                <ListName list={list.id} name={list.name} onDone={() => setNaming(undefined)} />
              ) : (
                <>
                  <ListRow list={list} under={under} parent={nameOf(list.parent)} />
                  {edits && (
                    <ListMenu
                      name={list.name}
                      archived={archive}
                      onRename={() => setNaming(list.id)}
                      onCopy={() => copy.mutate(list)}
                      onArchive={() => shelves.move(list, list.shelf, archive ? 'in-use' : 'archived')}
                      onDelete={() => shelves.move(list, list.shelf, 'deleted')}
                    />
                  )}
                </>
              )}
            </li>
          ))}
        </ul>
      )}
      <div className="flex flex-wrap items-baseline gap-x-4">
        {found.length > shown.length && (
          <Button kind="quiet" onClick={() => setAll(true)}>
            All {found.length} lists
          </Button>
        )}
        {edits && <DeletedLists group={group} onBack={(list) => shelves.move(list, 'deleted', 'in-use')} />}
      </div>
    </section>
  );
}
