import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Carrier, type Schemas, Server } from '../api/client';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { some } from '../ui/people';

const MOST_SHOWN = 60;

type Choice = Schemas['CarrierChoice'];

export const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

const licence = (service: string, licenceClass: string | null): Carrier['licences'][number] => ({
  service,
  licenceClass,
  callSign: null,
  granted: null,
  expires: null,
  lines: [],
});

type Titles = Pick<Schemas['Licensable'], 'id' | 'title'>[];

/** What somebody holds, in a few words. */
export const holds = (carrier: Pick<Carrier, 'licences'>, services: Titles) =>
  carrier.licences.length === 0
    ? 'no licence'
    : carrier.licences
        .map((each) =>
          each.licenceClass
            ? capital(each.licenceClass)
            : (services.find((service) => service.id === each.service)?.title ?? each.service),
        )
        .join(' and ');

interface Props {
  group: number;
  choice: Choice;
  holders: Carrier[];
  onChange: (choice: Choice) => void;
}

/** Who carries the list: from the roster, by person or team, or somebody of a class. */
export function Carriers({ group, choice, holders, onChange }: Props) {
  const names =
    holders.length === 1 && holders[0]?.name === 'nobody'
      ? 'Nobody with a licence'
      : some(
          [
            ...choice.teams,
            ...holders
              .filter(
                (each) => choice.teams.length === 0 || choice.carriers.some((own) => own.name === each.name),
              )
              .map((each) => each.name),
          ],
          2,
        );
  // What was pressed is gone from where it was: the next thing to do is to look for somebody else.
  const change = (next: Choice) => {
    onChange(next);
    setTimeout(() => document.querySelector<HTMLElement>(`[data-carriers="find"]`)?.focus());
  };
  return (
    <Popover className="min-w-0">
      <PopoverButton
        data-carriers="open"
        className="hover:text-accent flex max-w-full items-baseline gap-1.5 rounded px-1.5 py-1"
      >
        <span className="text-soft text-second shrink-0">Carried by</span>
        <span className="truncate font-semibold">{names}</span>
        {choice.teams.length > 0 && (
          <span className="text-soft text-second shrink-0">{holders.length} people</span>
        )}
        <span aria-hidden="true" className="text-soft">
          ▾
        </span>
      </PopoverButton>
      <PopoverPanel
        anchor="bottom start"
        className="border-edge bg-sheet z-30 flex max-h-[80vh] w-[26rem] max-w-[95vw] flex-col gap-3 overflow-y-auto rounded border p-3 shadow-lg"
      >
        <p className="text-second text-soft">
          An entry may go out only if everyone who carries the list may key it: the least privileged decides.
        </p>
        <Chosen choice={choice} group={group} onChange={change} />
        <FromRoster group={group} choice={choice} onChange={change} />
        <SomeoneOfAClass group={group} choice={choice} onChange={onChange} />
      </PopoverPanel>
    </Popover>
  );
}

const useRoster = (group: number) =>
  Server.useQuery('get', '/api/groups/{group}/roster', { params: { path: { group } } });

function Chosen({ choice, group, onChange }: Omit<Props, 'holders'>) {
  const roster = useRoster(group);
  const services = roster.data?.services ?? [];
  const party = (id: number) => roster.data?.parties.find((each) => each.id === id);
  const rows: { key: string; name: string; what: string; without: Choice }[] = [
    ...choice.teams.map((team) => ({
      key: `team ${team}`,
      name: team,
      what: `team, ${roster.data?.teams.find((each) => each.name === team)?.members ?? 0} people`,
      without: { ...choice, teams: choice.teams.filter((each) => each !== team) },
    })),
    ...choice.parties.map((id) => ({
      key: `party ${id}`,
      name: party(id)?.name ?? '…',
      what: party(id) ? holds(party(id)!, services) : '',
      without: { ...choice, parties: choice.parties.filter((each) => each !== id) },
    })),
    ...choice.carriers.map((carrier) => ({
      key: `class ${carrier.name}`,
      name: carrier.name,
      what: holds(carrier, services),
      without: { ...choice, carriers: choice.carriers.filter((each) => each !== carrier) },
    })),
  ];
  return (
    <ul className="flex flex-col gap-1">
      {rows.map((row) => (
        <li key={row.key} className="flex items-center justify-between gap-3">
          <span className="min-w-0 truncate">
            <span className="font-semibold">{row.name}</span> <span className="text-soft">{row.what}</span>
          </span>
          <Button kind="quiet" className="text-second" onClick={() => onChange(row.without)}>
            Remove<span className="sr-only"> {row.name}</span>
          </Button>
        </li>
      ))}
      {rows.length === 0 && <li className="text-soft">Nobody yet: only what needs no licence is open.</li>}
    </ul>
  );
}

