import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useSearchParams } from 'react-router';
import { AccountMenu } from '../accounts/AccountMenu';
import {
  api,
  data,
  type Carrier,
  type Cure,
  type Desk as DeskData,
  type Schemas,
  type Slip,
} from '../api/client';
import { BandChips } from '../ruler/BandChips';
import { Ruler } from '../ruler/Ruler';
import { around, bandAt, channelView, holds, home, panned, type View, viewOf, zoomed } from '../ruler/view';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Wordmark } from '../ui/Wordmark';
import { Carriers } from './Carriers';
import { ClashDialog } from './ClashDialog';
import { numbered } from './cures';
import { Dossier } from './Dossier';
import { ExportMenu } from './ExportMenu';
import { KeysDialog } from './KeysDialog';
import { type Grouping, rows } from './rows';
import { SlipList } from './SlipList';
import { edit, type useDesk } from './useDesk';
import { VerdictFilter } from './VerdictFilter';

interface Props {
  desk: DeskData;
  ruler: Schemas['Ruler'];
  work: ReturnType<typeof useDesk>;
}

const GROUPINGS: Record<Grouping, string> = {
  verdict: 'by verdict',
  band: 'by band',
  list: 'as in the list',
};
const NEXT: Record<Grouping, Grouping> = { verdict: 'band', band: 'list', list: 'verdict' };
const NARROW = '(max-width: 63.99rem)';

