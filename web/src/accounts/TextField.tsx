import type { InputHTMLAttributes } from 'react';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange' | 'value'> {
  label: string;
  value: string;
  onChange: (text: string) => void;
}

/** A labelled line of text. */
export function TextField({ label, value, onChange, ...rest }: Props) {
  return (
    <label className="flex flex-col gap-1">
      <span className="text-second text-soft">{label}</span>
      <input
        className="border-edge bg-sheet rounded border px-2.5 py-1.5"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        required
        {...rest}
      />
    </label>
  );
}
