import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useMay } from '../accounts/rights';
import { api, data, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { Refused } from '../ui/Refused';
import { type AreaDraft, areaDraft, type AreaForm, areaForm } from './area';

const NONE: AreaDraft = { team: '', position: '', radius: '' };

/** Where the teams work: shown on the map of bases, and from where they have to be heard. */
export function TeamAreas({ group }: { group: number }) {
  const may = useMay('edit');
  const caughtUp = useCaughtUp();
  const areas = Server.useQuery('get', '/api/groups/{group}/areas', { params: { path: { group } } });
  const roster = Server.useQuery('get', '/api/groups/{group}/roster', { params: { path: { group } } });
  const [typed, setTyped] = useState<{ id: number | undefined; version: number; draft: AreaDraft }>();
  const done = async () => {
    setTyped(undefined);
    await caughtUp();
  };
  const save = useMutation({
    mutationFn: (form: AreaForm) =>
      typed?.id
        ? data(
            api.PUT('/api/areas/{area}', {
              params: { path: { area: typed.id } },
              body: { version: typed.version, form },
            }),
          )
        : data(api.POST('/api/groups/{group}/areas', { params: { path: { group } }, body: form })),
    onSuccess: done,
  });
  const remove = useMutation({
    mutationFn: () =>
      data(
        api.DELETE('/api/areas/{area}', {
          params: { path: { area: typed!.id! }, query: { version: typed!.version } },
        }),
      ),
    onSuccess: done,
  });
  if (!areas.data || !roster.data) return areas.error ? <Notice message={areas.error.message} /> : null;
  const free = roster.data.teams
    .map((each) => each.name)
    .filter((name) => name === typed?.draft.team || !areas.data.some((each) => each.form.name === name));
  const read = typed && areaForm(typed.draft);
  const change = (part: Partial<AreaDraft>) =>
    setTyped((now) => now && { ...now, draft: { ...now.draft, ...part } });
  const begun = typed && (typed.draft.position !== '' || typed.draft.radius !== '');
  return (
    <section aria-label="Where teams work" className="flex flex-col gap-2">
      <h2 className="font-semibold">Where teams work</h2>
      <ul aria-label="Areas" className="border-line bg-sheet divide-line divide-y rounded border">
        {areas.data.map((each) => (
          <li key={each.id}>
            <button
              type="button"
              aria-current={typed?.id === each.id}
              disabled={!may}
              className="hover:bg-sunk flex w-full gap-3 px-3 py-1.5 text-left disabled:hover:bg-transparent"
              onClick={() => setTyped({ id: each.id, version: each.version, draft: areaDraft(each.form) })}
            >
              <span className="min-w-0 grow truncate font-semibold">{each.form.name}</span>
              <span className="text-soft shrink-0">within {each.form.radiusKm} km</span>
            </button>
          </li>
        ))}
        {areas.data.length === 0 && (
          <li className="text-soft px-3 py-2">
            Nobody said yet. The map of bases shows areas, and whether a base hears a hand-held from their far
            side.
          </li>
        )}
      </ul>
      {may && !typed && free.length > 0 && (
        <div>
          <Button onClick={() => setTyped({ id: undefined, version: 0, draft: { ...NONE, team: free[0]! } })}>
            Another area
          </Button>
        </div>
      )}
      {typed && read && (
        <form
          aria-label={typed.id ? `Area of ${typed.draft.team}` : 'A new area'}
          className="flex flex-col gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if ('form' in read) save.mutate(read.form);
          }}
        >
          <div className="grid grid-cols-[minmax(0,1fr)_7rem] gap-2">
            <Choice
              label="Team"
              value={typed.draft.team}
              options={free.map((name) => [name, name] as const)}
              onChange={(team) => change({ team })}
            />
            <Field
              label="They go up to"
              unit="km"
              mono
              inputMode="decimal"
              value={typed.draft.radius}
              onChange={(radius) => change({ radius })}
            />
          </div>
          <Field
            label="From here"
            mono
            placeholder="45.2012, -93.1034"
            value={typed.draft.position}
            onChange={(position) => change({ position })}
          />
          {begun && 'problem' in read && <Notice message={read.problem} />}
          <Refused by={[save, remove]} />
          <div className="flex flex-wrap gap-2">
            <Button type="submit" kind="strong" disabled={!('form' in read) || save.isPending}>
              {typed.id ? 'Save the area' : 'Add the area'}
            </Button>
            <Button onClick={() => setTyped(undefined)}>Cancel</Button>
            <span className="grow" />
            {typed.id !== undefined && (
              <Button kind="quiet" disabled={remove.isPending} onClick={() => remove.mutate()}>
                Remove the area
              </Button>
            )}
          </div>
        </form>
      )}
    </section>
  );
}
