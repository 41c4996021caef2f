import { type ReactNode, useState } from 'react';
import { useLocation } from 'react-router';

/**
 * The ways to pages: in a row where there is room, folded behind the name of the page one is on where there is none. They close
 * when one has gone somewhere.
 */
export function Folded({
  label,
  here,
  className = '',
  children,
}: {
  label: string;
  /** What the page is called that one is on. */
  here: string;
  className?: string;
  children: ReactNode;
}) {
  const at = useLocation().pathname;
  const [openAt, setOpenAt] = useState<string>();
  const open = openAt === at;
  return (
    <nav aria-label={label} className={`max-sm:contents ${className}`}>
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpenAt(open ? undefined : at)}
        className="hover:text-accent shrink-0 rounded px-1 py-1 font-semibold sm:hidden"
      >
        <span className="sr-only">{label}, now: </span>
        {here}
        <span aria-hidden="true" className="text-soft font-normal">
          {' '}
          ▾
        </span>
      </button>
      <div
        className={`flex flex-wrap gap-x-1 ${open ? 'max-sm:order-last max-sm:basis-full' : 'max-sm:hidden'}`}
      >
        {children}
      </div>
    </nav>
  );
}
