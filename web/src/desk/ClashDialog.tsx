import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import type { Conflict } from '../api/client';
import { Button } from '../ui/Button';
import { labelOf } from './fields';

/** Two people changed one field: both versions, and the choice. */
export function ClashDialog({
  conflict,
  onSettle,
}: {
  conflict: Conflict;
  onSettle: (mine: boolean) => void;
}) {
  return (
    <Dialog open onClose={() => onSettle(false)} className="relative z-40">
      <DialogBackdrop className="bg-ink/40 fixed inset-0" />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel className="border-edge bg-sheet flex w-full max-w-lg flex-col gap-3 rounded border p-4">
          <DialogTitle className="text-title font-semibold">{conflict.title}</DialogTitle>
          <p>{conflict.detail}</p>
          <table className="w-full text-left">
            <thead className="text-second text-soft">
              <tr>
                <th className="font-normal">Entry and field</th>
                <th className="font-normal">Yours</th>
                <th className="font-normal">Theirs</th>
              </tr>
            </thead>
            <tbody>
              {conflict.conflicts.flatMap((entry) =>
                Object.entries(entry.theirs).map(([key, theirs]) => (
                  <tr key={`${entry.entry} ${key}`} className="border-line border-t">
                    <td className="py-1 pr-3">
                      {entry.name}: {labelOf(key)}
                    </td>
                    <td className="pr-3 font-mono">{entry.mine[key] || 'empty'}</td>
                    <td className="font-mono">{theirs || 'empty'}</td>
                  </tr>
                )),
              )}
            </tbody>
          </table>
          <div className="flex justify-end gap-2">
            <Button onClick={() => onSettle(false)}>Keep theirs</Button>
            <Button kind="strong" onClick={() => onSettle(true)}>
              Keep mine
            </Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
