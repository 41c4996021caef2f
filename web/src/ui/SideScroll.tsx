import type { ReactNode } from 'react';

/** What may be wider than the screen: it is scrolled sideways, by the arrow keys too (WCAG 2.1.1). */
export function SideScroll({
  label,
  className,
  children,
}: {
  label: string;
  className?: string;
  children: ReactNode;
}) {
  return (
    <div role="region" aria-label={label} tabIndex={0} className={`overflow-x-auto ${className ?? ''}`}>
      {children}
    </div>
  );
}
