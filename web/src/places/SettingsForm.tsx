import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { gainWords } from '../stations/draft';
import { useRulebooks, useTerms } from '../rulebooks/rulebooks';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import type { Draft } from './settings';

const KINDS = [
  ['unknown', 'not known'],
  ['site', 'one site'],
  ['circle', 'within a circle'],
] as const;
const IN_A_STATE = ['region', 'somewhere in a state'] as const;
const TONES = [
  ['', 'not settled'],
  ['open', 'receive open: hear everyone'],
  ['same-both-ways', 'same tone both ways: hear only us'],
] as const;

interface Props {
  draft: Draft;
  regions: Schemas['RegionName'][];
  fixed: boolean;
  onChange: (change: Partial<Draft>) => void;
}

/** The place of a list, its antenna and radios, and the house rules. */
export function SettingsForm({ draft, regions, fixed, onChange }: Props) {
  const rulebooks = useRulebooks();
  const raster = useTerms(draft.rulebook || undefined).data?.raster;
  const figure = (label: string, unit: string | undefined, key: keyof Draft) => (
    <Field label={label} unit={unit} mono value={draft[key]} onChange={(text) => onChange({ [key]: text })} />
  );
  return (
    <>
      <Part title="Where it is used" fixed={fixed}>
        <Choice
          label="Rulebook"
          value={draft.rulebook || (rulebooks.data?.[0]?.id ?? '')}
          options={(rulebooks.data ?? []).map((each) => [each.id, each.title] as const)}
          onChange={(rulebook) => onChange({ rulebook })}
        />
        <Choice
          label="The place is"
          value={draft.kind}
          options={regions.length > 0 ? [...KINDS, IN_A_STATE] : KINDS}
          onChange={(kind) => onChange({ kind: kind })}
        />
        {(draft.kind === 'site' || draft.kind === 'circle') && (
          <div className="grid grid-cols-3 gap-2">
            {figure('Latitude', '° N or S', 'latitude')}
            {figure('Longitude', '° E or W', 'longitude')}
            {draft.kind === 'circle' && figure('Radius', 'km', 'radiusKm')}
          </div>
        )}
        {draft.kind === 'region' && (
          <Choice
            label="State"
            value={draft.region}
            options={[['', 'choose'], ...regions.map((each) => [each.code, each.name] as const)]}
            onChange={(region) => onChange({ region })}
          />
        )}
        <div className="grid grid-cols-3 gap-2">
          {figure('Antenna gain', 'dBd', 'antennaGainDbd')}
          {figure('Feed loss', 'dB', 'feedLossDb')}
          {figure('Antenna height', 'm', 'antennaHeightM')}
        </div>
        {draft.antennaGainDbd.trim() !== '' && (
          <p className="text-second text-soft -mt-2">{gainWords(draft.antennaGainDbd)}</p>
        )}
        <div className="grid grid-cols-3 gap-2">{figure('Radios in use', undefined, 'unitsInUse')}</div>
        <p className="text-second text-soft">
          Gain and loss make radiated power of output; left empty, 0 dBd is assumed and said. With the height
          of a fixed or mobile antenna the distance for exposure is asked about. Radios in use are held
          against the number of units on a licence line. Keep people and power lines clear of antennas: local
          codes and the licence come first.
        </p>
      </Part>
      <Part title="House rules" fixed={fixed}>
        <Choice
          label="Tones on direct channels"
          value={draft.directTones}
          options={TONES}
          onChange={(directTones) => onChange({ directTones })}
        />
        <div className="grid grid-cols-2 gap-2">
          {figure('Longest time-out', 's', 'maxTimeoutS')}
          {raster && (
            <Choice
              label={`Raster on ${raster.band}`}
              value={draft.raster}
              options={[
                ['', 'not settled'],
                ...raster.stepsKhz.map((step) => [step, `${step} kHz`] as const),
              ]}
              onChange={(next) => onChange({ raster: next })}
            />
          )}
        </div>
        <p className="text-second text-soft">Calling channels stay open whatever the house rule says.</p>
      </Part>
    </>
  );
}

function Part({ title, fixed, children }: { title: string; fixed: boolean; children: ReactNode }) {
  return (
    <fieldset disabled={fixed} className="flex flex-col gap-3">
      <legend className="text-title pb-1 font-semibold">{title}</legend>
      {children}
    </fieldset>
  );
}
