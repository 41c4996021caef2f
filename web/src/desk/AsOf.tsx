import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { type Desk, Server } from '../api/client';
import { day } from '../ui/dates';
import { INPUT, Labelled } from '../ui/Field';

/** The day for which the list is audited: today, or another one to look back at or ahead to. */
export function AsOf({ desk, onChange }: { desk: Desk; onChange: (on: string | undefined) => void }) {
  const editions = Server.useQuery(
    'get',
    '/api/rulebook/editions',
    { params: { query: { rulebook: desk.rulebook } } },
    { staleTime: Infinity },
  );
  const today = desk.on === desk.today;
  return (
    <Popover className={`shrink-0 ${today ? 'max-sm:hidden' : ''}`}>
      <PopoverButton
        className={`flex items-baseline gap-1.5 rounded px-1.5 py-1 ${today ? 'hover:text-accent' : 'bg-accent-wash text-accent'}`}
      >
        <span className="text-soft text-second">As of</span>
        <span className={today ? '' : 'font-semibold'}>{today ? 'today' : day(desk.on)}</span>
        <span aria-hidden="true" className="text-soft">
          ▾
        </span>
      </PopoverButton>
      <PopoverPanel
        anchor="bottom start"
        className="border-edge bg-sheet z-30 flex w-80 flex-col gap-3 rounded border p-3 shadow-lg"
      >
        {({ close }) => (
          <>
            <Labelled label="Audit for the day">
              <input
                type="date"
                className={INPUT}
                value={desk.on}
                onChange={(event) =>
                  event.target.value &&
                  onChange(event.target.value === desk.today ? undefined : event.target.value)
                }
              />
            </Labelled>
            <ul className="flex flex-col">
              <li>
                <Choice label="Today" note={day(desk.today)} onPick={() => (onChange(undefined), close())} />
              </li>
              {[...(editions.data ?? [])].reverse().map((edition) => (
                <li key={edition.id}>
                  <Choice
                    label={`From ${day(edition.from)}`}
                    note={edition.title}
                    onPick={() => (onChange(edition.from), close())}
                  />
                </li>
              ))}
            </ul>
            <p className="text-second text-soft">
              Rules and licences count as they stood on that day. The list can be changed only as of today.
            </p>
          </>
        )}
      </PopoverPanel>
    </Popover>
  );
}

function Choice({ label, note, onPick }: { label: string; note: string; onPick: () => void }) {
  return (
    <button
      type="button"
      onClick={onPick}
      className="hover:bg-accent-wash flex w-full flex-col rounded px-2 py-1 text-left leading-snug"
    >
      {label}
      <span className="text-second text-soft">{note}</span>
    </button>
  );
}
