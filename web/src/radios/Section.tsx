import type { ReactNode } from 'react';

/** A part of a radio's page. */
export function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="border-line flex flex-col gap-2 border-t pt-3">
      <h3 className="font-semibold">{title}</h3>
      {children}
    </section>
  );
}
