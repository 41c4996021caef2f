import { useListsInUse } from '../lists/useLists';
import { keepPreviousData, useMutation } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState } from 'react';
import { useAddress } from '../ui/useAddress';
import { useGroup } from '../accounts/group';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { GroupSelect } from '../ui/GroupSelect';
import { Notice } from '../ui/Notice';
import { Refused } from '../ui/Refused';
import { PageHeader } from '../ui/PageHeader';
import { type Draft, draftOf, formOf, NEW } from './draft';
import { SheetView } from './SheetView';
import { StationFields } from './StationFields';
import { TeamAreas } from './TeamAreas';

/** Base and mobile stations: what they radiate, from where people are safe, what they draw, how far they reach. */
export function StationsPage() {
  const { group } = useGroup();
  const stations = Server.useQuery(
    'get',
    '/api/groups/{group}/stations',
    { params: { path: { group: group?.id ?? 0 } } },
    { enabled: group !== undefined },
  );
  const lists = useListsInUse(group?.id);
  return (
    <div className="flex min-h-full flex-col">
      <title>Stations · Wache</title>
      <PageHeader />
      {stations.error && (
        <main className="p-4">
          <Notice message={stations.error.message} />
        </main>
      )}
      {stations.data && lists.data && group && (
        <Sheets key={group.id} group={group.id} stations={stations.data} lists={lists.data} />
      )}
    </div>
  );
}

interface SheetsProps {
  group: number;
  stations: Schemas['Stations'];
  lists: Schemas['ListSummary'][];
}

