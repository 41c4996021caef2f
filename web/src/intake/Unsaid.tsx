import type { Schemas } from '../api/client';
import { Choice } from '../ui/Choice';

type Unsaid = Schemas['SketchUnsaid'];

const OPTIONS: [Unsaid, string][] = [
  ['by-plan', 'talks as the band plan has it'],
  ['listen', 'only listens'],
  ['direct', 'talks where it hears'],
];

/** What an entry does of which the table does not say where it talks. */
export function Unsaid({ value, onChange }: { value: Unsaid; onChange: (value: Unsaid) => void }) {
  return (
    <Choice
      label="A row that says no transmit frequency"
      value={value}
      options={OPTIONS}
      onChange={onChange}
    />
  );
}
