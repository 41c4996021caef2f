import type { Schemas } from '../api/client';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { type Draft, gainWords, powerWords } from './draft';

interface Props {
  draft: Draft;
  lines: Schemas['LineType'][];
  usualEfficiency: number;
  disabled: boolean;
  onChange: (change: Partial<Draft>) => void;
}

/** The figures of a station, with conversions beside what is typed. */
export function StationFields({ draft, lines, usualEfficiency, disabled, onChange }: Props) {
  const figure = (label: string, unit: string | undefined, key: keyof Draft, placeholder?: string) => (
    <Field
      label={label}
      unit={unit}
      mono
      inputMode="decimal"
      placeholder={placeholder}
      value={draft[key] as string}
      onChange={(typed) => onChange({ [key]: typed })}
    />
  );
  const line = lines.find((each) => each.name === draft.line);
  return (
    <fieldset disabled={disabled} className="flex flex-col gap-3">
      <div className="grid grid-cols-[minmax(0,1fr)_8rem] gap-2">
        <Field label="Name" value={draft.name} maxLength={100} onChange={(name) => onChange({ name })} />
        <Choice
          label="Kind"
          value={draft.kind}
          options={[
            ['base', 'base'],
            ['mobile', 'mobile'],
          ]}
          onChange={(kind) => onChange({ kind })}
        />
      </div>
      <div>
        {figure('Output at most', undefined, 'output')}
        <p className="text-second text-soft pt-0.5">{powerWords(draft.output)}</p>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)_5rem_6rem] gap-2">
        <Choice
          label="Line"
          value={draft.line}
          options={[
            ['', 'no line'],
            ...lines.map((each) => [each.name, `${each.name}, ${each.note}`] as const),
          ]}
          onChange={(next) => onChange({ line: next })}
        />
        {figure('Length', 'm', 'lineM')}
        {figure('Other losses', 'dB', 'otherLoss')}
      </div>
      {line && (
        <p className="text-second text-soft -mt-2">
          100 m of {line.name} lose{' '}
          {line.points
            .filter((point) => [30, 150, 450].includes(point.mhz))
            .map((point) => `${point.decibels} dB at ${point.mhz} MHz`)
            .join(', ')}
          .
        </p>
      )}
      <div>
        {figure('Antenna gain', undefined, 'gain')}
        <p className="text-second text-soft pt-0.5">{gainWords(draft.gain)}</p>
      </div>
      <div className="grid grid-cols-3 gap-2">
        {figure('Antenna height', 'm', 'heightM')}
        {figure('At the other end', 'm', 'otherHeightM')}
        {figure(
          'People come to',
          'm',
          'peopleM',
          String(Math.max(0, Number(draft.heightM.replace(',', '.')) - 2 || 0)),
        )}
      </div>
      {figure('Position', undefined, 'position', '45.2012, -93.1034')}
      <div className="grid grid-cols-3 gap-2">
        {figure('Keyed', '% of time', 'keyed')}
        {figure('Supply', 'V', 'supplyV')}
        {figure('Efficiency', '%', 'efficiency', String(usualEfficiency * 100))}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-28">{figure('Battery', 'Ah', 'batteryAh', 'none')}</div>
        <label className="flex items-center gap-1.5 pb-1">
          <input
            type="checkbox"
            checked={draft.processed}
            onChange={(event) => onChange({ processed: event.target.checked })}
          />
          Speech processor on SSB
        </label>
      </div>
    </fieldset>
  );
}
