import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { TakesFocus } from '../ui/TakesFocus';
import { useState } from 'react';
import { api, data, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { AddBar } from './AddBar';

interface Props {
  list: number;
  version: number;
  onAdd: (label: string, entries: Record<string, string>[]) => Promise<boolean>;
}

/** Rows of a table that made no entry: a line that tells of them, and the place to make entries of them. */
export function AsideRows({ list, version, onAdd }: Props) {
  const caughtUp = useCaughtUp();
  const [open, setOpen] = useState(false);
  const [mending, setMending] = useState<number>();
  const rows = Server.useQuery('get', '/api/lists/{list}/aside', { params: { path: { list } } });
  const aside = rows.data ?? [];
  if (aside.length === 0) return null;
  const settle = async (ids: number[]) => {
    await data(
      api.POST('/api/lists/{list}/aside/settled', { params: { path: { list } }, body: { rows: ids } }),
    );
    setMending(undefined);
    await caughtUp();
  };
  return (
    <>
      <p className="border-line text-second flex flex-wrap items-center gap-x-3 border-b px-3 py-1.5">
        <span className="grow">
          {aside.length} {aside.length === 1 ? 'row' : 'rows'} of{' '}
          {[...new Set(aside.map((row) => row.source))].join(', ')} made no entry.
        </span>
        <Button kind="quiet" className="text-second" onClick={() => setOpen(true)}>
          Look at {aside.length === 1 ? 'it' : 'them'}
        </Button>
      </p>
      <Dialog open={open} onClose={() => setOpen(false)} className="relative z-40">
        <DialogBackdrop className="bg-ink/40 fixed inset-0" />
        <div className="fixed inset-0 flex items-center justify-center p-4">
          <DialogPanel className="border-edge bg-sheet flex max-h-[92vh] w-full max-w-4xl flex-col rounded border">
            <TakesFocus />
            <div className="border-line border-b px-4 py-3">
              <DialogTitle className="text-title font-semibold">Rows that made no entry</DialogTitle>
              <p className="text-second text-soft">
                Write what a row means and add it, or put it away. Nothing is lost: they are kept with the
                list.
              </p>
            </div>
            <ul className="divide-line grow divide-y overflow-y-auto px-4">
              {aside.map((row) => (
                <li key={row.id} className="py-2">
                  <div className="flex items-start gap-3">
                    <div className="min-w-0 grow">
                      <p className="text-second font-mono break-words">
                        {row.cells.filter((cell) => cell.trim()).join(' | ')}
                      </p>
                      <p className="text-second text-soft">
                        {row.source}, row {row.line}. {row.reason}
                      </p>
                    </div>
                    <Button
                      className="text-second"
                      onClick={() => setMending(mending === row.id ? undefined : row.id)}
                    >
                      Make an entry
                    </Button>
                    <Button kind="quiet" className="text-second" onClick={() => void settle([row.id])}>
                      Put away
                    </Button>
                  </div>
                  {mending === row.id && (
                    <AddBar
                      list={list}
                      version={version}
                      initial={row.cells.filter((cell) => cell.trim()).join(' ')}
                      onAdd={async (label, entries, left) => {
                        const added = await onAdd(label, entries);
                        // A row of which something is left is not done with.
                        if (added && left === 0) await settle([row.id]);
                        return added;
                      }}
                      onClose={() => setMending(undefined)}
                    />
                  )}
                </li>
              ))}
            </ul>
            <div className="border-line flex justify-end gap-3 border-t px-4 py-3">
              <Button onClick={() => void settle(aside.map((row) => row.id))}>Put all away</Button>
              <Button kind="strong" onClick={() => setOpen(false)}>
                Done
              </Button>
            </div>
          </DialogPanel>
        </div>
      </Dialog>
    </>
  );
}
