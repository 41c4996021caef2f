import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Field, INPUT, Labelled } from '../ui/Field';
import { type Draft, pairOf, type Team } from './demands';

interface Props {
  start: Schemas['PlanStart'];
  draft: Draft;
  busy: boolean;
  onDraft: (draft: Draft) => void;
  onPropose: () => void;
}

/** What a list has to do: who must talk to whom, which services may be used, calling, listening, spare channels. */
export function DemandsForm({ start, draft, busy, onDraft, onPropose }: Props) {
  const toggled = (all: ReadonlySet<string>, one: string) => {
    const next = new Set(all);
    if (!next.delete(one)) next.add(one);
    return next;
  };
  const left = draft.without.length + Object.keys(draft.kept).length;
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        onPropose();
      }}
    >
      <section aria-label="For whom">
        <h2 className="pb-1 font-semibold">For whom</h2>
        <ul className="border-line bg-sheet divide-line divide-y rounded border">
          {start.teams.map((team) => (
            <li key={team.name} className="px-3 py-1.5">
              <details>
                <summary className="min-h-6 cursor-pointer">
                  <span className="font-semibold">{team.name}</span>{' '}
                  <span className="text-soft">
                    {team.members.length === 1 ? team.members[0]!.name : `${team.members.length} people`}
                  </span>
                </summary>
                <ul className="text-second pt-1">
                  {team.members.map((member) => (
                    <li key={member.name}>
                      {member.name} <span className="text-soft">{told(member)}</span>
                    </li>
                  ))}
                </ul>
              </details>
            </li>
          ))}
        </ul>
      </section>
      {start.teams.length > 1 && (
        <section aria-label="Who must talk to whom">
          <h2 className="pb-1 font-semibold">Who must talk to whom</h2>
          <ul className="border-line bg-sheet flex flex-col rounded border px-3 py-1.5">
            {pairs(start.teams).map(([one, other]) => (
              <li key={pairOf(one, other)}>
                <label className="flex min-h-7 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={draft.pairs.has(pairOf(one, other))}
                    onChange={() => onDraft({ ...draft, pairs: toggled(draft.pairs, pairOf(one, other)) })}
                  />
                  {one} and {other}
                </label>
              </li>
            ))}
          </ul>
        </section>
      )}
      <fieldset>
        <legend className="pb-1 font-semibold">Services</legend>
        <p className="text-second text-soft pb-1">None chosen: whichever serves best.</p>
        <div className="flex flex-wrap gap-x-4">
          {start.services.map((service) => (
            <label key={service.id} className="flex min-h-7 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={draft.services.has(service.id)}
                onChange={() => onDraft({ ...draft, services: toggled(draft.services, service.id) })}
              />
              {service.title}
            </label>
          ))}
        </div>
      </fieldset>
      <div className="flex flex-wrap items-end gap-3">
        <Labelled label="Day of use">
          <input
            type="date"
            className={INPUT}
            value={draft.on}
            onChange={(event) => onDraft({ ...draft, on: event.target.value })}
          />
        </Labelled>
        <Field
          label="Spare channels"
          type="number"
          min={0}
          max={50}
          className="w-28"
          value={draft.spare}
          onChange={(spare) => onDraft({ ...draft, spare })}
        />
        <Field
          label="To listen to"
          unit="MHz"
          mono
          className="grow basis-40"
          placeholder="162.550 …"
          value={draft.listen}
          onChange={(listen) => onDraft({ ...draft, listen })}
        />
      </div>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          checked={draft.calling}
          onChange={() => onDraft({ ...draft, calling: !draft.calling })}
        />
        A channel on which everybody calls
      </label>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          checked={draft.command}
          onChange={() => onDraft({ ...draft, command: !draft.command })}
        />
        A quiet channel for those who lead
      </label>
      {start.repeaters.length > 0 && (
        <fieldset>
          <legend className="pb-1 font-semibold">Repeaters near the place</legend>
          <p className="text-second text-soft pb-1">Each comes with a channel for when it fails.</p>
          <div className="border-edge bg-sheet max-h-48 overflow-y-auto rounded border px-3 py-1">
            {start.repeaters.map((repeater) => (
              <label key={repeater.mhz} className="flex min-h-7 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={draft.repeaters.has(repeater.mhz)}
                  onChange={() => onDraft({ ...draft, repeaters: toggled(draft.repeaters, repeater.mhz) })}
                />
                {repeater.name} <span className="text-soft">{repeater.words}</span>
              </label>
            ))}
          </div>
        </fieldset>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <Button kind="strong" type="submit" disabled={busy}>
          {busy ? 'Working it out …' : 'Propose'}
        </Button>
        {left > 0 && (
          <Button onClick={() => onDraft({ ...draft, kept: {}, without: [] })}>
            Forget what was fixed and refused
          </Button>
        )}
      </div>
    </form>
  );
}

const pairs = (teams: readonly Team[]): [string, string][] =>
  teams.flatMap((one, i) => teams.slice(i + 1).map((other): [string, string] => [one.name, other.name]));

function told({ holds, radios }: Schemas['PlanMember']): string {
  if (radios === null) return `${holds}; no radio is named: none is judged`;
  return `${holds}; ${radios.length === 0 ? 'no radio' : radios.join(', ')}`;
}
