import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, data, type Change, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { VerdictMark, verdictWord } from '../ui/VerdictMark';
import { CountsChange } from '../tools/ProposalView';

interface Props {
  list: number;
  version: number;
  onTake: (label: string, changes: Change[]) => void;
  onClose: () => void;
}

type Cure = Schemas['ProposedCure'];

const change = (cure: Cure): Change =>
  cure.drop
    ? { kind: 'remove', entry: cure.entry, behind: null, before: {}, after: {} }
    : { kind: 'edit', entry: cure.entry, behind: null, before: cure.before, after: cure.after };

/** The least intrusive cures of the whole list, as a difference; what is ticked is taken in one step. */
export function CureAll({ list, version, onTake, onClose }: Props) {
  const [queries, setQueries] = useState(false);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const proposed = useQuery({
    queryKey: ['cures', list, version, queries],
    queryFn: () =>
      data(api.GET('/api/lists/{list}/cures', { params: { path: { list }, query: { queries } } })),
  });
  const cures = proposed.data?.cures ?? [];
  const taken = cures.filter((cure) => !left.has(cure.entry));
  const toggle = (entry: number) =>
    setLeft((old) => {
      const next = new Set(old);
      if (!next.delete(entry)) next.add(entry);
      return next;
    });
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <DialogBackdrop className="bg-ink/40 fixed inset-0" />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel className="border-edge bg-sheet flex max-h-[92vh] w-full max-w-4xl flex-col rounded border">
          <div className="border-line flex flex-wrap items-baseline gap-x-6 gap-y-1 border-b px-4 py-3">
            <DialogTitle className="text-title grow font-semibold">The least intrusive cures</DialogTitle>
            <label className="flex items-center gap-1.5">
              <input
                type="checkbox"
                checked={queries}
                onChange={(event) => setQueries(event.target.checked)}
              />
              Queries too
            </label>
          </div>
          <div className="min-h-40 grow overflow-y-auto px-4 py-2">
            {proposed.isPending && <p className="text-soft py-4">Trying the cures of each entry …</p>}
            {proposed.error && <Notice message={proposed.error.message} />}
            {proposed.data && cures.length === 0 && (
              <p className="py-4">Nothing to cure{queries ? '' : ': no entry is on hold'}.</p>
            )}
            <ul className="divide-line divide-y">
              {cures.map((cure) => (
                <li key={cure.entry}>
                  <label className="flex items-start gap-3 py-1.5">
                    <input
                      type="checkbox"
                      className="mt-1"
                      checked={!left.has(cure.entry)}
                      onChange={() => toggle(cure.entry)}
                    />
                    <span className="w-52 shrink-0 truncate max-sm:w-28">
                      <span className="text-soft font-mono">{cure.number}</span>{' '}
                      <span className="font-semibold">{cure.name || '(no name)'}</span>
                    </span>
                    <span className="min-w-0 grow">{cure.differences.join('; ')}</span>
                    <span className="text-second flex shrink-0 items-center gap-1.5">
                      <VerdictMark verdict={cure.verdictBefore} size={13} />→
                      <VerdictMark verdict={cure.verdictAfter} size={13} />
                      <span className="w-12">
                        {cure.drop ? 'gone' : verdictWord(cure.verdictAfter).toLowerCase()}
                      </span>
                    </span>
                  </label>
                </li>
              ))}
            </ul>
            {proposed.data && <Left list={list} left={proposed.data.left} />}
          </div>
          <div className="border-line flex flex-wrap items-center gap-x-5 gap-y-2 border-t px-4 py-3">
            {proposed.data && <CountsChange before={proposed.data.before} after={proposed.data.after} />}
            <span className="grow" />
            <Button onClick={onClose}>Leave it</Button>
            <Button
              kind="strong"
              disabled={taken.length === 0}
              onClick={() => onTake(`cures of ${taken.length} entries`, taken.map(change))}
            >
              Take {taken.length} {taken.length === 1 ? 'cure' : 'cures'}
            </Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

const names = (entries: Schemas['Uncured'][]) => entries.map((each) => each.name || each.number).join(', ');

/** What no cure of the whole list helps: nothing proved does, or it would silence those who may key it. */
function Left({ list, left }: { list: number; left: Schemas['Uncured'][] }) {
  const some = left.filter((each) => each.may.length > 0);
  const none = left.filter((each) => each.may.length === 0);
  return (
    <>
      {some.length > 0 && (
        <p className="border-line border-t py-2">
          {names(some)} {some.length === 1 ? 'stays' : 'stay'}: some of the carriers may key{' '}
          {some.length === 1 ? 'it' : 'them'}, and no cure takes that from them.{' '}
          <Link to={`/lists/${list}/who`} className="text-accent underline">
            Make a variant for those who may not
          </Link>
          .
        </p>
      )}
      {none.length > 0 && <p className="text-second text-soft py-2">No proved cure for {names(none)}.</p>}
    </>
  );
}
