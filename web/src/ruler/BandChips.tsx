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
  const groups = new Map<string, { band?: Band; slips: Slip[] }>();
  for (const slip of slips) {
    const band = bandAt(bands, home(slip));
    const name = band?.name ?? 'Elsewhere';
    const group = groups.get(name) ?? { band, slips: [] };
    group.slips.push(slip);
    groups.set(name, group);
  }
  const rising = [...groups].sort(([, a], [, b]) => (a.band?.low ?? Infinity) - (b.band?.low ?? Infinity));
  return (
    <div
      className="relative flex min-w-0 gap-1 overflow-x-auto [scrollbar-width:thin] md:flex-wrap md:overflow-visible"
      role="group"
      aria-label="Bands"
    >
      {rising.map(([name, { band, slips: members }]) => {
        const held = members.filter((slip) => slip.verdict === 'hold').length;
        const worst = members.find((slip) => slip.verdict === 'hold') ?? members[0];
        return (
          <button
            key={name}
            type="button"
            aria-pressed={name === current}
            ref={name === current ? intoSight : undefined}
            onClick={() => worst && onChoose(worst, band)}
            className={`text-second flex shrink-0 items-center gap-1 rounded-full border px-2 py-px whitespace-nowrap ${name === current ? 'border-accent bg-accent-wash text-accent font-semibold' : 'border-line hover:border-edge'}`}
          >
            {name}
            <span className="font-mono">{members.length}</span>
            {held > 0 && <span className="bg-hold size-[7px]" title={`${held} on hold`} />}
          </button>
        );
      })}
    </div>
  );
}

/** A chip that has become the current one is brought into sight, sideways only. */
function intoSight(chip: HTMLElement | null) {
  const row = chip?.parentElement;
  if (!chip || !row) return;
  if (chip.offsetLeft < row.scrollLeft) row.scrollLeft = chip.offsetLeft;
  const right = chip.offsetLeft + chip.offsetWidth - row.clientWidth;
  if (right > row.scrollLeft) row.scrollLeft = right;
}
