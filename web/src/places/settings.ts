import type { Schemas } from '../api/client';
import { dbd } from '../stations/draft';

type Settings = Schemas['Settings'];

/** What is being typed: texts, and which kind of place it is. */
export interface Draft {
  kind: 'unknown' | 'site' | 'circle' | 'region';
  latitude: string;
  longitude: string;
  radiusKm: string;
  region: string;
  antennaGainDbd: string;
  feedLossDb: string;
  directTones: string;
  maxTimeoutS: string;
  raster: string;
  unitsInUse: string;
  antennaHeightM: string;
  rulebook: string;
}

const text = (value: number | string | null | undefined) => (value == null ? '' : String(value));

/** A figure as typed: with a point or a comma; nothing when it is none. */
function number(typed: string): number | null {
  const value = Number(typed.trim().replace(',', '.'));
  return typed.trim() === '' || Number.isNaN(value) ? null : value;
}

const FIGURES: [keyof Draft, string][] = [
  ['latitude', 'The latitude'],
  ['longitude', 'The longitude'],
  ['radiusKm', 'The radius'],
  ['antennaGainDbd', 'The antenna gain'],
  ['feedLossDb', 'The feed loss'],
  ['antennaHeightM', 'The height of the antenna'],
  ['maxTimeoutS', 'The longest time-out'],
  ['unitsInUse', 'The number of radios'],
];

/** What is typed but is no figure; undefined when all is well. */
export function problem(draft: Draft): string | undefined {
  const wrong = FIGURES.find(
    ([key]) =>
      draft[key].trim() !== '' && (key === 'antennaGainDbd' ? dbd(draft[key]) : number(draft[key])) === null,
  );
  if (wrong) return `${wrong[1]} should be a number, not “${draft[wrong[0]]}”.`;
  const half =
    (draft.kind === 'site' || draft.kind === 'circle') &&
    (draft.latitude.trim() === '') !== (draft.longitude.trim() === '');
  return half ? 'A place has a latitude and a longitude.' : undefined;
}

export function draftOf(settings: Settings): Draft {
  const place = settings.place;
  const placed = place?.latitude != null;
  return {
    kind: placed ? ((place?.radiusKm ?? 0) > 0 ? 'circle' : 'site') : place?.region ? 'region' : 'unknown',
    latitude: text(place?.latitude),
    longitude: text(place?.longitude),
    radiusKm: text(place?.radiusKm),
    region: text(place?.region),
    antennaGainDbd: text(settings.antennaGainDbd),
    feedLossDb: text(settings.feedLossDb),
    directTones: text(settings.directTones),
    maxTimeoutS: text(settings.maxTimeoutS),
    raster: text(settings.twoMetreRasterKhz),
    unitsInUse: text(settings.unitsInUse),
    antennaHeightM: text(settings.antennaHeightM),
    rulebook: settings.rulebook ?? '',
  };
}

const NOWHERE = { south: null, west: null, north: null, east: null };

function place(draft: Draft): Settings['place'] {
  if (draft.kind === 'region')
    return draft.region
      ? { ...NOWHERE, latitude: null, longitude: null, radiusKm: null, region: draft.region }
      : null;
  if (draft.kind === 'unknown') return null;
  const latitude = number(draft.latitude);
  const longitude = number(draft.longitude);
  if (latitude === null && longitude === null) return null;
  const radiusKm = draft.kind === 'circle' ? number(draft.radiusKm) : null;
  return { ...NOWHERE, latitude, longitude, radiusKm, region: null };
}

export function settingsOf(draft: Draft): Settings {
  return {
    place: place(draft),
    antennaGainDbd: draft.antennaGainDbd.trim() === '' ? null : dbd(draft.antennaGainDbd),
    feedLossDb: number(draft.feedLossDb),
    directTones: draft.directTones || null,
    maxTimeoutS: number(draft.maxTimeoutS),
    twoMetreRasterKhz: number(draft.raster),
    unitsInUse: number(draft.unitsInUse),
    antennaHeightM: number(draft.antennaHeightM),
    rulebook: draft.rulebook,
  };
}