function Sheets({ group, stations, lists }: SheetsProps) {
  const caughtUp = useCaughtUp();
  const may = useMay('edit');
  const [params, setParams] = useAddress();
  const chosen = params.get('station');
  const stored =
    stations.stations.find((each) => String(each.id) === chosen) ??
    (chosen === 'new' ? undefined : stations.stations[0]);
  const used = stations.uses.find((each) => each.base === stored?.form.name) ?? stations.uses[0];
  const list = Number(params.get('list') ?? used?.list ?? lists[0]?.id ?? 0);
  const [typed, setTyped] = useState<{ of: string; draft: Draft }>();
  const key = stored ? `${stored.id} ${stored.version}` : 'new';
  const before = useMemo(() => (stored ? draftOf(stored.form) : NEW), [stored]);
  const draft = typed?.of === key ? typed.draft : before;
  const read = formOf(draft);
  const changed = JSON.stringify(draft) !== JSON.stringify(before);
  const site = Server.useQuery(
    'get',
    '/api/lists/{list}/site',
    { params: { path: { list } } },
    { enabled: list > 0 },
  );
  const base = site.data?.keyed.bases.find((each) => each.name === draft.name.trim());
  const [all, setAll] = useState(false);
  const entries = useMemo(
    () =>
      base && !all
        ? (site.data?.entries ?? [])
            .filter((each) => base.numbers.includes(each.number))
            .map((each) => each.id)
        : [],
    [base, all, site.data],
  );
  const [ticked, setTicked] = useState<{ of: string; entries: number[] }>();
  const ofWhat = `${stored?.id ?? 'new'} ${list}`;
  const atOnce = ticked?.of === ofWhat ? ticked.entries : entries;
  const asked = useDeferredValue(
    'form' in read
      ? JSON.stringify({ form: { ...read.form, name: read.form.name || 'new' }, list, entries, atOnce })
      : '',
  );
  const sheet = Server.useQuery(
    'post',
    '/api/groups/{group}/stations/sheet',
    { params: { path: { group } }, body: JSON.parse(asked) as Schemas['SheetOf'] },
    { enabled: asked !== '' && list > 0, placeholderData: keepPreviousData, gcTime: 30_000 },
  );
  const save = useMutation({
    mutationFn: async (form: Schemas['StationForm']) => {
      if (stored) {
        await data(
          api.PUT('/api/stations/{station}', {
            params: { path: { station: stored.id } },
            body: { version: stored.version, form },
          }),
        );
        return stored.id;
      }
      return (
        await data(api.POST('/api/groups/{group}/stations', { params: { path: { group } }, body: form }))
      ).id;
    },
    onSuccess: async (id) => {
      await caughtUp();
      setTyped(undefined);
      setParams({ station: String(id), list: String(list) });
    },
  });
  const remove = useMutation({
    mutationFn: () =>
      data(
        api.DELETE('/api/stations/{station}', {
          params: { path: { station: stored!.id }, query: { version: stored!.version } },
        }),
      ),
    onSuccess: async () => {
      setParams({ list: String(list) });
      await caughtUp();
    },
  });
  return (
    <main className="mx-auto grid w-full max-w-[1500px] grow gap-x-8 gap-y-5 px-5 pt-4 pb-8 lg:grid-cols-[22rem_minmax(0,1fr)]">
      <div className="flex flex-col gap-4">
        <div className="flex flex-wrap items-baseline gap-x-4">
          <h1 className="text-title font-semibold">Stations</h1>
          <GroupSelect />
        </div>
        <ul aria-label="Stations" className="border-line bg-sheet divide-line divide-y rounded border">
          {stations.stations.map((each) => (
            <li key={each.id}>
              <button
                type="button"
                aria-current={stored?.id === each.id}
                className={`flex w-full gap-3 border-l-[3px] px-3 py-1.5 text-left ${stored?.id === each.id ? 'border-accent bg-accent-wash' : 'hover:bg-sunk border-transparent'}`}
                onClick={() =>
                  setParams({
                    station: String(each.id),
                    ...(params.get('list') ? { list: String(list) } : {}),
                  })
                }
              >
                <span className="min-w-0 grow truncate font-semibold">{each.form.name}</span>
                <span className="text-soft shrink-0">
                  {each.form.kind}, {each.form.outputW} W
                </span>
              </button>
            </li>
          ))}
          {stations.stations.length === 0 && (
            <li className="text-soft px-3 py-2">
              No station yet. Type the figures of one here: what it radiates and from where people are safe is
              worked out as you type.
            </li>
          )}
        </ul>
        {may && stored && (
          <div>
            <Button onClick={() => setParams({ station: 'new', list: String(list) })}>A new station</Button>
          </div>
        )}
        <form
          aria-label={stored ? stored.form.name : 'A new station'}
          className="flex flex-col gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            if ('form' in read) save.mutate(read.form);
          }}
        >
          <StationFields
            draft={draft}
            lines={stations.lines}
            usualEfficiency={stations.usualEfficiency}
            disabled={false}
            onChange={(change) => setTyped({ of: key, draft: { ...draft, ...change } })}
          />
          {'problem' in read && <Notice message={read.problem} />}
          <Refused by={[save, remove, sheet]} />
          {may && (
            <div className="flex flex-wrap gap-2">
              <Button
                type="submit"
                kind="strong"
                disabled={
                  !('form' in read) ||
                  !draft.name.trim() ||
                  save.isPending ||
                  (stored !== undefined && !changed)
                }
              >
                {stored ? 'Save' : 'Add it'}
              </Button>
              {changed && <Button onClick={() => setTyped(undefined)}>Discard changes</Button>}
              <span className="grow" />
              {stored && (
                <Button kind="quiet" disabled={remove.isPending} onClick={() => remove.mutate()}>
                  Remove it
                </Button>
              )}
            </div>
          )}
        </form>
        <p className="text-second text-soft">
          {stations.lineSource}. Put an antenna or a dummy load on before you key.
        </p>
        <TeamAreas group={group} />
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        <div className="flex flex-wrap items-end gap-4">
          <Choice
            label="With the entries of"
            value={String(list)}
            options={lists.map((each) => [String(each.id), each.name] as const)}
            onChange={(next) => setParams({ ...(chosen ? { station: chosen } : {}), list: next })}
          />
          {base && (
            <label className="flex items-center gap-1.5 pb-1">
              <input type="checkbox" checked={!all} onChange={(event) => setAll(!event.target.checked)} />
              only what {base.name} works
            </label>
          )}
          {changed && <span className="text-soft pb-1">with what is typed, not yet saved</span>}
        </div>
        {lists.length === 0 && <p className="text-soft">The group has no list yet; a sheet needs entries.</p>}
        {sheet.data && (
          <SheetView
            key={list}
            sheet={sheet.data}
            onAtOnce={(next) => setTicked({ of: ofWhat, entries: next })}
          />
        )}
      </div>
    </main>
  );
}
