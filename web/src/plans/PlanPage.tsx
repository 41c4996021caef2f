import { keepPreviousData, useMutation } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { useGroup } from '../accounts/group';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { moment } from '../ui/dates';
import { INPUT } from '../ui/Field';
import { GroupSelect } from '../ui/GroupSelect';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { Effect } from './Effect';
import { OverlayRow } from './OverlayRow';
import { PlanStrip } from './PlanStrip';

type Row = Schemas['OverlayRow'];

const NEW: Row = {
  mhz: '',
  uses: ['fm-simplex'],
  calling: null,
  offsetsMhz: [],
  rasters: [],
  note: null,
  warning: null,
};

/** The group's own rows of the band plan: edited, tried on the group's lists, and put in force as a version. */
export function PlanPage() {
  const { group } = useGroup();
  const overlay = Server.useQuery(
    'get',
    '/api/groups/{group}/overlay',
    { params: { path: { group: group?.id ?? 0 } } },
    { enabled: group !== undefined },
  );
  return (
    <div className="flex min-h-full flex-col">
      <title>Band plan · Wache</title>
      <PageHeader />
      {overlay.error && (
        <main className="p-4">
          <Notice message={overlay.error.message} />
        </main>
      )}
      {overlay.data && group && (
        <Editor key={`${group.id} ${overlay.data.version}`} group={group.id} overlay={overlay.data} />
      )}
    </div>
  );
}

/** Rows that are still being begun do not count yet. */
const begun = (rows: Row[]) => rows.filter((row) => row.mhz.trim() !== '');

function Editor({ group, overlay }: { group: number; overlay: Schemas['Overlay'] }) {
  const caughtUp = useCaughtUp();
  const [rows, setRows] = useState<Row[]>(overlay.rows);
  const [focused, setFocused] = useState(0);
  const [note, setNote] = useState('');
  const may = useMay('coordinate');
  const changed = JSON.stringify(begun(rows)) !== JSON.stringify(overlay.rows);
  const tried = useDeferredValue(begun(rows));
  const effect = Server.useQuery(
    'post',
    '/api/groups/{group}/overlay/trial',
    { params: { path: { group } }, body: { rows: tried } },
    { enabled: changed, placeholderData: keepPreviousData, gcTime: 30_000 },
  );
  const save = useMutation({
    mutationFn: () =>
      data(
        api.PUT('/api/groups/{group}/overlay', {
          params: { path: { group } },
          body: { before: overlay.version, rows: begun(rows), note },
        }),
      ),
    onSuccess: caughtUp,
  });
  const bringBack = useMutation({
    mutationFn: (version: number) =>
      data(api.GET('/api/groups/{group}/overlay/{version}', { params: { path: { group, version } } })),
    onSuccess: (old) => setRows(old.rows),
  });
  const set = (index: number, row: Row) => setRows(rows.map((each, i) => (i === index ? row : each)));
  const problem = effect.error ?? save.error ?? bringBack.error;
  return (
    <main className="mx-auto grid w-full max-w-7xl gap-x-8 gap-y-5 px-5 pt-4 pb-8 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <div className="flex min-w-0 flex-col gap-4">
        <div className="flex flex-wrap items-baseline gap-x-4">
          <h1 className="text-title font-semibold">The group’s own band plan</h1>
          <span className="text-soft">
            {overlay.version === 0 ? 'the national plan, as it is' : `version ${overlay.version}`}
          </span>
          <GroupSelect />
        </div>
        <p className="text-soft max-w-prose">
          What local users agreed on goes before the national plan between the ends of a row. A plan is an
          agreement: against it is a query, never a hold.
        </p>
        {rows.length === 0 && (
          <p className="border-line bg-sheet max-w-prose rounded border px-4 py-2">
            For example: <span className="font-mono">442.000-445.000</span> kept for repeater outputs, with
            the offset <span className="font-mono">5</span> and the raster{' '}
            <span className="font-mono">442.000+25</span>; or <span className="font-mono">146.520</span> with
            the warning “exercise on Tuesdays”.
          </p>
        )}
        <PlanStrip group={group} rows={rows} focused={rows[focused]} />
        <ol className="flex flex-col gap-3">
          {rows.map((row, index) => (
            <OverlayRow
              key={index}
              row={row}
              uses={overlay.uses}
              onFocus={() => setFocused(index)}
              onChange={(next) => set(index, next)}
              onRemove={() => setRows(rows.filter((_, i) => i !== index))}
            />
          ))}
        </ol>
        <div hidden={!may}>
          <Button
            onClick={() => {
              setRows([...rows, NEW]);
              setFocused(rows.length);
            }}
          >
            Add a row
          </Button>
        </div>
      </div>
      <aside className="flex flex-col gap-5" aria-label="What it does">
        {problem && <Notice message={problem.message} />}
        <section className="flex flex-col gap-2" aria-live="polite">
          <h2 className="font-semibold">What it does to your lists</h2>
          {changed ? (
            <Effect effects={effect.data} pending={effect.isPending} />
          ) : (
            <p className="text-soft">Nothing is changed yet.</p>
          )}
        </section>
        {!may && <p className="text-soft">Only coordinators put a plan into force.</p>}
        <form
          hidden={!may}
          className={`flex-col gap-2 ${may ? 'flex' : ''}`}
          onSubmit={(event) => {
            event.preventDefault();
            save.mutate();
          }}
        >
          <input
            className={INPUT}
            aria-label="What changed, for the record"
            placeholder="What changed, for the record"
            maxLength={300}
            value={note}
            onChange={(event) => setNote(event.target.value)}
          />
          <div className="flex gap-2">
            <Button kind="strong" type="submit" disabled={!changed || effect.isError || save.isPending}>
              Put version {overlay.version + 1} in force
            </Button>
            <Button disabled={!changed} onClick={() => setRows(overlay.rows)}>
              Discard changes
            </Button>
          </div>
        </form>
        {overlay.versions.length > 0 && (
          <section className="flex flex-col gap-1">
            <h2 className="font-semibold">Versions</h2>
            <ul className="divide-line border-line bg-sheet divide-y rounded border">
              {overlay.versions.map((version) => (
                <li key={version.version} className="flex items-center gap-3 px-3 py-1.5">
                  <span className="min-w-0 grow">
                    <span className="font-semibold">
                      {version.version}: {version.note || 'without a reason'}
                    </span>
                    <span className="text-second text-soft block">
                      {version.rows} {version.rows === 1 ? 'row' : 'rows'}, {moment(version.at)}, {version.by}
                    </span>
                  </span>
                  {version.version !== overlay.version && (
                    <Button
                      hidden={!may}
                      className="text-second"
                      onClick={() => bringBack.mutate(version.version)}
                    >
                      Bring back
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          </section>
        )}
      </aside>
    </main>
  );
}
