import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { TakesFocus } from '../ui/TakesFocus';
import { useState } from 'react';
import type { Conflict } from '../api/client';
import { Button } from '../ui/Button';
import { useHeadings } from './fields';

interface Props {
  conflict: Conflict;
  /** The entries of which mine is kept; nothing when all is left as theirs. */
  onSettle: (mine: ReadonlySet<number>) => void;
}

/** Two people changed the same fields: both versions entry by entry, and the choice for each. */
export function ClashDialog({ conflict, onSettle }: Props) {
  const [mine, setMine] = useState<ReadonlySet<number>>(new Set());
  const headingOf = useHeadings();
  const all = conflict.conflicts.map((each) => each.entry);
  const choose = (entry: number, keep: boolean) => {
    const next = new Set(mine);
    if (keep) next.add(entry);
    else next.delete(entry);
    setMine(next);
  };
  return (
    <Dialog open onClose={() => onSettle(new Set())} className="relative z-40">
      <DialogBackdrop className="bg-ink/40 fixed inset-0" />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel className="border-edge bg-sheet flex max-h-full w-full max-w-2xl flex-col gap-3 overflow-y-auto rounded border p-4">
          <TakesFocus />
          <DialogTitle className="text-title font-semibold">{conflict.title}</DialogTitle>
          <p>{conflict.detail}</p>
          {conflict.conflicts.map((entry) => (
            <fieldset key={entry.entry} className="border-line rounded border px-3 pt-1 pb-2">
              <legend className="px-1 font-semibold">{entry.name || '(no name)'}</legend>
              <div className="grid grid-cols-2 gap-x-4">
                {(
                  [
                    ['Theirs', false],
                    ['Mine', true],
                  ] as const
                ).map(([label, own]) => (
                  <label
                    key={label}
                    className={`flex gap-2 rounded border px-2 py-1 ${mine.has(entry.entry) === own ? 'border-accent bg-accent-wash' : 'border-transparent'}`}
                  >
                    <input
                      type="radio"
                      name={`clash ${entry.entry}`}
                      className="mt-1"
                      checked={mine.has(entry.entry) === own}
                      onChange={() => choose(entry.entry, own)}
                    />
                    <span className="min-w-0">
                      <span className="text-second text-soft block">{label}</span>
                      {Object.keys(entry.theirs).map((key) => (
                        <span key={key} className="block break-words">
                          {headingOf(key)}:{' '}
                          <span className="font-mono">
                            {(own ? entry.mine[key] : entry.theirs[key]) || 'empty'}
                          </span>
                        </span>
                      ))}
                    </span>
                  </label>
                ))}
              </div>
            </fieldset>
          ))}
          <div className="flex flex-wrap justify-end gap-2">
            {all.length > 1 && (
              <>
                <Button onClick={() => setMine(new Set())}>All theirs</Button>
                <Button onClick={() => setMine(new Set(all))}>All mine</Button>
                <span className="grow" />
              </>
            )}
            <Button kind="strong" onClick={() => onSettle(mine)}>
              {mine.size === 0 ? 'Keep theirs' : mine.size === all.length ? 'Save mine' : 'Save as chosen'}
            </Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
