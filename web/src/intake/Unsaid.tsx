import { Choice } from '../ui/Choice';

const OPTIONS = [
  ['by-plan', 'talks as the band plan has it'],
  ['listen', 'only listens'],
  ['direct', 'talks where it hears'],
] as const;

/** What an entry does of which the table does not say where it talks. */
export function Unsaid({ value, onChange }: { value: string; onChange: (value: string) => void }) {
  return (
    <Choice
      label="A row that says no transmit frequency"
      value={value}
      options={OPTIONS}
      onChange={onChange}
    />
  );
}