/** The Desk: the ruler over the entries, the findings beside them. */
export function Desk({ desk, ruler, work }: Props) {
  const [params, setParams] = useSearchParams();
  const [settled, setSettled] = useState<ReadonlyMap<number, string>>(() => snapshot(desk.slips));
  const [manual, setManual] = useState<View>();
  const [draft, setDraft] = useState<Record<string, string>>({});
  const [keys, setKeys] = useState(false);
  const searchBox = useRef<HTMLInputElement>(null);
  const page = useRef<HTMLDivElement>(null);
  const grouping = (params.get('group') ?? 'verdict') as Grouping;
  const search = params.get('find') ?? '';
  const chosen = useMemo(() => (params.get('show') ?? '').split(',').filter(Boolean), [params]);

  const bandOf = (slip: Slip) => bandAt(ruler.bands, home(slip))?.name ?? 'Elsewhere';
  const wanted = Number(params.get('entry'));
  const draftOf = Object.keys(draft).length > 0 ? wanted : undefined;

  const trial = useQuery({
    queryKey: ['trial', desk.id, desk.version, wanted, draft],
    enabled: draftOf !== undefined,
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    queryFn: ({ signal }) =>
      data(
        api.POST('/api/lists/{list}/entries/{entry}/trial', {
          params: { path: { list: desk.id, entry: wanted } },
          body: { fields: draft },
          signal,
        }),
      ),
  });
  const tried = draftOf !== undefined && trial.data?.dossier.slip.id === wanted ? trial.data : undefined;
  const slips = useMemo(() => {
    if (!tried) return desk.slips;
    const changed = new Map([tried.dossier.slip, ...tried.others].map((slip) => [slip.id, slip]));
    return desk.slips.map((slip) => changed.get(slip.id) ?? slip);
  }, [desk.slips, tried]);
  const shown = rows(slips, settled, { verdicts: chosen, search }, grouping, bandOf);
  const order = shown.flatMap((row) => (row.kind === 'slip' ? [row.slip] : []));
  const narrow = window.matchMedia(NARROW).matches;
  const selected = slips.find((slip) => slip.id === wanted) ?? (narrow ? undefined : order[0]);
  const saved = desk.slips.find((slip) => slip.id === selected?.id);

  const asked = useQuery({
    queryKey: ['dossier', desk.id, desk.version, selected?.id, desk.carriers],
    enabled: selected !== undefined,
    placeholderData: keepPreviousData,
    queryFn: () =>
      data(
        api.GET('/api/lists/{list}/entries/{entry}', {
          params: { path: { list: desk.id, entry: selected!.id } },
        }),
      ),
  });
  const dossier = tried?.dossier ?? (asked.data?.slip.id === selected?.id ? asked.data : undefined);
  const automatic = viewOf(ruler.bands, selected);
  const view = manual && (!selected || holds(manual, home(selected))) ? manual : automatic;

  const setParam = (changes: Record<string, string | undefined>) =>
    setParams(
      (old) => {
        const next = new URLSearchParams(old);
        Object.entries(changes).forEach(([key, text]) => (text ? next.set(key, text) : next.delete(key)));
        return next;
      },
      { replace: true },
    );

  const select = (slip: Slip) => {
    if (slip.id === selected?.id && params.get('entry')) return;
    setSettled(snapshot(desk.slips));
    setDraft({});
    setParam({ entry: String(slip.id) });
  };
  const step = (by: number) => {
    const at = order.findIndex((slip) => slip.id === selected?.id);
    const next = order[Math.min(order.length - 1, Math.max(0, at + by))];
    if (next) {
      select(next);
      requestAnimationFrame(() =>
        page.current?.querySelector<HTMLElement>(`[data-entry="${next.id}"]`)?.focus(),
      );
    }
  };
  const cure = (slip: Slip, chosenCure: Cure) => {
    setDraft({});
    setParam({ entry: String(slip.id) });
    void work.act(`${chosenCure.label} (${slip.fields.name ?? slip.fields.number ?? 'entry'})`, [
      edit(slip, chosenCure.changes),
    ]);
  };
  const cureByKey = (digit: number) => {
    if (!saved) return;
    // The first cure stands on the slip already, before the dossier has come.
    if (!dossier) return void (digit === 1 && saved.cure && cure(saved, saved.cure));
    const found = [...numbered(dossier.findings).values()].flat().find((each) => each.key === digit);
    if (found) cure(saved, found.cure);
  };
  const save = async () => {
    if (!saved) return;
    const changes = Object.fromEntries(
      Object.entries(draft).filter(([key, text]) => (saved.fields[key] ?? '') !== text),
    );
    if (Object.keys(changes).length === 0) return setDraft({});
    const what = `edit of ${saved.fields.name ?? saved.fields.number ?? 'entry'}`;
    if (await work.act(what, [edit(saved, changes)])) {
      // What was typed into another field meanwhile stays.
      setDraft((old) =>
        Object.fromEntries(Object.entries(old).filter(([key, text]) => changes[key] !== text)),
      );
    }
  };
  const toggle = (verdict: string) => {
    setSettled(snapshot(desk.slips));
    setParam({
      show: (chosen.includes(verdict) ? chosen.filter((each) => each !== verdict) : [verdict]).join(','),
    });
  };
  const add = () =>
    work.act('new entry', [
      {
        kind: 'add',
        entry: null,
        behind: saved?.id ?? null,
        before: {},
        after: {
          name: 'New entry',
          number: String(nextNumber(desk.slips)),
          rxMhz: saved?.fields.rxMhz ?? '146.520',
        },
      },
    ]);
  const remove = () => {
    if (!saved) return;
    const at = order.findIndex((slip) => slip.id === saved.id);
    const next = order[at + 1] ?? order[at - 1];
    void work.act(`taking out ${saved.fields.name ?? saved.fields.number ?? 'entry'}`, [
      { kind: 'remove', entry: saved.id, behind: null, before: {}, after: {} },
    ]);
    if (next) setParam({ entry: String(next.id) });
  };
  const setCarriers = async (carriers: Carrier[]) => {
    await data(
      api.PUT('/api/lists/{list}/carriers', {
        params: { path: { list: desk.id } },
        body: { before: desk.carriers, carriers },
      }),
    ).catch(() => undefined);
    await work.reload();
    setSettled(new Map());
  };
  const editEntry = () => page.current?.querySelector<HTMLInputElement>('[data-field="rxMhz"]')?.focus();

  useHotkeys('down, j', () => step(1), { preventDefault: true });
  useHotkeys('up, k', () => step(-1), { preventDefault: true });
  useHotkeys('pagedown', () => step(10), { preventDefault: true });
  useHotkeys('pageup', () => step(-10), { preventDefault: true });
  useHotkeys('1,2,3,4,5,6,7,8,9', (event) => cureByKey(Number(event.key)));
  useHotkeys('e, enter', (event) => {
    if (event.key === 'Enter' && !(event.target as HTMLElement).matches('[data-entry], body')) return;
    event.preventDefault();
    editEntry();
  });
  useHotkeys('mod+z', () => void work.undo(), { preventDefault: true, enableOnFormTags: false });
  useHotkeys('mod+shift+z, mod+y', () => void work.redo(), { preventDefault: true });
  useHotkeys('h', () => toggle('hold'));
  useHotkeys('q', () => toggle('query'));
  useHotkeys('c', () => toggle('clear'));
  useHotkeys('l', () => toggle('listen'));
  useHotkeys('/', () => searchBox.current?.focus(), { preventDefault: true, useKey: true });
  useHotkeys('g', () => setParam({ group: NEXT[grouping] }));
  useHotkeys('n', () => void add());
  useHotkeys('delete', remove);
  useHotkeys('?', () => setKeys(true), { useKey: true });
  const zoom = (factor: number) =>
    setManual(zoomed(view, factor, (selected && home(selected)) ?? (view.low + view.high) / 2));
  useHotkeys('+, =', () => zoom(1.6), { useKey: true });
  useHotkeys('-', () => zoom(1 / 1.6), { useKey: true });
  useHotkeys('[', () => setManual(panned(view, -0.25)), { useKey: true });
  useHotkeys(']', () => setManual(panned(view, 0.25)), { useKey: true });
  useHotkeys('0', () => setManual(undefined));

  return (
    <div ref={page} className="flex h-full flex-col">
      <title>{`${desk.name} · Wache`}</title>
      <header className="border-line bg-sheet flex min-h-12 flex-wrap items-center gap-x-3 border-b px-3 py-1">
        <Link to="/lists" className="hover:text-accent rounded px-1" aria-label="Wache, to the lists">
          <Wordmark />
        </Link>
        <h1 className="text-title min-w-0 truncate font-semibold">{desk.name}</h1>
        <div className="flex min-w-0 grow basis-56">
          <Carriers carriers={desk.carriers} onChange={(next) => void setCarriers(next)} />
        </div>
        <Button
          kind="quiet"
          disabled={!work.canUndo}
          onClick={() => void work.undo()}
          title={work.canUndo && `Undo: ${work.canUndo}`}
        >
          Undo
        </Button>
        <Button
          kind="quiet"
          disabled={!work.canRedo}
          onClick={() => void work.redo()}
          title={work.canRedo && `Redo: ${work.canRedo}`}
        >
          Redo
        </Button>
        <ExportMenu list={desk.id} />
        <Button kind="quiet" onClick={() => setKeys(true)}>
          Keys <kbd className="font-mono">?</kbd>
        </Button>
        <AccountMenu />
      </header>

      <section aria-label="Band ruler" className="border-line flex flex-col gap-1 border-b px-3 pt-1.5">
        <div className="flex items-center gap-2">
          <BandChips
            bands={ruler.bands}
            slips={slips}
            current={selected && bandOf(selected)}
            onChoose={(slip, band) => {
              select(slip);
              setManual(band && around(band));
            }}
          />
          <span className="grow" />
          <span className="text-second text-soft hidden shrink-0 2xl:inline">
            for <span className="text-ink">{desk.carriers[0]?.name ?? 'nobody with a licence'}</span>
          </span>
          <div className="hidden shrink-0 md:flex" role="group" aria-label="Zoom">
            <Button kind="quiet" className="text-second" onClick={() => setManual(undefined)}>
              Band
            </Button>
            <Button
              kind="quiet"
              className="text-second"
              onClick={() => selected && setManual(channelView(selected))}
            >
              Channel
            </Button>
            <Button kind="quiet" aria-label="Zoom out" onClick={() => zoom(1 / 1.6)}>
              −
            </Button>
            <Button kind="quiet" aria-label="Zoom in" onClick={() => zoom(1.6)}>
              +
            </Button>
          </div>
        </div>
        <Ruler
          holder={desk.carriers[0]?.name ?? 'nobody with a licence'}
          ruler={ruler}
          slips={slips}
          selected={selected}
          view={view}
          onView={setManual}
          onSelect={select}
        />
      </section>

      <div className="flex min-h-0 grow">
        <main className="flex min-w-0 grow flex-col">
          <div className="border-line flex flex-wrap items-center gap-x-3 gap-y-1 border-b px-3 py-1.5">
            <VerdictFilter counts={tried?.counts ?? desk.counts} chosen={chosen} onChoose={toggle} />
            <span className="grow" />
            <input
              ref={searchBox}
              type="search"
              aria-label="Find an entry"
              placeholder="Find  /"
              className="border-line bg-sheet text-second w-36 rounded border px-2 py-0.5"
              value={search}
              onChange={(event) => setParam({ find: event.target.value })}
              onKeyDown={(event) => {
                if (event.key === 'Escape') {
                  setParam({ find: undefined });
                  event.currentTarget.blur();
                }
              }}
            />
            <Button kind="quiet" className="text-second" onClick={() => setParam({ group: NEXT[grouping] })}>
              {GROUPINGS[grouping]}
            </Button>
            <Button kind="quiet" className="text-second" onClick={() => void add()}>
              New entry
            </Button>
          </div>
          {work.problem && (
            <div className="p-2">
              <Notice message={work.problem}>
                <Button onClick={work.dismiss}>Understood</Button>
              </Notice>
            </div>
          )}
          <div className="min-h-0 grow">
            {order.length > 0 ? (
              <SlipList
                rows={shown}
                selected={selected?.id}
                onSelect={select}
                onCure={(slip) => slip.cure && cure(slip, slip.cure)}
              />
            ) : (
              <p className="text-soft p-4">
                {desk.slips.length === 0
                  ? 'The list is empty. Press n for a first entry, or bring in a file on the page of lists.'
                  : 'No entry is like that. Clear the search, or press the verdict again to see all.'}
              </p>
            )}
          </div>
          <p aria-live="polite" className="sr-only">
            {work.said}
          </p>
        </main>
        <aside
          aria-label="The entry"
          className={`border-line bg-paper w-full shrink-0 overflow-y-auto border-l lg:static lg:block lg:w-[400px] ${params.get('entry') ? 'fixed inset-0 z-20 lg:inset-auto lg:z-auto' : 'hidden'}`}
        >
          <Button kind="quiet" className="m-2 lg:hidden" onClick={() => setParam({ entry: undefined })}>
            ← All entries
          </Button>
          {dossier && saved ? (
            <Dossier
              dossier={dossier}
              saved={saved.fields}
              draft={draft}
              problem={trial.error?.message}
              onType={(key, text) => {
                if (!params.get('entry')) setParam({ entry: String(saved.id) });
                setDraft((old) => ({ ...old, [key]: text }));
              }}
              onSave={() => void save()}
              onDrop={() => setDraft({})}
              onCure={(chosenCure) => cure(saved, chosenCure)}
              onRemove={remove}
            />
          ) : (
            <p className="text-soft p-4">Choose an entry: what the audit says of it stands here.</p>
          )}
          <Assumed desk={desk} />
        </aside>
      </div>
      {work.clash && (
        <ClashDialog
          conflict={work.clash.conflict}
          onSettle={(mine) => {
            setDraft({});
            void work.settle(mine);
          }}
        />
      )}
      {keys && <KeysDialog onClose={() => setKeys(false)} />}
    </div>
  );
}

/** The edition used and what had to be assumed. */
function Assumed({ desk }: { desk: DeskData }) {
  return (
    <details className="text-second text-soft border-line border-t px-3 py-2">
      <summary className="hover:text-accent cursor-pointer">
        Rulebook {desk.rulebook}, edition {desk.edition}, audited for {desk.on}. Check against the current
        rules.
      </summary>
      <ul className="list-disc py-1 pl-5">
        {desk.assumptions.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </details>
  );
}

const snapshot = (slips: Slip[]) => new Map(slips.map((slip) => [slip.id, slip.verdict]));

const nextNumber = (slips: Slip[]) =>
  1 + Math.max(0, ...slips.map((slip) => Number(slip.fields.number)).filter(Number.isInteger));
