import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { TakesFocus } from '../ui/TakesFocus';
import type { Desk } from '../api/client';
import { Button } from '../ui/Button';
import { BringIn } from './BringIn';

/** Brings in a table whose entries come behind those of a list. */
export function BringDialog({
  desk,
  onDone,
  onClose,
}: {
  desk: Desk;
  onDone: () => void;
  onClose: () => void;
}) {
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <DialogBackdrop className="bg-ink/40 fixed inset-0" />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel className="border-edge bg-sheet flex w-full max-w-3xl flex-col gap-3 rounded border p-4">
          <TakesFocus />
          <DialogTitle className="text-title font-semibold">Bring entries into {desk.name}</DialogTitle>
          <BringIn group={desk.groupId} into={desk.id} onList={onDone} />
          <Button className="self-end" onClick={onClose}>
            Cancel
          </Button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
