import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { TakesFocus } from '../ui/TakesFocus';
import { useState } from 'react';
import { api, data, type Change, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';

interface Props {
  list: number;
  version: number;
  onTake: (label: string, changes: Change[]) => Promise<boolean>;
}

/** Entries whose directory lines changed since they were added: what differs, to be taken or left. */
export function News({ list, version, onTake }: Props) {
  const caughtUp = useCaughtUp();
  const [open, setOpen] = useState(false);
  const asked = Server.useQuery('get', '/api/lists/{list}/directory/news', {
    params: { path: { list } },
    asOf: version,
  });
  const news = asked.data ?? [];
  if (news.length === 0) return null;
  const seen = async (entries: number[]) => {
    await data(
      api.POST('/api/lists/{list}/directory/seen', { params: { path: { list } }, body: { entries } }),
    );
    await caughtUp();
  };
  return (
    <>
      <p className="border-line text-second flex flex-wrap items-center gap-x-3 border-b px-3 py-1.5">
        <span className="text-query grow">
          The directory changed {news.length === 1 ? 'the line' : `${news.length} lines`} of{' '}
          {news.map((each) => each.name).join(', ')}.
        </span>
        <Button kind="quiet" className="text-second" onClick={() => setOpen(true)}>
          See what changed
        </Button>
      </p>
      <Dialog open={open} onClose={() => setOpen(false)} className="relative z-40">
        <DialogBackdrop className="bg-ink/40 fixed inset-0" />
        <div className="fixed inset-0 flex items-center justify-center p-4">
          <DialogPanel className="border-edge bg-sheet flex max-h-[92vh] w-full max-w-3xl flex-col rounded border">
            <TakesFocus />
            <div className="border-line border-b px-4 py-3">
              <DialogTitle className="text-title font-semibold">What the directory says now</DialogTitle>
            </div>
            <ul className="divide-line grow divide-y overflow-y-auto px-4">
              {news.map((each) => (
                <li key={each.entry} className="flex flex-wrap items-start gap-x-3 gap-y-1 py-2">
                  <span className="min-w-0 grow basis-72">
                    <span className="text-soft font-mono">{each.number}</span>{' '}
                    <span className="font-semibold">{each.name}</span>
                    <span className="block">{each.words.join('; ')}</span>
                  </span>
                  {Object.keys(each.after).length > 0 && (
                    <Button
                      kind="strong"
                      onClick={() =>
                        void onTake(`what the directory says of ${each.name}`, [
                          {
                            kind: 'edit',
                            entry: each.entry,
                            behind: null,
                            before: each.before,
                            after: each.after,
                          },
                        ]).then((taken) => (taken ? seen([each.entry]) : undefined))
                      }
                    >
                      Use the directory’s line
                    </Button>
                  )}
                  <Button onClick={() => void seen([each.entry])}>Keep the entry as it is</Button>
                </li>
              ))}
            </ul>
            <div className="border-line flex justify-end border-t px-4 py-3">
              <Button onClick={() => setOpen(false)}>Later</Button>
            </div>
          </DialogPanel>
        </div>
      </Dialog>
    </>
  );
}
