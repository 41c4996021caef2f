import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import type { Line } from './drafts';

type Area = Schemas['PlaceArea'];
type Kind = 'nationwide' | 'circle' | 'box' | 'region';

const BLANK: Area = {
  latitude: null,
  longitude: null,
  radiusKm: null,
  south: null,
  west: null,
  north: null,
  east: null,
  region: null,
};

const START: Record<Kind, Area | null> = {
  nationwide: null,
  circle: { ...BLANK, latitude: 45, longitude: -93, radiusKm: 40 },
  box: { ...BLANK, south: 45, west: -93.5, north: 45.5, east: -93 },
  region: { ...BLANK, region: 'MN' },
};

const KINDS = [
  ['nationwide', 'nationwide'],
  ['circle', 'a circle'],
  ['box', 'a county box'],
  ['region', 'a state'],
] as const;

const kindOf = (area: Area | null): Kind =>
  !area ? 'nationwide' : area.south != null ? 'box' : area.latitude != null ? 'circle' : 'region';

const figure = (text: string) => (text.trim() === '' || Number.isNaN(Number(text)) ? null : Number(text));
const shown = (value: number | null | undefined) => (value == null ? '' : String(value));

interface Props {
  line: Line;
  onChange: (line: Line) => void;
  onRemove: () => void;
}

/** One line of a business licence: frequency, designator, powers, units, area. */
export function LineFields({ line, onChange, onRemove }: Props) {
  const set = (change: Partial<Line>) => onChange({ ...line, ...change });
  const area = line.area;
  const setArea = (change: Partial<Area>) => set({ area: { ...(area ?? BLANK), ...change } });
  const kind = kindOf(area);
  return (
    <div
      className="border-line flex flex-wrap items-end gap-2 border-t pt-2"
      role="group"
      aria-label={`Line ${line.mhz}`}
    >
      <Field
        className="w-28"
        label="Frequency"
        unit="MHz"
        mono
        value={line.mhz}
        onChange={(mhz) => set({ mhz })}
      />
      <Field
        className="w-24"
        label="Designator"
        mono
        value={line.emission}
        onChange={(emission) => set({ emission: emission.toUpperCase() })}
      />
      <Figure label="Output" unit="W" value={line.outputW} onChange={(outputW) => set({ outputW })} />
      <Figure label="ERP" unit="W" value={line.erpW} onChange={(erpW) => set({ erpW })} />
      <Figure
        label="Units"
        value={line.units}
        onChange={(units) => set({ units: units === null ? null : Math.round(units) })}
      />
      <Field
        className="w-[5.2rem]"
        label="Class"
        mono
        maxLength={4}
        value={line.stationClass ?? ''}
        onChange={(text) => set({ stationClass: text === '' ? null : text.toUpperCase() })}
      />
      <Choice label="Area" value={kind} options={KINDS} onChange={(next) => set({ area: START[next] })} />
      {kind === 'circle' && (
        <>
          <Figure label="Latitude" value={area!.latitude} onChange={(latitude) => setArea({ latitude })} />
          <Figure
            label="Longitude"
            value={area!.longitude}
            onChange={(longitude) => setArea({ longitude })}
          />
          <Figure
            label="Radius"
            unit="km"
            value={area!.radiusKm}
            onChange={(radiusKm) => setArea({ radiusKm })}
          />
        </>
      )}
      {kind === 'box' && (
        <>
          <Figure label="South" value={area!.south} onChange={(south) => setArea({ south })} />
          <Figure label="West" value={area!.west} onChange={(west) => setArea({ west })} />
          <Figure label="North" value={area!.north} onChange={(north) => setArea({ north })} />
          <Figure label="East" value={area!.east} onChange={(east) => setArea({ east })} />
        </>
      )}
      {kind === 'region' && (
        <Field
          className="w-16"
          label="State"
          mono
          maxLength={2}
          value={area!.region ?? ''}
          onChange={(region) => setArea({ region: region.toUpperCase() })}
        />
      )}
      <Button kind="quiet" className="text-second" onClick={onRemove}>
        Remove<span className="sr-only"> the line {line.mhz}</span>
      </Button>
    </div>
  );
}

interface FigureProps {
  label: string;
  unit?: string;
  value: number | null;
  onChange: (value: number | null) => void;
}

function Figure({ label, unit, value, onChange }: FigureProps) {
  return (
    <Field
      className="w-[5.2rem]"
      label={label}
      unit={unit}
      mono
      type="number"
      step="any"
      value={shown(value)}
      onChange={(text) => onChange(figure(text))}
    />
  );
}
