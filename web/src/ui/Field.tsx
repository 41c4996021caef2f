import type { InputHTMLAttributes, ReactNode } from 'react';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange' | 'value'> {
  label: string;
  value: string;
  unit?: string;
  mono?: boolean;
  onChange: (text: string) => void;
}

/** How a field that is typed into looks. */
export const INPUT = 'border-edge bg-sheet min-w-0 rounded border px-2 py-1 disabled:opacity-60';

/** A small label over something that is filled in. */
export function Labelled({
  label,
  children,
  className = '',
}: {
  label: string;
  children: ReactNode;
  className?: string;
}) {
  return (
    <label className={`flex min-w-0 flex-col gap-0.5 ${className}`}>
      <span className="text-soft text-[12px] leading-tight">{label}</span>
      {children}
    </label>
  );
}

/** A labelled line of text, with its unit in the label. */
export function Field({ label, value, unit, mono, onChange, className = '', ...rest }: Props) {
  return (
    <Labelled label={unit ? `${label}, ${unit}` : label} className={className}>
      <input
        className={`${INPUT} w-full ${mono ? 'font-mono' : ''}`}
        value={value}
        autoComplete="off"
        spellCheck={false}
        onChange={(event) => onChange(event.target.value)}
        {...rest}
      />
    </Labelled>
  );
}
