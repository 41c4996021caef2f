import type { RefObject } from 'react';
import type { Schemas } from '../api/client';
import { ToolMenu, type Tool } from '../tools/ToolMenu';
import { Button } from '../ui/Button';
import type { Grouping } from './rows';
import { VerdictFilter } from './VerdictFilter';

const GROUPINGS: Record<Grouping, string> = {
  verdict: 'by verdict',
  band: 'by band',
  list: 'as in the list',
};

/** The grouping that comes after one. */
export const NEXT: Record<Grouping, Grouping> = { verdict: 'band', band: 'list', list: 'verdict' };

interface Props {
  counts: Schemas['Counts'];
  chosen: string[];
  search: string;
  grouping: Grouping;
  searchBox: RefObject<HTMLInputElement | null>;
  onToggle: (verdict: string) => void;
  onSearch: (text: string) => void;
  onGroup: () => void;
  onAdd: () => void;
  onCureAll: () => void;
  onTool: (tool: Tool) => void;
  /** Whether the list cannot be changed as it is seen. */
  fixed: boolean;
}

/** Which entries are shown, and in what order. */
export function ListToolbar(props: Props) {
  const { counts, chosen, search, grouping, searchBox, onToggle, onSearch, onGroup, onAdd } = props;
  return (
    <div className="border-line flex flex-wrap items-center gap-x-1 gap-y-1 border-b px-2 py-1.5">
      <VerdictFilter counts={counts} chosen={chosen} onChoose={onToggle} />
      <span className="grow" />
      <input
        ref={searchBox}
        type="search"
        aria-label="Find an entry"
        placeholder="Find  /"
        className="border-line bg-sheet text-second w-28 rounded border px-2 py-0.5"
        value={search}
        onChange={(event) => onSearch(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') {
            onSearch('');
            event.currentTarget.blur();
          }
        }}
      />
      <Button kind="quiet" className="text-second max-sm:hidden" onClick={onGroup}>
        {GROUPINGS[grouping]}
      </Button>
      {!props.fixed && (
        <>
          <Button kind="quiet" className="text-second" onClick={onAdd}>
            Add entries
          </Button>
          <ToolMenu onChoose={props.onTool} />
          <Button
            className="text-second"
            disabled={counts.hold + counts.query === 0}
            onClick={props.onCureAll}
          >
            Cure all
          </Button>
        </>
      )}
    </div>
  );
}
