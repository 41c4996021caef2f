import { Link } from 'react-router';
import { AccountMenu } from '../accounts/AccountMenu';
import type { Carrier, Desk as DeskData } from '../api/client';
import { Button } from '../ui/Button';
import { Wordmark } from '../ui/Wordmark';
import { Carriers } from './Carriers';
import { ExportMenu } from './ExportMenu';
import type { useDesk } from './useDesk';

interface Props {
  desk: DeskData;
  work: ReturnType<typeof useDesk>;
  onCarriers: (carriers: Carrier[]) => void;
  onKeys: () => void;
}

/** Which list, who carries it, and what concerns it as a whole. */
export function DeskHeader({ desk, work, onCarriers, onKeys }: Props) {
  return (
    <header className="border-line bg-sheet flex min-h-12 shrink-0 flex-wrap items-center gap-x-3 border-b px-3 py-1">
      <Link to="/lists" className="hover:text-accent rounded px-1" aria-label="Wache, to the lists">
        <Wordmark />
      </Link>
      <h1 className="text-title min-w-0 truncate font-semibold">{desk.name}</h1>
      <div className="flex min-w-0 grow basis-56">
        <Carriers carriers={desk.carriers} onChange={onCarriers} />
      </div>
      <Button
        kind="quiet"
        disabled={!work.canUndo}
        onClick={() => void work.undo()}
        title={work.canUndo && `Undo: ${work.canUndo}`}
      >
        Undo
      </Button>
      <Button
        kind="quiet"
        disabled={!work.canRedo}
        onClick={() => void work.redo()}
        title={work.canRedo && `Redo: ${work.canRedo}`}
      >
        Redo
      </Button>
      <ExportMenu list={desk.id} />
      <Button kind="quiet" className="max-sm:hidden" onClick={onKeys}>
        Keys <kbd className="font-mono">?</kbd>
      </Button>
      <AccountMenu />
    </header>
  );
}
