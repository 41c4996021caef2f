import { PopMenu } from '../ui/PopMenu';

interface Props {
  name: string;
  archived: boolean;
  onRename: () => void;
  onCopy: () => void;
  onArchive: () => void;
  onDelete: () => void;
}

/** What can be done to a list as a whole, where it stands. */
export function ListMenu({ name, archived, onRename, onCopy, onArchive, onDelete }: Props) {
  return (
    <PopMenu
      button={<span aria-hidden="true">⋯</span>}
      label={`More for ${name}`}
      className="text-soft hover:text-accent hover:border-edge grid size-8 shrink-0 place-items-center self-center rounded border border-transparent"
      look="w-48"
      choices={[
        { words: 'Rename', onChoose: onRename },
        { words: 'Copy', onChoose: onCopy },
        { words: archived ? 'Bring back' : 'Archive', onChoose: onArchive },
        { words: 'Delete', onChoose: onDelete },
      ]}
    />
  );
}
