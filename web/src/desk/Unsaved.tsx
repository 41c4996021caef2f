import type { Slip } from '../api/client';
import { Button } from '../ui/Button';

interface Props {
  slips: Slip[];
  onSave: (slip: Slip) => void;
  onDrop: (slip: Slip) => void;
  onSelect: (slip: Slip) => void;
}

/** Entries into which something was typed that is not saved, while another is looked at. */
export function Unsaved({ slips, onSave, onDrop, onSelect }: Props) {
  if (slips.length === 0) return null;
  return (
    <ul role="status" className="border-line bg-accent-wash border-b px-3 py-1">
      {slips.map((slip) => (
        <li key={slip.id} className="flex flex-wrap items-center gap-x-3">
          <button type="button" className="min-w-0 grow text-left" onClick={() => onSelect(slip)}>
            <span className="font-semibold">{slip.fields.name || `Number ${slip.fields.number ?? ''}`}</span>:
            typed, and not saved
          </button>
          <Button className="text-second" onClick={() => onSave(slip)}>
            Save it
          </Button>
          <Button kind="quiet" className="text-second" onClick={() => onDrop(slip)}>
            Discard it
          </Button>
        </li>
      ))}
    </ul>
  );
}
