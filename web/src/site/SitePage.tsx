import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { type KeyboardEvent, useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useGroup } from '../accounts/group';
import { useMay } from '../accounts/rights';
import { api, data, type Change, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { ClashDialog } from '../lists/ClashDialog';
import { useListChanges } from '../lists/useListChanges';
import { ListHeader } from '../desk/ListHeader';
import type { View } from '../ruler/view';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Megahertz } from '../ui/Megahertz';
import { Notice } from '../ui/Notice';
import { ClearSearch } from './ClearSearch';
import { DoneBar, type Done } from '../ui/DoneBar';
import { clusters } from './clusters';
import { HitPanel, keyOf } from './HitPanel';
import { KeyingChoice, type Way } from './KeyingChoice';
import { SiteRuler } from './SiteRuler';
import { counted, type Hit } from './words';

/** What the entries of a list do to each other when they are used at one site. */
export function SitePage() {
  const caughtUp = useCaughtUp();
  const list = Number(useParams().list);
  const { group } = useGroup();
  const may = useMay('edit');
  const [how, setHow] = useState<Way>();
  const [index, setIndex] = useState(0);
  const [selected, setSelected] = useState<number>();
  const [hit, setHit] = useState<Hit>();
  const [view, setView] = useState<View>();
  const [done, setDone] = useState<Done>();
  const query = Server.queryOptions('get', '/api/lists/{list}/site', {
    params: { path: { list }, query: { how } },
  });
  const site = useQuery({ ...query, placeholderData: keepPreviousData });
  const stations = Server.useQuery(
    'get',
    '/api/groups/{group}/stations',
    { params: { path: { group: group?.id ?? 0 } } },
    { enabled: group !== undefined },
  );

  const keep = useMutation({
    mutationFn: (after: Schemas['Keyed']) =>
      data(
        api.PUT('/api/lists/{list}/keying', {
          params: { path: { list } },
          body: { before: site.data!.keyed, after },
        }),
      ),
    onSuccess: async () => {
      setHow(undefined);
      setIndex(0);
      await caughtUp();
    },
  });
  const work = useListChanges({ list, queryKey: query.queryKey });
  const change = async (words: string, change: Change, to?: (added: number[]) => string) => {
    const changed = await work.act({ label: words, changes: [change] });
    if (!changed) return;
    setDone({ words, version: changed.version, to: to?.(changed.added) });
    setHit(undefined);
  };
  const settle = async (mine: ReadonlySet<number>) => {
    const saved = await work.settle(mine);
    if (saved) setDone({ words: saved.label, version: saved.version });
  };
  const at = site.data?.sites[index] ?? site.data?.sites[0];
  const there = useMemo(() => {
    if (!site.data || !at) return [];
    if (site.data.sites.length === 1 && site.data.shown === 'all') return site.data.entries;
    const base = site.data.keyed.bases.find((each) => each.name === at.name);
    return site.data.entries.filter((entry) =>
      site.data.shown === 'bases'
        ? (base?.numbers.includes(entry.number) ?? false)
        : (entry.zone || 'without a zone') === at.name,
    );
  }, [site.data, at]);
  const stretches = useMemo(() => clusters(there), [there]);
  const first = [...stretches].sort((a, b) => b.entries - a.entries)[0];
  const looked = view ?? first ?? { low: 144e6, high: 148e6 };
  const reached = useMemo(() => [...(at?.reached ?? [])].sort((a, b) => weight(b) - weight(a)), [at]);
  const entry = there.find((each) => each.id === (selected ?? reached[0]?.entry));
  useEffect(() => setView(undefined), [how, index, list]);
  const select = (id: number, move: boolean) => {
    setSelected(id);
    setHit(undefined);
    const hertz = there.find((each) => each.id === id)?.rxHz;
    const stretch = stretches.find((each) => hertz != null && hertz >= each.low && hertz <= each.high);
    if (move && stretch && hertz != null && (hertz < looked.low || hertz > looked.high)) setView(stretch);
  };
  const nextNumber =
    1 +
    Math.max(0, ...(site.data?.entries ?? []).map((each) => Number(each.number)).filter(Number.isInteger));
  const problem = site.error?.message ?? keep.error?.message ?? work.problem;
  const shown = site.data?.shown ?? 'all';
  return (
    <div className="flex h-full flex-col">
      <title>{`On site · ${site.data?.name ?? ''} · Wache`}</title>
      <ListHeader list={list} name={site.data?.name} />
      {site.data && (
        <KeyingChoice
          key={site.data.version}
          keyed={site.data.keyed}
          shown={shown}
          entries={site.data.entries}
          stations={stations.data?.stations.map((each) => each.form.name) ?? []}
          may={may && site.data.parent === null}
          busy={keep.isPending}
          onShow={(next) => {
            setHow(next);
            setIndex(0);
            setSelected(undefined);
            setHit(undefined);
          }}
          onKeep={(keyed) => keep.mutate(keyed)}
        />
      )}
      {problem && (
        <div className="p-3">
          <Notice message={problem}>
            {(keep.error ?? work.problem) && (
              <Button
                onClick={() =>
                  void site.refetch().then(() => {
                    keep.reset();
                    work.dismiss();
                  })
                }
              >
                Look again
              </Button>
            )}
          </Notice>
        </div>
      )}
      {done && <DoneBar done={done} back={work.back} onUndone={() => setDone(undefined)} />}
      {site.data && at && (
        <>
          <section
            aria-label="Sites and stretches"
            className="border-line flex flex-wrap items-center gap-1.5 border-b px-3 py-1"
          >
            {site.data.sites.length > 1 &&
              site.data.sites.map((each) => (
                <Chip
                  key={each.index}
                  on={each.index === at.index}
                  label={`${each.name}: ${each.reached.length === 0 ? 'clear' : `${each.reached.length} disturbed`}`}
                  onPress={() => {
                    setIndex(each.index);
                    setSelected(undefined);
                    setHit(undefined);
                  }}
                />
              ))}
            <span className="text-soft">
              {at.transmitters} {at.transmitters === 1 ? 'transmit frequency' : 'transmit frequencies'},{' '}
              {at.receivers} {at.receivers === 1 ? 'receiver' : 'receivers'}
              {!at.complete && ': too many for products to be worked out; choose what is keyed together'}
            </span>
            <span className="grow" />
            {stretches.map((each) => (
              <Chip
                key={each.name}
                on={looked.low === each.low && looked.high === each.high}
                label={each.name}
                onPress={() => setView(each)}
              />
            ))}
          </section>
          <SiteRuler
            entries={there}
            reached={reached}
            selected={entry?.id}
            hit={hit}
            view={looked}
            onView={setView}
            onSelect={(id) => select(id, false)}
          />
          <div className="flex min-h-0 grow max-lg:flex-col">
            <main className="min-h-0 min-w-0 grow overflow-y-auto">
              {there.length === 0 ? (
                <p className="text-soft max-w-prose p-4">
                  {site.data.entries.length === 0
                    ? 'The list is empty. With entries in it this page says which of them disturb each other at one site.'
                    : 'No entry of the list is used here.'}
                </p>
              ) : reached.length === 0 ? (
                <p className="p-4">Nothing disturbs anything here. Key what you like at one time.</p>
              ) : (
                <ul aria-label="Disturbed entries" onKeyDown={walk}>
                  {reached.map((each) => {
                    const of = there.find((one) => one.id === each.entry);
                    if (!of) return null;
                    const nearest = each.hits[0];
                    return (
                      <li key={each.entry} className="border-line border-b">
                        <button
                          type="button"
                          aria-current={entry?.id === each.entry}
                          className={`grid w-full grid-cols-[5.5rem_minmax(0,1fr)] items-baseline gap-x-3 border-l-[3px] px-3 py-1.5 text-left ${entry?.id === each.entry ? 'border-accent bg-accent-wash' : 'hover:bg-sunk border-transparent'}`}
                          onClick={() => select(each.entry, true)}
                        >
                          <span className="text-right">
                            {of.rxHz !== null && <Megahertz hertz={of.rxHz} />}
                          </span>
                          <span className="min-w-0 truncate">
                            <span className="font-semibold">{of.name || `Number ${of.number}`}</span>{' '}
                            <span className="text-query">{each.counts.map(counted).join(', ')}</span>
                          </span>
                          <span className="text-soft text-second text-right font-mono">{of.number}</span>
                          <span className="text-second text-soft truncate font-mono">
                            {nearest?.equation}
                          </span>
                        </button>
                      </li>
                    );
                  })}
                </ul>
              )}
              <ClearSearch
                list={list}
                how={how}
                site={at.index}
                choice={site.data.choice}
                may={may && site.data.parent === null}
                onTake={(pick) =>
                  void change(
                    `${clearName(pick)} was added as number ${nextNumber}`,
                    {
                      kind: 'add',
                      entry: null,
                      behind: null,
                      before: {},
                      after: { ...pick.fields, name: clearName(pick), number: String(nextNumber) },
                    },
                    ([added]) => `/lists/${list}?entry=${added}`,
                  )
                }
              />
              <p className="text-second text-soft max-w-prose px-3 pb-4">
                Worked out for transmitters of this list alone; other services on the same mast are not known
                here. More about{' '}
                <Link to="/stations" className="text-accent underline underline-offset-2">
                  power, exposure and antennas
                </Link>
                .
              </p>
            </main>
            {entry && (
              <HitPanel
                key={`${entry.id} ${at.index}`}
                list={list}
                how={how}
                site={at.index}
                version={site.data.version}
                entry={entry}
                open={hit && keyOf(hit)}
                may={may && site.data.parent === null}
                busy={work.busy}
                onOpen={setHit}
                onChange={(least) =>
                  void change(`${least.name || `Number ${least.number}`}: ${least.label}`, {
                    kind: 'edit',
                    entry: least.entry,
                    behind: null,
                    before: least.before,
                    after: least.changes,
                  })
                }
              />
            )}
          </div>
        </>
      )}
      {work.clash && <ClashDialog conflict={work.clash.conflict} onSettle={(mine) => void settle(mine)} />}
      {site.data && !at && <p className="text-soft p-4">No entry is keyed here.</p>}
    </div>
  );
}

/** Arrows walk through the entries. */
function walk(event: KeyboardEvent<HTMLUListElement>) {
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (step === undefined) return;
  const all = [...event.currentTarget.querySelectorAll('button')];
  const next = all[all.indexOf(document.activeElement as HTMLButtonElement) + step];
  if (!next) return;
  event.preventDefault();
  next.focus();
  next.click();
}

/** Products and overlap before mere nearness. */
const WEIGHTS: Record<Schemas['HitKind'], number> = {
  'co-channel': 1e9,
  overlap: 1e6,
  'third-order': 1e3,
  'fifth-order': 1,
  harmonic: 1e4,
  near: 1e-3,
};

const weight = (reached: Schemas['ReachedEntry']) =>
  reached.counts.reduce((sum, each) => sum + Math.min(each.count, 999) * (WEIGHTS[each.kind] ?? 1), 0);

/** What a clear channel is called that is added: by where it is. */
const clearName = (pick: Schemas['ClearPick']) => `CLR ${(pick.hz / 1e6).toFixed(3)}`;
