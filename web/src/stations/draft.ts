import type { Schemas } from '../api/client';

export type Form = Schemas['StationForm'];

/** A station as it is typed: all figures as text. */
export interface Draft {
  name: string;
  kind: Form['kind'];
  output: string;
  line: string;
  lineM: string;
  otherLoss: string;
  gain: string;
  heightM: string;
  keyed: string;
  processed: boolean;
  peopleM: string;
  otherHeightM: string;
  supplyV: string;
  efficiency: string;
  batteryAh: string;
  /** Latitude and longitude in degrees, such as 45.2012, -93.1034. */
  position: string;
  note: string;
}

export const NEW: Draft = {
  name: '',
  kind: 'base',
  output: '50 W',
  line: 'RG-213',
  lineM: '20',
  otherLoss: '0.5',
  gain: '3 dBd',
  heightM: '9',
  keyed: '20',
  processed: false,
  peopleM: '',
  otherHeightM: '1.5',
  supplyV: '13.8',
  efficiency: '',
  batteryAh: '',
  position: '',
  note: '',
};

const text = (value: number | null | undefined) => (value == null ? '' : String(value));

export const draftOf = (form: Form): Draft => ({
  name: form.name,
  kind: form.kind,
  output: `${form.outputW} W`,
  line: form.line ?? '',
  lineM: text(form.lineM),
  otherLoss: text(form.otherLossDb),
  gain: `${form.gainDbd} dBd`,
  heightM: text(form.heightM),
  keyed: text(Math.round(form.keyedShare * 1000) / 10),
  processed: form.processed,
  peopleM: text(form.peopleM),
  otherHeightM: text(form.otherHeightM),
  supplyV: text(form.supplyV),
  efficiency: form.efficiency == null ? '' : text(Math.round(form.efficiency * 1000) / 10),
  batteryAh: text(form.batteryAh),
  position: form.latitude == null || form.longitude == null ? '' : `${form.latitude}, ${form.longitude}`,
  note: form.note,
});

/** A number with a point or a comma and the unit behind it. */
function measured(typed: string): { value: number; unit: string } | null {
  const found = /^\s*([+−-]?\d+(?:[.,]\d+)?)\s*([a-zA-Z]*)\s*$/.exec(typed);
  if (!found) return null;
  return { value: Number(found[1]!.replace(',', '.').replace('−', '-')), unit: found[2]!.toLowerCase() };
}

/** Watts of what is typed: 50, 50 W, 500 mW, 1.5 kW, 47 dBm, 17 dBW. */
export function watts(typed: string): number | null {
  const found = measured(typed);
  if (!found) return null;
  switch (found.unit) {
    case '':
    case 'w':
      return found.value;
    case 'mw':
      return found.value / 1000;
    case 'kw':
      return found.value * 1000;
    case 'dbm':
      return 10 ** ((found.value - 30) / 10);
    case 'dbw':
      return 10 ** (found.value / 10);
    default:
      return null;
  }
}

const DIPOLE = 2.15;
/** More than any antenna has; the server holds it to the same. */
const MOST_GAIN_DBD = 60;

/** dBd of what is typed: 3, 3 dBd, 5.15 dBi; a bare figure and dB are taken for dBd. */
export function dbd(typed: string): number | null {
  const found = measured(typed);
  if (!found) return null;
  switch (found.unit) {
    case '':
    case 'db':
    case 'dbd':
      return found.value;
    case 'dbi':
      return Math.round((found.value - DIPOLE) * 1000) / 1000;
    default:
      return null;
  }
}

const round = (value: number, digits: number) => value.toFixed(digits).replace(/\.?0+$/, '');

/** The same power in the other units. */
export function powerWords(typed: string): string {
  const value = watts(typed);
  if (value === null || value <= 0) return 'such as 50 W, 47 dBm or 17 dBW';
  return `${round(value, value < 10 ? 3 : 1)} W = ${(10 * Math.log10(value * 1000)).toFixed(1)} dBm = ${(10 * Math.log10(value)).toFixed(1)} dBW`;
}

