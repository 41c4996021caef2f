import {
  defaultRangeExtractor,
  elementScroll,
  useVirtualizer,
  type Virtualizer,
} from '@tanstack/react-virtual';
import { useEffect, useRef } from 'react';
import type { Cure, Slip } from '../api/client';
import { VerdictMark, verdictText } from '../ui/VerdictMark';
import type { Row } from './rows';
import { SlipRow } from './SlipRow';

const SLIP = 53;
const HEADING = 30;

/** Which share of the window the entries have at least, until they have been laid out. */
const AT_LEAST = 0.4;

type Rows = Virtualizer<HTMLDivElement, Element>;

/** Tells of the list's size when the page has been laid out, instead of having it laid out to ask. */
function measured(rows: Rows, tell: (rect: { width: number; height: number }) => void) {
  const list = rows.scrollElement;
  if (!list) return;
  const sizes = new ResizeObserver(() => tell({ width: list.offsetWidth, height: list.offsetHeight }));
  sizes.observe(list);
  return () => sizes.disconnect();
}

/** Scrolls, but not a new list to its top, where it is: that would have the page laid out before it is drawn. */
const scrolled: typeof elementScroll = (offset, options, rows) => {
  if (offset !== 0 || rows.scrollOffset) elementScroll(offset, options, rows);
};

/** Whether a row is in sight as a whole, below the heading that stays. */
function inSight({ measurementsCache, scrollOffset, scrollRect }: Rows, index: number): boolean {
  const row = measurementsCache[index];
  const top = scrollOffset ?? 0;
  return row !== undefined && row.start >= top + HEADING && row.end <= top + (scrollRect?.height ?? 0);
}

interface Props {
  rows: Row[];
  selected?: number;
  onSelect: (slip: Slip) => void;
  /** The cure that a row offers. */
  cureOf: (slip: Slip) => Cure | null;
  onCure?: (slip: Slip, cure: Cure) => void;
}

/** The entries as slips, with headings that stay in sight; only what is in sight is drawn. */
export function SlipList({ rows, selected, onSelect, cureOf, onCure }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const headings = rows.flatMap((row, index) => (row.kind === 'heading' ? [index] : []));
  const sticky = (first: number) => headings.findLast((index) => index <= first);
  const active = useRef<number | undefined>(undefined);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: (index) => (rows[index]?.kind === 'heading' ? HEADING : SLIP),
    getItemKey: (index) => rows[index]?.key ?? index,
    overscan: 8,
    scrollPaddingStart: HEADING,
    initialRect: { width: 0, height: window.innerHeight * AT_LEAST },
    observeElementRect: measured,
    scrollToFn: scrolled,
    rangeExtractor: (range) => {
      active.current = sticky(range.startIndex);
      const shown = defaultRangeExtractor(range);
      return active.current === undefined || shown.includes(active.current)
        ? shown
        : [active.current, ...shown];
    },
  });
  const at = rows.findIndex((row) => row.kind === 'slip' && row.slip.id === selected);
  useEffect(() => {
    if (at >= 0 && !inSight(virtual, at)) virtual.scrollToIndex(at, { align: 'auto' });
    // Only a new selection scrolls; rows that change under it do not.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [selected]);
  return (
    <div ref={scroller} className="h-full overflow-y-auto" tabIndex={-1} data-testid="slips">
      <div
        role="list"
        aria-label="Entries"
        className="relative w-full"
        style={{ height: virtual.getTotalSize() }}
      >
        {virtual.getVirtualItems().map((item) => {
          const row = rows[item.index];
          if (!row) return null;
          const stuck = row.kind === 'heading' && item.index === active.current;
          return (
            <div
              key={item.key}
              role="listitem"
              className={`w-full ${stuck ? 'sticky top-0 z-10' : 'absolute top-0 left-0'}`}
              style={{ height: item.size, transform: stuck ? undefined : `translateY(${item.start}px)` }}
            >
              {row.kind === 'heading' ? (
                <Heading row={row} />
              ) : (
                <SlipRow
                  slip={row.slip}
                  selected={row.slip.id === selected}
                  onSelect={onSelect}
                  cure={onCure ? cureOf(row.slip) : null}
                  onCure={onCure}
                />
              )}
            </div>
          );
        })}
      </div>
    </div>
  );
}

function Heading({ row }: { row: Extract<Row, { kind: 'heading' }> }) {
  return (
    <h2
      className={`bg-paper border-line text-second flex h-full items-center gap-2 border-b px-4 font-semibold ${row.verdict ? verdictText[row.verdict] : 'text-soft'}`}
    >
      {row.verdict && <VerdictMark verdict={row.verdict} size={13} />}
      {row.label}
      <span className="text-soft font-mono font-normal">{row.count}</span>
      {row.changed > 0 && (
        <span className="text-soft font-normal">
          and {row.changed === 1 ? 'one' : row.changed} that just changed
        </span>
      )}
    </h2>
  );
}