function FromRoster({ group, choice, onChange }: Omit<Props, 'holders'>) {
  const roster = useRoster(group);
  const services = roster.data?.services ?? [];
  const [find, setFind] = useState('');
  const wanted = find.trim().toLowerCase();
  const teams = (roster.data?.teams ?? []).filter(
    (team) => !choice.teams.includes(team.name) && team.name.toLowerCase().includes(wanted),
  );
  const parties = (roster.data?.parties ?? []).filter(
    (party) => !choice.parties.includes(party.id) && party.name.toLowerCase().includes(wanted),
  );
  const team = (name: string) => onChange({ ...choice, teams: [...choice.teams, name].sort() });
  const person = (id: number) =>
    onChange({ ...choice, parties: [...choice.parties, id].sort((a, b) => a - b) });
  if (roster.data?.parties.length === 0)
    return (
      <p className="border-line text-second text-soft border-t pt-3">
        The roster is empty.{' '}
        <Link to="/roster" className="text-accent underline">
          Take people in
        </Link>
        , and choose them here by person or by team.
      </p>
    );
  return (
    <div className="border-line flex flex-col gap-1.5 border-t pt-3">
      <input
        type="search"
        className={INPUT}
        aria-label="Find in the roster"
        data-carriers="find"
        placeholder="Add from the roster: a name or a team; Enter takes the first"
        value={find}
        onChange={(event) => setFind(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || wanted === '') return;
          event.preventDefault();
          if (teams[0]) team(teams[0].name);
          else if (parties[0]) person(parties[0].id);
          setFind('');
        }}
      />
      <ul aria-label="Roster" className="max-h-52 overflow-y-auto">
        {teams.map((each) => (
          <Pick
            key={each.name}
            name={each.name}
            what={`team, ${each.members} people`}
            onPick={() => team(each.name)}
          />
        ))}
        {parties.slice(0, MOST_SHOWN).map((party) => (
          <Pick
            key={party.id}
            name={party.name}
            what={holds(party, services)}
            onPick={() => person(party.id)}
          />
        ))}
        {parties.length > MOST_SHOWN && (
          <li className="text-second text-soft px-2 py-1">
            {parties.length - MOST_SHOWN} more: type a part of the name.
          </li>
        )}
        {teams.length + parties.length === 0 && (
          <li className="text-second text-soft px-2 py-1">Nobody of that name.</li>
        )}
      </ul>
    </div>
  );
}

function Pick({ name, what, onPick }: { name: string; what: string; onPick: () => void }) {
  return (
    <li>
      <button
        type="button"
        onClick={onPick}
        className="hover:bg-accent-wash flex w-full items-baseline justify-between gap-3 rounded px-2 py-0.5 text-left"
      >
        <span className="min-w-0 truncate">{name}</span>
        <span className="text-second text-soft shrink-0">{what}</span>
      </button>
    </li>
  );
}

function SomeoneOfAClass({ group, choice, onChange }: Omit<Props, 'holders'>) {
  const roster = useRoster(group);
  const services = roster.data?.services ?? [];
  const classed = services.filter((each) => each.classes.length > 0);
  const plain = services.filter((each) => each.classes.length === 0 && !each.byLine);
  const [classes, setClasses] = useState<Record<string, string>>({});
  const [held, setHeld] = useState<string[]>([]);
  const add = () => {
    const licences = [
      ...classed.flatMap((each) => (classes[each.id] ? [licence(each.id, classes[each.id] ?? null)] : [])),
      ...plain.filter((each) => held.includes(each.id)).map((each) => licence(each.id, null)),
    ];
    const name = licences.length === 0 ? 'No licence' : holds({ licences }, services);
    if (!choice.carriers.some((each) => each.name === name))
      onChange({ ...choice, carriers: [...choice.carriers, { name, licences }] });
  };
  return (
    <div className="border-line flex flex-wrap items-center gap-3 border-t pt-3">
      <span className="text-second text-soft w-full">Or somebody of a class, by no name</span>
      {classed.map((each) => (
        <select
          key={each.id}
          aria-label={`${each.title} class`}
          className={INPUT}
          value={classes[each.id] ?? ''}
          onChange={(event) => setClasses({ ...classes, [each.id]: event.target.value })}
        >
          <option value="">No {each.title.toLowerCase()} licence</option>
          {each.classes.map((name) => (
            <option key={name} value={name}>
              {capital(name)}
            </option>
          ))}
        </select>
      ))}
      {plain.map((each) => (
        <label key={each.id} className="flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={held.includes(each.id)}
            onChange={(event) =>
              setHeld(event.target.checked ? [...held, each.id] : held.filter((id) => id !== each.id))
            }
          />
          {each.title}
        </label>
      ))}
      <Button onClick={add}>Add</Button>
    </div>
  );
}
