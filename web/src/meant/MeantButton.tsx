import { useState } from 'react';
import { Button } from '../ui/Button';
import { MeantDialog } from './MeantDialog';
import { inShort, useMeant } from './useMeant';

/** Which radios a list is for, in a word, and the place where they are chosen. */
export function MeantButton({ list, words }: { list: number; words?: string }) {
  const [open, setOpen] = useState(false);
  const meant = useMeant(list);
  const short = meant.data ? inShort(meant.data.settings, meant.data.meant) : '';
  return (
    <>
      <Button kind="quiet" className="max-w-96 min-w-0" title={short} onClick={() => setOpen(true)}>
        <span className="truncate">
          {words ?? (meant.data ? `For ${short === '' ? 'no radio yet' : short}` : 'For …')}
        </span>
      </Button>
      {open && meant.data && <MeantDialog meant={meant.data} onClose={() => setOpen(false)} />}
    </>
  );
}
