import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { TakesFocus } from '../ui/TakesFocus';

const KEYS: [string, string][] = [
  ['↓ ↑ or j k', 'next and previous entry'],
  ['1 … 9', 'press that cure of the entry'],
  ['a', 'the cures of the whole list'],
  ['Enter or e', 'edit the entry; Enter again saves'],
  ['Esc', 'take back what is being typed, or leave the field'],
  ['b', 'who carries the list'],
  ['. and ,', 'next and previous page of the list'],
  ['r', 'to its release; there w: waive or leave out, s: sign, o: out'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['h q c l', 'show only holds, queries, clear, listening; again: all'],
  ['/', 'search'],
  ['g', 'group by verdict, by band, or as in the list'],
  ['+ −', 'zoom the ruler'],
  ['Shift ← →', 'move the entry to the next channel; Enter saves, Esc puts it back'],
  ['[ ]', 'pan the ruler'],
  ['0', 'the whole band'],
  ['f and p', 'on the page Lists: choose a file, paste a list'],
  ['n', 'add entries, as you would write them'],
  ['d', 'repeaters near, from the directory'],
  ['Delete', 'take the entry out'],
  ['?', 'this help'],
];

/** The keys. */
export function KeysDialog({ onClose }: { onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <DialogBackdrop className="bg-ink/40 fixed inset-0" />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel className="border-edge bg-sheet flex flex-col gap-3 rounded border p-5">
          <TakesFocus />
          <DialogTitle className="text-title font-semibold">Keys</DialogTitle>
          <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
            {KEYS.map(([key, does]) => (
              <div key={key} className="contents">
                <dt className="font-mono">{key}</dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <p className="text-second text-soft">Esc closes this.</p>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
