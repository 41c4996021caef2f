import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import type { Schemas } from '../api/client';
import { Megahertz } from '../ui/Megahertz';
import { VerdictMark, verdictWord } from '../ui/VerdictMark';
import { verdictAt, type Cell, type Decided } from './cells';

const ROW = 28;
const COLUMN = 30;
const WIDE = 96;
const NAMES = 430;
const NAMES_ALONE = 310;
const SHORT_NAMES = 176;
const NARROW = '(max-width: 40rem)';
const HEAD = 150;
const LOW_HEAD = 62;
const FEW = 12;

interface Props {
  /** What the grid tells. */
  label?: string;
  matrix: Schemas['Matrix'];
  columns: Schemas['MatrixColumn'][];
  decided: Decided[];
  cell: Cell;
  onCell: (cell: Cell) => void;
  /** The key of the column whose worst stand first. */
  sorted?: number;
  /** Its heading is pressed, or s: the worst for it first, and again as in the list. */
  onSort?: (column: number) => void;
  /** Enter opens the entry. */
  onOpen: (entry: number) => void;
}

/** Entries down, people across; only what is in sight is drawn, and one cell has the focus. */
export function MatrixGrid({
  label = 'Who may key what',
  matrix,
  columns,
  decided,
  cell,
  sorted,
  onSort,
  onCell,
  onOpen,
}: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const few = columns.length <= FEW;
  const narrow = window.matchMedia(NARROW).matches;
  const names = narrow ? SHORT_NAMES : decided.length > 0 ? NAMES : NAMES_ALONE;
  const size = few ? WIDE : COLUMN;
  const head = few ? LOW_HEAD : HEAD;
  const rows = useVirtualizer({
    count: matrix.entries.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 6,
    paddingStart: head,
    scrollPaddingStart: head,
  });
  const across = useVirtualizer({
    horizontal: true,
    count: columns.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => size,
    overscan: 6,
    paddingStart: names,
    scrollPaddingStart: names,
  });
  useEffect(() => {
    across.measure();
    rows.measure();
  }, [size, across, rows]);

  // The entry that is chosen on another page is in sight when this one opens.
  const first = useRef(cell.row);
  useEffect(() => {
    if (first.current > 0) rows.scrollToIndex(first.current, { align: 'center' });
  }, [rows]);

  const move = (event: KeyboardEvent) => {
    const page = Math.max(1, Math.floor((scroller.current?.clientHeight ?? 300) / ROW) - 6);
    const by: Record<string, [number, number]> = {
      ArrowDown: [1, 0],
      ArrowUp: [-1, 0],
      ArrowRight: [0, 1],
      ArrowLeft: [0, -1],
      PageDown: [page, 0],
      PageUp: [-page, 0],
      Home: [0, -columns.length],
      End: [0, columns.length],
    };
    const entry = matrix.entries[cell.row];
    if (event.key === 'Enter' && entry) return onOpen(entry.id);
    const sort = columns[cell.column];
    if (event.key === 's' && sort) return onSort?.(sort.key);
    const step = by[event.key];
    if (!step) return;
    event.preventDefault();
    const next = {
      row: Math.min(matrix.entries.length - 1, Math.max(0, cell.row + step[0])),
      column: Math.min(columns.length - 1, Math.max(0, cell.column + step[1])),
    };
    onCell(next);
    rows.scrollToIndex(next.row);
    across.scrollToIndex(next.column);
  };

  return (
    <div
      ref={scroller}
      role="grid"
      tabIndex={0}
      aria-label={label}
      aria-rowcount={matrix.entries.length}
      aria-colcount={columns.length}
      aria-activedescendant={`cell-${cell.row}-${cell.column}`}
      onKeyDown={move}
      className="h-full overflow-auto focus-visible:outline-none"
      data-testid="matrix"
    >
      <div className="relative" style={{ height: rows.getTotalSize(), width: across.getTotalSize() }}>
        <div role="row" className="bg-paper sticky top-0 z-20" style={{ height: head }}>
          <div
            role="columnheader"
            className="bg-paper border-edge text-second text-soft sticky left-0 z-10 flex items-end border-b px-3 pb-1"
            style={{ width: names, height: head }}
          >
            <span className="w-10 shrink-0">No.</span>
            <span className="w-36">Entry</span>
            {!narrow && (
              <>
                <span className="w-24 text-right">Talks (TX), MHz</span>
                <span className="pl-4">{decided.length > 0 && 'Decided by'}</span>
              </>
            )}
          </div>
          {across.getVirtualItems().map((item) => {
            const column = columns[item.index]!;
            return (
              <div
                key={column.key}
                role="columnheader"
                aria-sort={sorted === undefined ? undefined : sorted === column.key ? 'descending' : 'none'}
                className={`border-edge absolute top-0 border-b ${item.index === cell.column ? 'bg-accent-wash' : ''}`}
                style={{ left: item.start, width: size, height: head }}
                title={`${column.name}: ${column.holds || 'class of licence'}${column.carries ? ', carries the list' : ''}`}
              >
                {onSort && (
                  <button
                    type="button"
                    tabIndex={-1}
                    aria-label={`${column.name}: ${sorted === column.key ? 'as in the list' : 'worst first'}`}
                    className="hover:bg-accent-wash absolute inset-0"
                    onClick={() => onSort(column.key)}
                  />
                )}
                <span
                  className={
                    few
                      ? `pointer-events-none absolute inset-x-1 bottom-5 line-clamp-2 text-center leading-tight ${weight(column)}`
                      : `pointer-events-none absolute bottom-5 left-1/2 w-[122px] origin-bottom-left translate-x-[5px] -rotate-90 truncate text-[13px] leading-none ${weight(column)}`
                  }
                >
                  {column.name}
                </span>
                <span className="text-hold pointer-events-none absolute bottom-0.5 w-full text-center font-mono text-[11px]">
                  {sorted === column.key ? '▾' : ''}
                  {column.counts.hold > 0 && column.counts.hold}
                </span>
              </div>
            );
          })}
        </div>
        {rows.getVirtualItems().map((item) => {
          const entry = matrix.entries[item.index]!;
          const by = decided[item.index];
          return (
            <div
              key={entry.id}
              role="row"
              className="absolute left-0 w-full"
              style={{ top: item.start, height: ROW }}
            >
              <div
                role="rowheader"
                className={`border-line sticky left-0 z-10 flex items-center border-b px-3 ${item.index === cell.row ? 'bg-accent-wash' : 'bg-paper'}`}
                style={{ width: names, height: ROW }}
              >
                <span className="text-soft w-10 shrink-0 truncate font-mono text-[13px]">{entry.number}</span>
                <span className={`truncate font-semibold ${narrow ? '' : 'w-36 shrink-0'}`}>
                  {entry.name}
                </span>
                <span className="text-second w-24 shrink-0 text-right max-sm:hidden">
                  {entry.txHz === null ? (
                    <span className="text-soft">–</span>
                  ) : (
                    <Megahertz hertz={entry.txHz} />
                  )}
                </span>
                <span className="text-second text-soft flex min-w-0 items-center gap-1 pl-4 max-sm:hidden">
                  {by && (by.verdict === 'hold' || by.verdict === 'query') && (
                    <>
                      <VerdictMark verdict={by.verdict} size={11} />
                      <span className="truncate">{by.all && by.many > 1 ? 'everyone' : by.name}</span>
                      {!by.all && by.many > 1 && <span className="shrink-0">+{by.many - 1}</span>}
                    </>
                  )}
                </span>
              </div>
              {across.getVirtualItems().map((column) => {
                const verdict = verdictAt(matrix, columns[column.index]!, item.index);
                const here = item.index === cell.row && column.index === cell.column;
                return (
                  // The grid itself has the focus and hears the keys; a cell is its active descendant.
                  // eslint-disable-next-line jsx-a11y/click-events-have-key-events
                  <div
                    key={column.key}
                    tabIndex={-1}
                    id={`cell-${item.index}-${column.index}`}
                    role="gridcell"
                    aria-label={`${entry.name}, ${columns[column.index]!.name}: ${verdictWord(verdict)}`}
                    aria-selected={here}
                    onClick={() => onCell({ row: item.index, column: column.index })}
                    className={`border-line absolute top-0 flex cursor-pointer items-center justify-center border-r border-b ${here ? 'outline-accent z-[1] outline-2 -outline-offset-2' : ''} ${column.index === cell.column || item.index === cell.row ? 'bg-accent-wash' : verdict === 'hold' ? 'bg-sunk' : ''}`}
                    style={{ left: column.start, width: size, height: ROW }}
                  >
                    <VerdictMark verdict={verdict} size={13} />
                  </div>
                );
              })}
            </div>
          );
        })}
      </div>
    </div>
  );
}

const weight = (column: Schemas['MatrixColumn']) => (column.carries ? 'font-semibold' : 'text-soft');
