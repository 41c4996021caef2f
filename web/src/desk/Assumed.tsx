import type { Desk as DeskData } from '../api/client';
import { day } from '../ui/dates';

/** The edition used and what had to be assumed. */
export function Assumed({ desk }: { desk: DeskData }) {
  return (
    <details className="text-second text-soft border-line border-t px-3 py-2">
      <summary className="hover:text-accent cursor-pointer">
        Rulebook {desk.rulebook}, edition {desk.edition}, audited for {day(desk.on)}. Check against the
        current rules.
      </summary>
      <ul className="list-disc py-1 pl-5">
        {desk.assumptions.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </details>
  );
}
