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

/**
 * Degrees as people write them: 45.2 N, 93,1° W, or with a sign. Nothing when it is none.
 *
 * @param letters what stands for above and below zero
 */
export function degrees(typed: string, letters: 'NS' | 'EW'): number | null {
  const found = /^([-−+]?)\s*(\d{1,3}(?:[.,]\d+)?)\s*°?\s*([NSEW])?$/i.exec(typed.trim());
  if (!found) return null;
  const [, sign, figure, letter = ''] = found;
  const at = letters.indexOf(letter.toUpperCase());
  if (at < 0 || (sign && letter)) return null;
  const below = letter === '' ? sign === '-' || sign === '−' : at === 1;
  const value = Number(figure!.replace(',', '.'));
  return below ? -value : value;
}

/** Degrees as they are shown: 93.1° W. */
export const degreesText = (value: number | null | undefined, letters: 'NS' | 'EW') =>
  value == null ? '' : `${Math.abs(value)}° ${letters[value < 0 ? 1 : 0]}`;

const FIGURES: [keyof Draft, string][] = [
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
  if (draft.latitude.trim() !== '' && degrees(draft.latitude, 'NS') === null)
    return `The latitude should be degrees such as 45.2° N, not “${draft.latitude}”.`;
  if (draft.longitude.trim() !== '' && degrees(draft.longitude, 'EW') === null)
    return `The longitude should be degrees such as 93.1° W, not “${draft.longitude}”.`;
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
    latitude: degreesText(place?.latitude, 'NS'),
    longitude: degreesText(place?.longitude, 'EW'),
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
  const latitude = degrees(draft.latitude, 'NS');
  const longitude = degrees(draft.longitude, 'EW');
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
