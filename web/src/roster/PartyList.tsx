import { useEffect, useRef } from 'react';
import type { Schemas } from '../api/client';
import { holds } from '../desk/Carriers';
import { state, STATE_EDGE, STATE_WORDS } from './time';

interface Props {
  roster: Schemas['Roster'];
  find: string;
  chosen?: string;
  /** On a narrow screen either the list or the entry is shown. */
  hidden: boolean;
  onChoose: (id: number) => void;
}

const KINDS: [string, string][] = [
  ['person', 'People'],
  ['family', 'Families'],
  ['firm', 'Firms'],
];

/** Everyone, by kind and name; the edge tells where the licences stand. */
export function PartyList({ roster, find, chosen, hidden, onChoose }: Props) {
  const list = useRef<HTMLElement>(null);
  const wanted = find.trim().toLowerCase();
  const found = roster.parties.filter((party) =>
    [party.name, ...party.teams, ...party.licences.map((each) => each.callSign ?? '')]
      .join(' ')
      .toLowerCase()
      .includes(wanted),
  );
  useEffect(() => {
    list.current?.querySelector('[aria-current="true"]')?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  return (
    <nav
      ref={list}
      aria-label="Everyone"
      className={`border-line w-full shrink-0 overflow-y-auto border-r md:w-[26rem] ${hidden ? 'max-md:hidden' : ''}`}
    >
      {KINDS.map(([kind, title]) => {
        const here = found.filter((party) => party.kind === kind);
        if (here.length === 0) return null;
        return (
          <section key={kind}>
            <h2 className="bg-paper border-line text-second text-soft sticky top-0 border-b px-4 py-1 font-semibold">
              {title} <span className="font-mono font-normal">{here.length}</span>
            </h2>
            <ul>
              {here.map((party) => {
                const standing = state(party.licences, roster.today);
                return (
                  <li key={party.id}>
                    <button
                      type="button"
                      aria-current={chosen === String(party.id)}
                      onClick={() => onChoose(party.id)}
                      className={`border-line flex w-full flex-col border-b border-l-[3px] px-4 py-1.5 text-left focus-visible:-outline-offset-2 ${STATE_EDGE[standing]} ${chosen === String(party.id) ? 'bg-accent-wash' : 'bg-sheet hover:bg-sunk'}`}
                    >
                      <span className="flex w-full items-baseline justify-between gap-3">
                        <span className="truncate font-semibold">{party.name}</span>
                        <span className="text-second shrink-0">{STATE_WORDS[standing]}</span>
                      </span>
                      <span className="text-second text-soft flex w-full justify-between gap-3">
                        <span className="truncate">{holds(party, roster.services)}</span>
                        <span className="truncate">{party.teams.join(', ')}</span>
                      </span>
                    </button>
                  </li>
                );
              })}
            </ul>
          </section>
        );
      })}
      {found.length === 0 && roster.parties.length > 0 && (
        <p className="text-soft p-4">Nobody matches. Clear the search.</p>
      )}
    </nav>
  );
}