/** The same gain in the other units, and how many times. */
export function gainWords(typed: string): string {
  const value = dbd(typed);
  if (value === null) return 'such as 3 dBd or 5.15 dBi';
  if (Math.abs(value) > MOST_GAIN_DBD)
    return `An antenna has between -${MOST_GAIN_DBD} and ${MOST_GAIN_DBD} dBd.`;
  return `${round(value, 2)} dBd = ${round(value + DIPOLE, 2)} dBi, ${round(10 ** (value / 10), 2)} times the power of a dipole`;
}

const number = (typed: string): number | null => {
  const found = measured(typed);
  return found && found.unit === '' ? found.value : null;
};

/** Degrees of what is typed: 45.2012, -93.1034, or with letters 45.2012 N 93.1034 W; nothing when it is neither. */
export function position(typed: string): { latitude: number; longitude: number } | null {
  const found =
    /^\s*([+−-]?\d{1,3}(?:\.\d+)?)\s*°?\s*([NS]?)\s*[,;\s]\s*([+−-]?\d{1,3}(?:\.\d+)?)\s*°?\s*([EW]?)\s*$/i.exec(
      typed,
    );
  if (!found) return null;
  // The letter decides: -93.1 W is meant as 93.1 W, and so it is written.
  const degrees = (figure: string, letter: string, negative: string) => {
    const value = Number(figure.replace('−', '-'));
    if (letter === '') return value;
    return Math.abs(value) * (letter.toUpperCase() === negative ? -1 : 1);
  };
  const latitude = degrees(found[1]!, found[2]!, 'S');
  const longitude = degrees(found[3]!, found[4]!, 'W');
  return Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180 ? { latitude, longitude } : null;
}

/** What is wrong with what is typed, or the form. */
export function formOf(draft: Draft): { form: Form } | { problem: string } {
  const output = watts(draft.output);
  if (output === null || output <= 0)
    return { problem: 'The output should be a power such as 50 W or 47 dBm.' };
  const gain = dbd(draft.gain);
  if (gain === null) return { problem: 'The gain should be a figure such as 3 dBd or 5.15 dBi.' };
  const figures: [keyof Draft, string, boolean][] = [
    ['lineM', 'The length of the line', true],
    ['otherLoss', 'The other losses', true],
    ['heightM', 'The height of the antenna', true],
    ['keyed', 'The share of time keyed', true],
    ['otherHeightM', 'The height at the other end', true],
    ['supplyV', 'The voltage of the supply', true],
    ['peopleM', 'How near people may come', false],
    ['efficiency', 'The efficiency', false],
    ['batteryAh', 'The battery', false],
  ];
  for (const [key, words, needed] of figures) {
    const typed = draft[key] as string;
    if ((needed || typed.trim() !== '') && number(typed) === null)
      return { problem: `${words} should be a number.` };
  }
  const at = position(draft.position);
  if (draft.position.trim() !== '' && at === null)
    return { problem: 'The position is a latitude and a longitude, such as 45.2012, -93.1034.' };
  const share = (typed: string) => (typed.trim() === '' ? null : number(typed)! / 100);
  return {
    form: {
      name: draft.name.trim(),
      kind: draft.kind,
      outputW: output,
      line: draft.line || null,
      lineM: draft.line === '' ? 0 : number(draft.lineM)!,
      otherLossDb: number(draft.otherLoss)!,
      gainDbd: gain,
      heightM: number(draft.heightM)!,
      keyedShare: share(draft.keyed)!,
      processed: draft.processed,
      peopleM: number(draft.peopleM),
      otherHeightM: number(draft.otherHeightM)!,
      supplyV: number(draft.supplyV)!,
      efficiency: share(draft.efficiency),
      batteryAh: number(draft.batteryAh),
      latitude: at?.latitude ?? null,
      longitude: at?.longitude ?? null,
      note: draft.note,
    },
  };
}
