import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { TakesFocus } from '../ui/TakesFocus';
import { type FormEvent, useState } from 'react';
import { type Change, type Desk, type Schemas, Server } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Left } from './Left';
import { nobody } from './carried';
import { VerdictMark, verdictWord } from '../ui/VerdictMark';
import { CountsChange } from '../tools/ProposalView';

interface Props {
  desk: Desk;
  onTake: (label: string, changes: Change[]) => void;
  onClose: () => void;
}

type Cure = Schemas['ProposedCure'];

const change = (cure: Cure): Change =>
  cure.drop
    ? { kind: 'remove', entry: cure.entry, behind: null, before: {}, after: {} }
    : { kind: 'edit', entry: cure.entry, behind: null, before: cure.before, after: cure.after };

const silence = (entry: Schemas['Uncured']): Change => ({
  kind: 'edit',
  entry: entry.entry,
  behind: null,
  before: entry.listenBefore,
  after: entry.listenAfter,
});

/** The least intrusive cures of the whole list, as a difference; what is ticked is taken in one step. */
export function CureAll({ desk, onTake, onClose }: Props) {
  const { id: list, version } = desk;
  const [queries, setQueries] = useState(false);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const proposed = Server.useQuery('get', '/api/lists/{list}/cures', {
    params: { path: { list }, query: { queries } },
    asOf: version,
  });
  const [silenced, setSilenced] = useState<ReadonlySet<number>>(new Set());
  const cures = proposed.data?.cures ?? [];
  const taken = cures.filter((cure) => !left.has(cure.entry));
  const silent = (proposed.data?.left ?? []).filter((each) => silenced.has(each.entry));
  const all = [...taken.map(change), ...silent.map(silence)];
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
        <DialogPanel
          as="form"
          onSubmit={(event: FormEvent) => {
            event.preventDefault();
            onTake(`cures of ${all.length} entries`, all);
          }}
          className="border-edge bg-sheet flex max-h-[92vh] w-full max-w-4xl flex-col rounded border"
        >
          <TakesFocus />
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
            {nobody(desk.choice) && (
              <p className="text-second text-soft py-2">
                Nobody carries this list yet. Choose who does first: for somebody without a licence most of it
                could only listen, and that is not proposed.
              </p>
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
            {proposed.data && (
              <Left
                list={list}
                name={desk.name}
                group={desk.groupId}
                proposed={proposed.data}
                silenced={silenced}
                onSilence={setSilenced}
                onClose={onClose}
              />
            )}
          </div>
          <div className="border-line flex flex-wrap items-center gap-x-5 gap-y-2 border-t px-4 py-3">
            {proposed.data && <CountsChange before={proposed.data.before} after={proposed.data.after} />}
            <span className="grow" />
            <Button onClick={onClose}>Cancel</Button>
            <Button kind="strong" type="submit" disabled={all.length === 0}>
              Apply {all.length} {all.length === 1 ? 'cure' : 'cures'}
            </Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
