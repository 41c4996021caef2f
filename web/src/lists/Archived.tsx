import { useMay } from '../accounts/rights';
import type { Desk } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { useShelves } from './useShelves';

/** Says of a list in the archive that it is there, and brings it back. */
export function Archived({ list }: { list: Pick<Desk, 'id' | 'name' | 'shelf'> }) {
  const edits = useMay('edit');
  const shelves = useShelves();
  if (list.shelf !== 'archived') return null;
  return (
    <>
      <p className="border-line bg-accent-wash flex flex-wrap items-center gap-x-3 border-b px-3 py-1.5">
        <span className="grow">
          This list is in the archive. It is still held against the rules of today.
        </span>
        {edits && (
          <Button disabled={shelves.busy} onClick={() => shelves.move(list, 'archived', 'in-use')}>
            Bring it back
          </Button>
        )}
      </p>
      {shelves.error && <Notice message={shelves.error.message} />}
    </>
  );
}
