import { INPUT, Labelled } from './Field';

interface Props {
  label: string;
  value: string;
  /** What can be chosen: what is kept, and how it reads. */
  options: readonly (readonly [string, string])[];
  onChange: (value: string) => void;
  className?: string;
}

/** A labelled choice out of a few. */
export function Choice({ label, value, options, onChange, className }: Props) {
  return (
    <Labelled label={label} className={className}>
      <select className={INPUT} value={value} onChange={(event) => onChange(event.target.value)}>
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </Labelled>
  );
}
