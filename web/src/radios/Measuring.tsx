import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { SumView } from '../desk/SumView';
import { Button } from '../ui/Button';
import { moment } from '../ui/dates';
import { Field, INPUT, Labelled } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { VerdictMark, verdictEdge } from '../ui/VerdictMark';
import { Trend } from './Trend';
import { Section } from './Section';

const MEASURED: Record<Schemas['MeasurementKind'], string> = {
  'output-power': 'Measured',
  'frequency-error': 'Measured',
  'peak-deviation': 'Peak deviation',
  'tone-deviation': 'Tone deviation',
  spurious: 'Strongest, below the fundamental',
};
const MARK = { in: 'clear', out: 'hold', unjudged: 'listen' } as const;
const NOMINAL: Record<string, string> = { 'output-power': 'Rated, W', spurious: 'Fundamental, W' };

/** What was measured on the radio, by what and where: the newest with its sum, and how it went over time. */
export function Measuring({ unit }: { unit: number }) {
  const caughtUp = useCaughtUp();
  const [draft, setDraft] = useState<Schemas['Measured']>({
    kind: 'output-power',
    mhz: '',
    narrow: false,
    nominal: '',
    measured: '',
    spurMhz: null,
  });
  const set = (some: Partial<Schemas['Measured']>) => setDraft({ ...draft, ...some });
  const measurements = Server.useQuery('get', '/api/units/{unit}/measurements', {
    params: { path: { unit } },
  });
  const add = useMutation({
    mutationFn: () =>
      data(api.POST('/api/units/{unit}/measurements', { params: { path: { unit } }, body: draft })),
    onSuccess: async () => {
      setDraft({ ...draft, measured: '', spurMhz: null });
      await caughtUp();
    },
  });
  const kinds = measurements.data?.kinds ?? [];
  const kind = kinds.find((each) => each.kind === draft.kind);
  const series = new Map<string, Schemas['MeasurementView'][]>();
  for (const each of measurements.data?.all ?? []) {
    const key = `${each.title} at ${each.mhz} MHz${each.spurMhz ? `, on ${each.spurMhz}` : ''}`;
    series.set(key, [...(series.get(key) ?? []), each]);
  }
  return (
    <Section title="Measurements">
      <ul className="flex flex-col gap-1.5">
        {[...series].map(([name, all]) => (
          <Series key={name} name={name} all={all} />
        ))}
      </ul>
      {series.size === 0 && <p className="text-soft">Nothing was measured yet.</p>}
      <form
        aria-label="Write down a measurement"
        className="flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          add.mutate();
        }}
      >
        <Labelled label="Measure">
          <select
            className={INPUT}
            value={draft.kind}
            onChange={(event) => set({ kind: event.target.value as Schemas['MeasurementKind'] })}
          >
            {kinds.map((each) => (
              <option key={each.kind} value={each.kind}>
                {each.title}
              </option>
            ))}
          </select>
        </Labelled>
        <Field
          label="At, MHz"
          mono
          className="w-24"
          value={draft.mhz}
          onChange={(mhz) => set({ mhz })}
          maxLength={20}
        />
        {NOMINAL[draft.kind] && (
          <Field
            label={NOMINAL[draft.kind]!}
            mono
            className="w-24"
            value={draft.nominal}
            onChange={(nominal) => set({ nominal })}
            maxLength={20}
          />
        )}
        <Field
          label={MEASURED[draft.kind] ?? 'Measured'}
          unit={kind?.unit.replace(' below', '')}
          mono
          className={draft.kind === 'spurious' ? 'w-56' : 'w-32'}
          value={draft.measured}
          onChange={(measured) => set({ measured })}
          maxLength={20}
        />
        {draft.kind === 'spurious' && (
          <Field
            label="The spur, MHz"
            mono
            className="w-28"
            value={draft.spurMhz ?? ''}
            onChange={(spurMhz) => set({ spurMhz: spurMhz || null })}
            maxLength={20}
          />
        )}
        <label className="flex items-center gap-1.5 pb-1">
          <input
            type="checkbox"
            checked={draft.narrow}
            onChange={(event) => set({ narrow: event.target.checked })}
          />
          narrow channel
        </label>
        <Button type="submit" disabled={add.isPending || draft.mhz === '' || draft.measured === ''}>
          Write it down
        </Button>
      </form>
      {add.error && <Notice message={add.error.message} />}
    </Section>
  );
}

function Series({ name, all }: { name: string; all: Schemas['MeasurementView'][] }) {
  const newest = all[0]!;
  return (
    <li
      className={`border-line bg-sheet rounded border border-l-[3px] px-3 py-1.5 ${verdictEdge[MARK[newest.verdict]]}`}
    >
      <details>
        <summary className="marker:text-edge cursor-pointer">
          <span className="inline-flex translate-y-[2px] pr-1.5">
            <VerdictMark verdict={MARK[newest.verdict]} size={13} />
          </span>
          <span className="font-semibold">{name}</span>
          <span className="float-right">
            <Trend values={all.map((each) => Number(each.measured)).reverse()} />
          </span>
          <span className="block pl-4">{newest.message}</span>
        </summary>
        <div className="text-second py-1">
          <SumView lines={newest.sum} />
          <p className="text-soft">
            {newest.source && `${newest.source}. `}
            {moment(newest.at)}, {newest.by}
          </p>
          {all.slice(1).map((each) => (
            <p key={each.id} className="text-soft">
              {moment(each.at)}: {each.measured} {each.unit}
              {each.verdict === 'out' ? ', out of tolerance' : ''}
            </p>
          ))}
        </div>
      </details>
    </li>
  );
}
