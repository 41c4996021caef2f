import { keepPreviousData, useMutation } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Refused } from '../ui/Refused';
import { type Body, cured, NEW } from './profileDraft';
import { InModels, InRadios, ProfileFindings } from './ProfileOutcome';
import { WishRows } from './WishRows';

interface Props {
  group: number;
  page: Schemas['SettingsPage'];
  stored: Schemas['ProfileView'] | undefined;
  onDone: (profile: string) => void;
}

/** A profile as it is typed, and beside it what it comes to. */
export function ProfileEditor({ group, page, stored, onDone }: Props) {
  const may = useMay('bench');
  const caughtUp = useCaughtUp();
  const before = { team: stored?.team ?? '', body: stored?.body ?? NEW };
  const [draft, setDraft] = useState(before);
  const changed = JSON.stringify(draft) !== JSON.stringify(before);
  const set = (body: Partial<Body>) => setDraft({ ...draft, body: { ...draft.body, ...body } });
  const whole = {
    team: draft.team,
    body: {
      ...draft.body,
      name: draft.body.name.trim() || 'new',
      settings: draft.body.settings.filter((each) => each.value.trim() !== ''),
    },
  };
  const asked = useDeferredValue(JSON.stringify(whole));
  const look = Server.useQuery(
    'post',
    '/api/groups/{group}/profiles/look',
    { params: { path: { group } }, body: JSON.parse(asked) as Schemas['ProfileDraft'] },
    { enabled: changed || !stored, placeholderData: keepPreviousData, gcTime: 30_000 },
  );
  const view = changed || !stored ? look.data : stored;
  const save = useMutation({
    mutationFn: async () => {
      const body = { ...whole, body: { ...whole.body, name: draft.body.name.trim() } };
      if (stored) {
        await data(
          api.PUT('/api/profiles/{profile}', {
            params: { path: { profile: stored.id } },
            body: { version: stored.version, ...body },
          }),
        );
        return stored.id;
      }
      return (await data(api.POST('/api/groups/{group}/profiles', { params: { path: { group } }, body }))).id;
    },
    onSuccess: async (id) => {
      await caughtUp();
      onDone(String(id));
    },
  });
  const remove = useMutation({
    mutationFn: () =>
      data(
        api.DELETE('/api/profiles/{profile}', {
          params: { path: { profile: stored!.id }, query: { version: stored!.version } },
        }),
      ),
    onSuccess: async () => {
      await caughtUp();
      onDone('');
    },
  });
  return (
    <div className="grid gap-x-8 gap-y-5 xl:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
      <form
        aria-label={stored ? stored.body.name : 'A new profile'}
        className="flex min-w-0 flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate();
        }}
      >
        <div className="flex flex-wrap items-end gap-3">
          <Field
            label="What it is called"
            className="w-52"
            value={draft.body.name}
            disabled={!may}
            maxLength={80}
            onChange={(name) => set({ name })}
          />
          <Choice
            label="For whom"
            value={draft.team}
            options={[['', 'Everybody of the group'], ...page.teams.map((team) => [team, team] as const)]}
            onChange={(team) => setDraft({ ...draft, team })}
          />
          {may && (
            <>
              <span className="grow" />
              <Button className={changed ? '' : 'invisible'} onClick={() => setDraft(before)}>
                Discard changes
              </Button>
              <Button
                kind="strong"
                type="submit"
                disabled={
                  save.isPending || draft.body.name.trim() === '' || (stored !== undefined && !changed)
                }
              >
                {stored ? 'Save' : 'Add it'}
              </Button>
            </>
          )}
        </div>
        <Refused by={[save, remove, look]} />
        <WishRows
          kinds={page.kinds}
          models={page.models}
          wishes={draft.body.settings}
          disabled={!may}
          onChange={(settings) => set({ settings })}
        />
        <fieldset
          className="border-line flex flex-wrap items-end gap-x-6 gap-y-2 border-t pt-3"
          disabled={!may}
        >
          <legend className="text-second text-soft">What was agreed on</legend>
          <Choice
            label="A roger tone is"
            value={draft.body.rogerTone}
            options={[
              ['allowed', 'allowed'],
              ['unwanted', 'unwanted'],
              ['forbidden', 'forbidden'],
            ]}
            onChange={(rogerTone) => set({ rogerTone })}
          />
          <Field
            label="Longest time-out"
            unit="s"
            className="w-32"
            mono
            inputMode="numeric"
            placeholder="180"
            value={draft.body.maxTimeoutS === null ? '' : String(draft.body.maxTimeoutS)}
            onChange={(text) => {
              const digits = text.replace(/\D/g, '').slice(0, 4);
              set({ maxTimeoutS: digits === '' ? null : Number(digits) });
            }}
          />
          <Tick
            words="They must be able to break in"
            checked={draft.body.breaksIn}
            onChange={(breaksIn) => set({ breaksIn })}
          />
          <Tick
            words="They must miss no call"
            checked={draft.body.missesNothing}
            onChange={(missesNothing) => set({ missesNothing })}
          />
        </fieldset>
        {may && stored && (
          <button
            type="button"
            className="text-second text-soft hover:text-hold self-start py-1 underline-offset-2 hover:underline"
            onClick={() => remove.mutate()}
          >
            Delete this profile
          </button>
        )}
      </form>
      <div className="flex min-w-0 flex-col gap-5" aria-busy={look.isFetching}>
        {view && (
          <>
            <ProfileFindings
              view={view}
              onCure={may ? (finding) => setDraft({ ...draft, body: cured(draft.body, finding) }) : undefined}
            />
            <InRadios view={view} />
            <InModels view={view} />
          </>
        )}
      </div>
    </div>
  );
}

function Tick({
  words,
  checked,
  onChange,
}: {
  words: string;
  checked: boolean;
  onChange: (on: boolean) => void;
}) {
  return (
    <label className="flex min-h-6 items-center gap-2 pb-1">
      <input type="checkbox" checked={checked} onChange={(event) => onChange(event.target.checked)} />
      {words}
    </label>
  );
}
