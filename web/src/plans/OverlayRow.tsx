import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';

type Row = Schemas['OverlayRow'];

interface Props {
  row: Row;
  uses: Schemas['Use'][];
  onFocus: () => void;
  onChange: (row: Row) => void;
  onRemove: () => void;
}

const CALLING = [
  ['', 'no'],
  ['FM', 'FM'],
  ['SSB', 'SSB'],
  ['CW', 'CW'],
] as const;

/** Several values in one field, with commas. */
const listed = (text: string) =>
  text
    .split(/[,;]\s*|\s+/)
    .map((each) => each.trim())
    .filter(Boolean);

/** One row: where, what it is kept for, offsets and raster, and what to say. */
export function OverlayRow({ row, uses, onFocus, onChange, onRemove }: Props) {
  const set = (change: Partial<Row>) => onChange({ ...row, ...change });
  const known = uses.map((use) => [use.id, use.words] as const);
  return (
    <li
      className="border-line bg-sheet focus-within:border-accent flex flex-wrap items-end gap-2 rounded border px-3 py-2"
      onFocus={onFocus}
    >
      <Field
        className="w-44"
        label="Range or frequency"
        unit="MHz"
        mono
        placeholder="442.000-445.000"
        value={row.mhz}
        onChange={(mhz) => set({ mhz })}
      />
      <Choice
        className="w-44"
        label="Kept for"
        value={row.uses[0] ?? 'any'}
        options={known}
        onChange={(use) => set({ uses: [use, ...row.uses.slice(1)] })}
      />
      <Choice
        className="w-40"
        label="and"
        value={row.uses[1] ?? ''}
        options={[['', 'nothing else'], ...known]}
        onChange={(use) => set({ uses: [row.uses[0] ?? 'any', ...(use ? [use] : [])] })}
      />
      <Field
        className="w-28"
        label="Offsets"
        unit="MHz"
        mono
        placeholder="-0.6"
        value={row.offsetsMhz.join(', ')}
        onChange={(text) => set({ offsetsMhz: listed(text) })}
      />
      <Field
        className="w-36"
        label="Raster, first + kHz"
        mono
        placeholder="442.000+25"
        value={row.rasters.join(', ')}
        onChange={(text) => set({ rasters: listed(text) })}
      />
      <Choice
        className="w-24"
        label="Calling"
        value={row.calling ?? ''}
        options={CALLING}
        onChange={(mode) => set({ calling: mode || null })}
      />
      <Field
        className="w-56 grow"
        label="Note"
        value={row.note ?? ''}
        onChange={(text) => set({ note: text || null })}
      />
      <Field
        className="w-64 grow"
        label="Warning, asked of everyone who talks there"
        value={row.warning ?? ''}
        onChange={(text) => set({ warning: text || null })}
      />
      <Button kind="quiet" className="text-second" onClick={onRemove}>
        Remove<span className="sr-only"> the row {row.mhz}</span>
      </Button>
    </li>
  );
}
