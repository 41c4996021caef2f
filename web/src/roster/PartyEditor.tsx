import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field, INPUT, Labelled } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { draftOf, newLicence, type Draft, type Licence } from './drafts';
import { LicenceFields } from './LicenceFields';
import { Register } from './Register';

const KINDS = [
  ['person', 'a person'],
  ['family', 'a family'],
  ['firm', 'a firm'],
] as const;

interface Props {
  group: number;
  roster: Schemas['Roster'];
  party?: Schemas['Party'];
  start: Draft;
  onDone: (saved: Schemas['Saved'] | undefined) => Promise<void>;
  onBack: () => void;
}

/** One person, family or firm: name, teams, licences, and what the register says. */
export function PartyEditor({ group, roster, party, start, onDone, onBack }: Props) {
  const [draft, setDraft] = useState<Draft>(() => draftOf(start));
  const [team, setTeam] = useState('');
  const set = (change: Partial<Draft>) => setDraft((old) => ({ ...old, ...change }));
  const setLicence = (index: number, licence: Licence) =>
    set({ licences: draft.licences.map((each, i) => (i === index ? licence : each)) });
  const changed = JSON.stringify(draft) !== JSON.stringify(draftOf(start));
  const save = useMutation({
    mutationFn: () =>
      party
        ? data(
            api.PUT('/api/parties/{party}', {
              params: { path: { party: party.id } },
              body: { version: party.version, party: draft },
            }),
          )
        : data(api.POST('/api/groups/{group}/parties', { params: { path: { group } }, body: draft })),
    onSuccess: onDone,
  });
  const remove = useMutation({
    mutationFn: () =>
      data(
        api.DELETE('/api/parties/{party}', {
          params: { path: { party: party!.id }, query: { version: party!.version } },
        }),
      ),
    onSuccess: () => onDone(undefined),
  });
  const addTeam = (name: string) => {
    if (name.trim() && !draft.teams.includes(name.trim())) set({ teams: [...draft.teams, name.trim()] });
    setTeam('');
  };
  const may = useMay('coordinate', group);
  const problem = save.error ?? remove.error;
  return (
    <form
      aria-label={party ? party.name : 'Somebody new'}
      className="flex max-w-4xl flex-col gap-5 p-5"
      onSubmit={(event) => {
        event.preventDefault();
        if (changed) save.mutate();
      }}
    >
      <Button kind="quiet" className="self-start md:hidden" onClick={onBack}>
        ← Everyone
      </Button>
      {!may && <p className="text-soft">You see the roster. Coordinators of the group change it.</p>}
      <fieldset disabled={!may} className="contents">
        <div className="flex flex-wrap items-center gap-3">
          <h2 className="text-title grow font-semibold">{party ? party.name : 'Somebody new'}</h2>
          <Button disabled={!changed} onClick={() => setDraft(draftOf(start))}>
            Discard changes
          </Button>
          <Button
            kind="strong"
            type="submit"
            disabled={!changed || save.isPending || draft.name.trim() === ''}
          >
            Save
          </Button>
        </div>
        {problem && <Notice message={problem.message} />}
        <div className="grid grid-cols-[8rem_1fr] gap-3 max-sm:grid-cols-1">
          <Choice label="What it is" value={draft.kind} options={KINDS} onChange={(kind) => set({ kind })} />
          <Field
            label="Name"
            value={draft.name}
            onChange={(name) => set({ name })}
            required
            maxLength={120}
          />
        </div>
        <div className="flex flex-col gap-1">
          <span className="text-soft text-[12px] leading-tight">Teams</span>
          <div className="flex flex-wrap items-center gap-1.5">
            {draft.teams.map((name) => (
              <button
                key={name}
                type="button"
                title={`Remove from ${name}`}
                onClick={() => set({ teams: draft.teams.filter((each) => each !== name) })}
                className="border-edge bg-sheet hover:border-hold hover:text-hold rounded-full border px-2.5 py-0.5"
              >
                {name} <span aria-hidden="true">×</span>
              </button>
            ))}
            <input
              className={`${INPUT} w-44`}
              aria-label="Add to a team"
              placeholder="Add to a team"
              list="teams"
              value={team}
              onChange={(event) => {
                const typed = event.target.value;
                if (roster.teams.some((each) => each.name === typed)) addTeam(typed);
                else setTeam(typed);
              }}
              onBlur={() => addTeam(team)}
              onKeyDown={(event) => {
                if (event.key === 'Enter') {
                  event.preventDefault();
                  addTeam(team);
                }
              }}
            />
            <datalist id="teams">
              {roster.teams.map((each) => (
                <option key={each.name} value={each.name} />
              ))}
            </datalist>
          </div>
        </div>
        {draft.licences.map((licence, index) => (
          <LicenceFields
            key={index}
            licence={licence}
            services={roster.services}
            today={roster.today}
            notes={party && !changed ? (party.notes[index] ?? []) : []}
            onChange={(next) => setLicence(index, next)}
            onRemove={() => set({ licences: draft.licences.filter((_, i) => i !== index) })}
          />
        ))}
        <div className="flex flex-wrap items-center gap-2">
          <span className="text-soft">{draft.licences.length === 0 ? 'No licence.' : ''} Add a licence:</span>
          {roster.services.map((service) => (
            <Button
              key={service.id}
              onClick={() => set({ licences: [...draft.licences, newLicence(service)] })}
            >
              {service.title}
            </Button>
          ))}
        </div>
        <Labelled label="Note">
          <textarea
            className={`${INPUT} w-full`}
            rows={2}
            value={draft.note}
            maxLength={2000}
            onChange={(event) => set({ note: event.target.value })}
          />
        </Labelled>
        {party && party.licences.length > 0 && !changed && (
          <Register party={party} onTake={(licences) => set({ licences })} />
        )}
        {party && (
          <div className="flex flex-wrap gap-x-6">
            <EndCardAddress party={party.id} name={party.name} />
            <button
              type="button"
              className="text-second text-soft hover:text-hold inline-block min-h-6 underline-offset-2 hover:underline"
              onClick={() => remove.mutate()}
            >
              Remove {party.name} from the roster
            </button>
          </div>
        )}
      </fieldset>
    </form>
  );
}

/** Ends the address that is printed on somebody's card: for a card that was lost. */
function EndCardAddress({ party, name }: { party: number; name: string }) {
  const end = useMutation({
    mutationFn: () => data(api.DELETE('/api/parties/{party}/card-link', { params: { path: { party } } })),
  });
  if (end.isSuccess)
    return (
      <p role="status" className="text-second">
        The code on the card of {name} opens nothing any longer. The next print has another.
      </p>
    );
  return (
    <button
      type="button"
      className="text-second text-soft hover:text-hold inline-block min-h-6 underline-offset-2 hover:underline"
      onClick={() => end.mutate()}
    >
      {end.error ? end.error.message : 'The card was lost: end its code'}
    </button>
  );
}
