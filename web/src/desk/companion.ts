/**
 * The entries that go with a repeater's: the same output direct, so that those who are near talk around the repeater, and its
 * input to listen to, so that one hears who does not get through. Common practice.
 */
export interface Companion {
  label: string;
  fields: Record<string, string>;
}

const LONGEST = 200;

/** What a radio hears is what it keeps of these; what only a repeater has, or what is its own, does not go along. */
const ALONG = [
  'mode',
  'emission',
  'powerW',
  'service',
  'zone',
  'colourCode',
  'talkGroup',
  'contact',
  'accessCode',
];

const along = (fields: Record<string, string>) =>
  Object.fromEntries(ALONG.flatMap((key) => (fields[key] ? [[key, fields[key]]] : [])));

const named = (fields: Record<string, string>, what: string) => {
  const name = `${fields.name ?? fields.rxMhz ?? ''} ${what}`;
  return name.length <= LONGEST ? name : what;
};

/** None for an entry that is no pair. */
export function companions(fields: Record<string, string>): Companion[] {
  const { rxMhz, txMhz, rxTone } = fields;
  if (!rxMhz || !txMhz || rxMhz === txMhz) return [];
  const tone: Record<string, string> = rxTone ? { txTone: rxTone, rxTone } : {};
  return [
    {
      label: 'Add it direct, around the repeater',
      // Those who hear the repeater open on its output's tone: that one is sent.
      fields: { ...along(fields), ...tone, name: named(fields, 'direct'), rxMhz, txMhz: rxMhz },
    },
    {
      label: 'Add its input, to listen to',
      fields: { ...along(fields), name: named(fields, 'input'), rxMhz: txMhz, txMhz: '' },
    },
  ];
}
