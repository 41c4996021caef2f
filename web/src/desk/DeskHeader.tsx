import type { ReactNode } from 'react';
import type { Desk as DeskData, Schemas } from '../api/client';
import { MeantButton } from '../meant/MeantButton';
import { Button } from '../ui/Button';
import { AsOf } from './AsOf';
import { Carriers } from './Carriers';
import { ExportMenu } from './ExportMenu';
import { ListHeader } from './ListHeader';
import type { useDesk } from './useDesk';

interface Props {
  desk: DeskData;
  work: ReturnType<typeof useDesk>;
  onChoice: (choice: Schemas['CarrierChoice']) => void;
  onDay: (on: string | undefined) => void;
  onKeys: () => void;
  /** Who else is here. */
  children?: ReactNode;
}

/** Which list, who carries it and for which day, and what concerns it as a whole. */
export function DeskHeader({ desk, work, onChoice, onDay, onKeys, children }: Props) {
  return (
    <ListHeader list={desk.id} name={desk.name}>
      <div className="flex flex-wrap items-center gap-x-3 pb-1">
        <Carriers group={desk.groupId} choice={desk.choice} holders={desk.holders} onChange={onChoice} />
        <MeantButton list={desk.parent?.id ?? desk.id} />
        <AsOf desk={desk} onChange={onDay} />
        {children}
        <span className="grow" />
        {!work.fixed && (
          <>
            <Back word="Undo" label={work.canUndo} act={() => void work.undo()} />
            <Back word="Redo" label={work.canRedo} act={() => void work.redo()} />
          </>
        )}
        <ExportMenu list={desk.id} />
        <Button kind="quiet" className="max-sm:hidden" onClick={onKeys}>
          Keys <kbd className="font-mono">?</kbd>
        </Button>
      </div>
    </ListHeader>
  );
}

function Back({ word, label, act }: { word: string; label?: string; act: () => void }) {
  return (
    <Button kind="quiet" disabled={!label} title={label && `${word}: ${label}`} onClick={act}>
      {word}
    </Button>
  );
}
