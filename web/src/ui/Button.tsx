import type { ButtonHTMLAttributes } from 'react';

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  kind?: 'plain' | 'strong' | 'quiet';
}

const LOOKS = {
  strong: 'bg-accent text-on-accent border-accent hover:brightness-110',
  plain: 'bg-sheet border-edge text-ink hover:border-accent hover:text-accent',
  quiet: 'border-transparent text-accent hover:border-edge',
};

/** A button in one of three weights. */
export function Button({ kind = 'plain', className = '', ...rest }: Props) {
  return (
    <button
      type="button"
      className={`inline-flex items-center gap-1.5 rounded border px-2.5 py-1 leading-tight whitespace-nowrap transition-colors duration-100 disabled:opacity-50 ${LOOKS[kind]} ${className}`}
      {...rest}
    />
  );
}
