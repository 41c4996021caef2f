/** A model's file: what the form knows of it, and whatever else it has. */
export type ModelBody = Record<string, unknown>;

export const EMPTY_MODEL: ModelBody = { format: 'wache-radio/1', model: '', kind: 'hand-held' };

type Pair = [string, string];

/** A line of the form: how a value of the file is shown as text, and made of text again. */
export interface Line {
  key: string;
  label: string;
  hint: string;
  show: (value: unknown) => string;
  make: (text: string) => unknown;
}

const items = (text: string) =>
  text
    .split(/[,;]+/)
    .map((item) => item.trim())
    .filter((item) => item !== '');

const spans = (value: unknown) =>
  ((value as Pair[] | undefined) ?? []).map(([low, high]) => `${low}–${high}`).join(', ');
const toSpans = (text: string) => items(text).map((item) => item.split(/\s*[–-]\s*/));
const list = (value: unknown) => ((value as unknown[] | undefined) ?? []).join(', ');
/** A value of the file that is one text or number; nothing for what is not. */
export const plain = (value: unknown) =>
  typeof value === 'string' || typeof value === 'number' ? String(value) : '';

/** The levels of power in a band, with the names they have on the radio. */
interface Band {
  mhz: string[];
  levelsW: string[];
  levelNames?: string[];
}

function toBand(part: string): Band {
  const colon = part.indexOf(':');
  const levels = items(part.slice(colon + 1)).map((level) => level.split(/\s+/));
  const named = levels.every((level) => level.length > 1);
  return {
    mhz: part
      .slice(0, Math.max(0, colon))
      .trim()
      .split(/\s*[–-]\s*/),
    levelsW: levels.map((level) => level[0]!),
    ...(named && levels.length > 0 ? { levelNames: levels.map((level) => level.slice(1).join(' ')) } : {}),
  };
}

const text = (key: string, label: string, hint: string): Line => ({
  key,
  label,
  hint,
  show: plain,
  make: (typed) => typed.trim() || undefined,
});
const several = (key: string, label: string, hint: string): Line => ({
  key,
  label,
  hint,
  show: list,
  make: items,
});

/** The lines of the form, in the order in which one reads a data sheet. */
export const LINES: Line[] = [
  text('model', 'Name', ''),
  text('note', 'Note', ''),
  {
    key: 'certifiedFor',
    label: 'Certified under Part',
    hint: 'such as 95E, 90; “nothing” when it is without any certification',
    show: (value) => (value === undefined ? '' : (value as string[]).length === 0 ? 'nothing' : list(value)),
    make: (typed) => (typed.trim() === '' ? undefined : typed.trim() === 'nothing' ? [] : items(typed)),
  },
  { key: 'transmit', label: 'Talks on (TX), MHz', hint: '144–148, 420–450', show: spans, make: toSpans },
  { key: 'receive', label: 'Hears (RX), MHz', hint: '136–174, 400–480', show: spans, make: toSpans },
  {
    key: 'lockModes',
    label: 'Lock settings',
    hint: 'Amateur: 144–148, 420–450 | Open: 136–174, 400–480',
    show: (value) =>
      ((value as { name: string; transmit: Pair[] }[] | undefined) ?? [])
        .map((lock) => `${lock.name}: ${spans(lock.transmit)}`)
        .join(' | '),
    make: (typed) =>
      typed
        .split('|')
        .map((part) => part.trim())
        .filter((part) => part !== '')
        .map((part) => {
          const colon = part.indexOf(':');
          return { name: part.slice(0, Math.max(0, colon)).trim(), transmit: toSpans(part.slice(colon + 1)) };
        }),
  },
  several('lockErases', 'A change of lock erases', 'memories, settings'),
  several('stepsKhz', 'Steps, kHz', '5, 6.25, 12.5'),
  several('modes', 'Modes', 'FM, NFM'),
  several('powerLevelsW', 'Power levels, W', '1, 4, 5'),
  {
    key: 'powerBands',
    label: 'Power levels by band, W',
    hint: '136–174: 1 low, 5 high | 400–480: 1 low, 4 high',
    show: (value) =>
      ((value as Band[] | undefined) ?? [])
        .map(
          (band) =>
            `${band.mhz.join('–')}: ${band.levelsW.map((watts, place) => [watts, band.levelNames?.[place]].filter(Boolean).join(' ')).join(', ')}`,
        )
        .join(' | '),
    make: (typed) =>
      typed
        .split('|')
        .map((part) => part.trim())
        .filter((part) => part !== '')
        .map(toBand),
  },
  text('antennaGainDbd', 'Antenna gain, dBd', '-3'),
  text('frequencyErrorPpm', 'Frequency error, ppm', '2.5'),
  text('channels', 'Memories', '128'),
  text('zones', 'Zones', ''),
  text('channelsPerZone', 'Memories in a zone', ''),
  text('scanChannels', 'Entries it scans', ''),
  text('nameLength', 'Characters of a name', '7'),
  text('nameLetters', 'Letters of its display', 'capitals, capitals-and-marks or ascii'),
  several('tones', 'Tones', 'ctcss, dcs, dcs-normal, burst'),
  several('toneTable', 'Its own table of tones', 'in the order of their numbers'),
  several('frequencyTable', 'Its own table of frequencies, MHz', 'in the order of their numbers'),
  several('timeoutsS', 'Time-out, s', '0, 60, 120, 180'),
  several('transmitInhibit', 'Transmit inhibit', 'channel, band, radio'),
  text('frontPanel', 'Front panel programs', 'all, listen-only or none'),
  text('edgeSlots', 'Band-edge slots', ''),
  text('talkGroups', 'Talk groups or contacts', ''),
];

/** A message of the server about a key of the file, with the line's label in place of the key. */
export function inWords(message: string): string {
  return message.replace(/^(\w+)(?:\[(\d+)\])?(\.\w+)? should be/, (all, key: string, index?: string) => {
    const line = LINES.find((each) => each.key === key);
    if (!line) return all;
    return `${line.label}${index === undefined ? '' : ` (number ${Number(index) + 1})`}: should be`;
  });
}

/** The file after a line was changed; a line left empty is not in it. */
export function changed(body: ModelBody, line: Line, typed: string): ModelBody {
  const next = { ...body };
  const made = line.make(typed);
  if (made === undefined || (Array.isArray(made) && made.length === 0 && line.key !== 'certifiedFor'))
    delete next[line.key];
  else next[line.key] = made;
  return next;
}
