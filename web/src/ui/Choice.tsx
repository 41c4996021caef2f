import { INPUT, Labelled } from './Field';

interface Props<T extends string> {
  label: string;
  value: T;
  /** What can be chosen: what is kept, and how it reads. */
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
  className?: string;
}

/** A labelled choice out of a few. */
export function Choice<T extends string>({ label, value, options, onChange, className }: Props<T>) {
  return (
    <Labelled label={label} className={className}>
      <select className={INPUT} value={value} onChange={(event) => onChange(event.target.value as T)}>
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </Labelled>
  );
}
