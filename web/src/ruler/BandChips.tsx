import { memo, useMemo } from 'react';
import type { Slip } from '../api/client';
import { type Band, bandAt, home } from './view';

interface Props {
  bands: Band[];
  slips: Slip[];
  current?: string;
  onChoose: (slip: Slip, band: Band | undefined) => void;
}

/** The bands that the list is in, with counts; choosing one zooms to it and to its worst entry. */
export function BandChips({ bands, slips, current, onChoose }: Props) {
  const rising = useMemo(() => grouped(bands, slips), [bands, slips]);
  return (
    <div
      className="relative flex min-w-0 gap-1 overflow-x-auto [scrollbar-width:thin] md:flex-wrap md:overflow-visible"
      role="group"
      aria-label="Bands"
    >
      {rising.map(([name, { band, slips: members, held }]) => {
        const worst = members.find((slip) => slip.verdict === 'hold') ?? members[0];
        return (
          <button
            key={name}
            type="button"
            aria-pressed={name === current}
            ref={name === current ? intoSight : undefined}
            onClick={() => worst && onChoose(worst, band)}
            className={`text-second relative flex shrink-0 items-center gap-1 rounded border px-2 pt-px pb-[7px] whitespace-nowrap ${name === current ? 'border-accent bg-accent-wash text-accent font-semibold' : 'border-line hover:border-edge'}`}
          >
            {name}
            <span className="font-mono">{members.length}</span>
            {held > 0 && <span className="bg-hold size-[7px]" title={`${held} on hold`} />}
            {band && <Strip band={band} slips={members} />}
          </button>
        );
      })}
    </div>
  );
}

interface Group {
  band?: Band;
  slips: Slip[];
  held: number;
}

function grouped(bands: Band[], slips: Slip[]): [string, Group][] {
  const groups = new Map<string, Group>();
  for (const slip of slips) {
    const band = bandAt(bands, home(slip));
    const name = band?.name ?? 'Elsewhere';
    let group = groups.get(name);
    if (!group) groups.set(name, (group = { band, slips: [], held: 0 }));
    group.slips.push(slip);
    if (slip.verdict === 'hold') group.held++;
  }
  return [...groups].sort(([, a], [, b]) => (a.band?.low ?? Infinity) - (b.band?.low ?? Infinity));
}

const STRIP = 100;

/** Where in its band the entries are, those on hold in their colour: the whole list at a glance. */
const Strip = memo(function Strip({ band, slips }: { band: Band; slips: Slip[] }) {
  const at = (slip: Slip) => (((home(slip) ?? band.low) - band.low) / (band.high - band.low)) * STRIP;
  const ticks = (of: Slip[]) =>
    [...new Set(of.map((slip) => Math.round(at(slip))))].map((x) => `M${x} 0v4`).join('');
  return (
    <svg
      viewBox={`-1 0 ${STRIP + 2} 4`}
      preserveAspectRatio="none"
      aria-hidden="true"
      className="bg-sunk absolute inset-x-1 bottom-[2px] h-[4px] w-[calc(100%-0.5rem)]"
    >
      <path
        d={ticks(slips.filter((slip) => slip.verdict !== 'hold'))}
        className="stroke-slate"
        strokeWidth="2"
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={ticks(slips.filter((slip) => slip.verdict === 'hold'))}
        className="stroke-hold"
        strokeWidth="2"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
});

/** A chip that has become the current one is brought into sight, sideways only, when the page is laid out anyway. */
function intoSight(chip: HTMLElement | null) {
  requestAnimationFrame(() => {
    const row = chip?.parentElement;
    if (!chip || !row) return;
    if (chip.offsetLeft < row.scrollLeft) row.scrollLeft = chip.offsetLeft;
    const right = chip.offsetLeft + chip.offsetWidth - row.clientWidth;
    if (right > row.scrollLeft) row.scrollLeft = right;
  });
}
