/** The fields of an entry as the Desk asks for them, in the order of a radio: hears, talks, how, tones, the rest. */
export interface FieldSpec {
  key: string;
  label: string;
  hint: string;
  wide?: boolean;
  options?: string[];
}

const MODES = ['', 'FM', 'NFM', 'AM', 'USB', 'LSB', 'CW', 'DMR', 'P25', 'NXDN', 'DV', 'PKT', 'DATA'];

export const FIELDS: FieldSpec[] = [
  { key: 'name', label: 'Name', hint: 'as the radio shows it', wide: true },
  { key: 'number', label: 'Number', hint: 'memory' },
  {
    key: 'use',
    label: 'For',
    hint: 'what it is for',
    options: ['', 'direct', 'repeater', 'listen', 'link', 'auxiliary', 'beacon', 'automatic'],
  },
  { key: 'rxMhz', label: 'Hears, MHz', hint: '146.940' },
  { key: 'txMhz', label: 'Talks on, MHz', hint: 'never' },
  { key: 'mode', label: 'Mode', hint: 'FM is wide, NFM narrow', options: MODES },
  { key: 'powerW', label: 'Power, W', hint: 'output' },
  { key: 'txTone', label: 'Sends', hint: 'no tone' },
  { key: 'rxTone', label: 'Opens with', hint: 'anything' },
  { key: 'emission', label: 'Designator', hint: 'from mode' },
  { key: 'timeoutS', label: 'Time-out, s', hint: 'unknown' },
  {
    key: 'service',
    label: 'Meant as',
    hint: 'a hint, no permission',
    options: [''],
  },
  { key: 'scan', label: 'Scan', hint: 'yes or no' },
  { key: 'zone', label: 'Zone', hint: 'none' },
  { key: 'note', label: 'Note', hint: '', wide: true },
];

export const labelOf = (key: string) => FIELDS.find((field) => field.key === key)?.label ?? key;
