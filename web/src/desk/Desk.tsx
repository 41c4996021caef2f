import { keepPreviousData } from '@tanstack/react-query';
import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { Archived } from '../lists/Archived';
import { Link, useNavigate } from 'react-router';
import { useAddress } from '../ui/useAddress';
import { api, data, type Change, type Cure, type Schemas, type Slip, Server } from '../api/client';
import { Directory } from '../directory/Directory';
import { News } from '../directory/News';
import { bring } from '../intake/bring';
import { BringDialog } from '../intake/BringDialog';
import { type Tool } from '../tools/ToolMenu';
import { Tools } from '../tools/Tools';
import { BandChips } from '../ruler/BandChips';
import { Ruler } from '../ruler/Ruler';
import { next } from '../ruler/steps';
import { around, bandAt, channelView, holds, home, panned, type View, viewOf, zoomed } from '../ruler/view';
import { ReachNote } from '../reach/ReachNote';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { useStable } from '../ui/useStable';
import { useTerms } from '../rulebooks/rulebooks';
import { AddBar } from './AddBar';
import { AsideRows } from './AsideRows';
import { Assumed } from './Assumed';
import { ClashDialog } from '../lists/ClashDialog';
import { CureAll } from './CureAll';
import { numbered } from './cures';
import { DeskHeader } from './DeskHeader';
import { nobody, rowCure } from './carried';
import { Presence } from './Presence';
import { Dossier } from './Dossier';
import { KeysDialog } from './KeysDialog';
import { ListToolbar, NEXT } from './ListToolbar';
import { type Grouping, rows } from './rows';
import { SlipList } from './SlipList';
import { Unsaved } from './Unsaved';
import { follows, hertzOf, megahertz } from './follow';
import { useDrafts } from './useDrafts';
import { edit } from '../lists/changes';
import type { DeskSeen, useDesk } from './useDesk';
import { useDeskKeys } from './useDeskKeys';

interface Props {
  desk: DeskSeen;
  ruler: Schemas['Ruler'];
  /** Whose privileges the ruler draws. */
  holder: string;
  work: ReturnType<typeof useDesk>;
}

/** The band that an entry is told under. */
const bandName = (bands: Schemas['Band'][], slip: Slip) => bandAt(bands, home(slip))?.name ?? 'Elsewhere';

const ADDRESS_MS = 300;
const NARROW = '(max-width: 63.99rem)';

/** The Desk: the ruler over the entries, the findings beside them. */
export function Desk({ desk, ruler, holder, work }: Props) {
  const go = useNavigate();
  const [params, setParams] = useAddress();
  const [kept, setKept] = useState({ fetched: desk.fetched, verdicts: snapshot(desk.slips) });
  const setSettled = (verdicts: ReadonlyMap<number, string>) => setKept({ fetched: desk.fetched, verdicts });
  /** Every entry stands where its verdict belongs; where all do already the list is not drawn anew. */
  const settle = () => {
    if (!isSettled(desk.slips, settled)) setSettled(snapshot(desk.slips));
  };
  // What others did, or was done elsewhere, moves entries at once.
  const settled = kept.fetched === desk.fetched ? kept.verdicts : NONE;
  const [manual, setManual] = useState<View>();
  const drafts = useDrafts(desk.id);
  const [fieldsOpen, setFieldsOpen] = useState(false);
  /** The entry that was moved on the ruler, or by its keys. */
  const [moving, setMoving] = useState<number>();
  const [keys, setKeys] = useState(false);
  const [cureAll, setCureAll] = useState(false);
  const [adding, setAdding] = useState(false);
  const [tool, setTool] = useState<Tool>();
  const searchBox = useRef<HTMLInputElement>(null);
  const page = useRef<HTMLDivElement>(null);
  const grouping = (params.get('group') ?? 'verdict') as Grouping;
  const [search, setSearch] = useState(params.get('find') ?? '');
  const found = useDeferredValue(search);
  const show = params.get('show') ?? '';
  const chosen = useMemo(() => show.split(',').filter(Boolean), [show]);

  const wanted = Number(params.get('entry'));
  const draft = drafts.texts(wanted);
  const draftOf = Object.keys(draft).length > 0 ? wanted : undefined;

  const trial = Server.useQuery(
    'post',
    '/api/lists/{list}/entries/{entry}/trial',
    { params: { path: { list: desk.id, entry: wanted } }, body: { fields: draft }, asOf: desk.version },
    { enabled: draftOf !== undefined, placeholderData: keepPreviousData, gcTime: 10_000 },
  );
  const tried = draftOf !== undefined && trial.data?.dossier.slip.id === wanted ? trial.data : undefined;
  const slips = useMemo(() => {
    if (!tried) return desk.slips;
    const changed = new Map([tried.dossier.slip, ...tried.others].map((slip) => [slip.id, slip]));
    return desk.slips.map((slip) => changed.get(slip.id) ?? slip);
  }, [desk.slips, tried]);
  const shown = useMemo(
    () =>
      rows(slips, settled, { verdicts: chosen, search: found }, grouping, (slip) =>
        bandName(ruler.bands, slip),
      ),
    [slips, settled, chosen, found, grouping, ruler.bands],
  );
  const order = useMemo(() => shown.flatMap((row) => (row.kind === 'slip' ? [row.slip] : [])), [shown]);
  const narrow = window.matchMedia(NARROW).matches;
  const selected = slips.find((slip) => slip.id === wanted) ?? (narrow ? undefined : order[0]);
  const saved = desk.slips.find((slip) => slip.id === selected?.id);

  const asked = Server.useQuery(
    'get',
    '/api/lists/{list}/entries/{entry}',
    {
      params: { path: { list: desk.id, entry: selected?.id ?? 0 }, query: { on: desk.on } },
      asOf: [desk.version, desk.holders],
    },
    { enabled: selected !== undefined, placeholderData: keepPreviousData },
  );
  const dossier = tried?.dossier ?? (asked.data?.slip.id === selected?.id ? asked.data : undefined);
  const terms = useTerms(desk.rulebook);
  const examples = terms.data?.examples ?? [];
  const automatic = viewOf(ruler.bands, selected, terms.data?.usualBand);
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

  // The address follows when the typing rests: nothing that is typed waits for it.
  useEffect(() => {
    const rest = setTimeout(() => {
      if ((params.get('find') ?? '') !== search) setParam({ find: search });
    }, ADDRESS_MS);
    return () => clearTimeout(rest);
  });
  // An entry that is no longer there is not in the address.
  useEffect(() => {
    if (params.get('entry') && !desk.slips.some((slip) => slip.id === wanted)) setParam({ entry: undefined });
  });

  const select = (slip: Slip) => {
    if (slip.id === selected?.id && params.get('entry')) return;
    settle();
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
  const cure = async (slip: Slip, chosenCure: Cure) => {
    setParam({ entry: String(slip.id) });
    // A cure of what is typed is saved with it.
    const typed = drafts.change(slip.id);
    const change = edit(slip, chosenCure.changes);
    const whole = typed
      ? {
          ...change,
          before: { ...change.before, ...typed.before },
          after: { ...typed.after, ...change.after },
        }
      : change;
    if (await work.act(`${chosenCure.label} (${slip.fields.name ?? slip.fields.number ?? 'entry'})`, [whole]))
      drafts.drop(slip.id);
  };
  const cureByKey = (digit: number) => {
    if (!saved) return;
    // The first cure stands on the slip already, before the dossier has come.
    const first = rowCure(saved, desk.choice);
    if (!dossier) return void (digit === 1 && first && void cure(saved, first));
    const found = [...numbered(dossier.findings).values()].flat().find((each) => each.key === digit);
    if (found) void cure(saved, found.cure);
  };
  const save = async (entry = wanted) => {
    const change = drafts.change(entry);
    if (!change) return;
    const slip = desk.slips.find((each) => each.id === entry);
    const what = `edit of ${slip?.fields.name ?? slip?.fields.number ?? 'entry'}`;
    if (await work.act(what, [change])) drafts.saved(entry, change.after);
  };
  const type = (slip: Slip, key: string, text: string) => {
    if (!params.get('entry')) setParam({ entry: String(slip.id) });
    const follow = key === 'rxMhz' ? follows(slip, text) : undefined;
    drafts.type(slip, follow === undefined ? { [key]: text } : { [key]: text, txMhz: follow });
  };
  const houseKhz = desk.settings.twoMetreRasterKhz;
  const isMoved = moving !== undefined && moving === draftOf && isMove(draft);
  const moveTo = (slip: Slip, hears: number) => {
    const before = desk.slips.find((each) => each.id === slip.id);
    if (!before || work.fixed) return;
    setMoving(slip.id);
    if (hears === hertzOf(before.fields.rxMhz ?? '')) drafts.drop(slip.id);
    else type(before, 'rxMhz', megahertz(hears));
  };
  const nudge = (direction: 1 | -1) => {
    const now = selected && (hertzOf(draft.rxMhz ?? '') ?? selected.rxHz);
    if (selected && now) moveTo(selected, next(ruler, now, direction, houseKhz));
  };
  const { reload } = work;
  const takeTheirs = useCallback(() => void reload(), [reload]);
  const toggle = (verdict: string) => {
    settle();
    setParam({
      show: (chosen.includes(verdict) ? chosen.filter((each) => each !== verdict) : [verdict]).join(','),
    });
  };
  const addEntries = async (label: string, entries: Record<string, string>[]) => {
    let number = nextNumber(desk.slips);
    const taken = new Set(desk.slips.map((slip) => slip.fields.number));
    const changes = entries.map((fields): Change => {
      const given = fields.number && !taken.has(fields.number) ? fields.number : String(number++);
      taken.add(given);
      return { kind: 'add', entry: null, behind: null, before: {}, after: { ...fields, number: given } };
    });
    return work.act(label, changes);
  };
  const tableInto = async (text: string) => {
    try {
      const brought = await bring(desk.groupId, new Blob([text]), 'Pasted', '', () => undefined);
      void go(`/intake/${brought.id}?into=${desk.id}`);
    } catch (cause) {
      work.tell((cause as Error).message);
    }
  };
  const remove = () => {
    if (!saved) return;
    const at = order.findIndex((slip) => slip.id === saved.id);
    const next = order[at + 1] ?? order[at - 1];
    void work.act(`taking out ${saved.fields.name ?? saved.fields.number ?? 'entry'}`, [
      { kind: 'remove', entry: saved.id, behind: null, before: {}, after: {} },
    ]);
    drafts.drop(saved.id);
    setParam({ entry: next && String(next.id) });
  };
  const setChoice = async (after: Schemas['CarrierChoice']) => {
    await data(
      api.PUT('/api/lists/{list}/carriers', {
        params: { path: { list: desk.id } },
        body: { before: desk.choice, after },
      }),
    ).catch((cause: Error) => work.tell(cause.message));
    await work.reload();
    setSettled(new Map());
  };
  const openCarriers = () => page.current?.querySelector<HTMLElement>('[data-carriers="open"]')?.click();
  const editEntry = () => {
    flushSync(() => setFieldsOpen(true));
    page.current?.querySelector<HTMLInputElement>('[data-field="rxMhz"]')?.focus();
  };

  const onSelect = useStable(select);
  const onCure = useStable(cure);
  const cureOf = useStable((slip: Slip) => rowCure(slip, desk.choice));
  const zoom = (factor: number) =>
    setManual(zoomed(view, factor, (selected && home(selected)) ?? (view.low + view.high) / 2));
  useDeskKeys({
    step,
    cure: cureByKey,
    // What was moved is saved where it stands; its fields are opened by their own key.
    edit: (key) => (isMoved && key === 'Enter' ? void save() : editEntry()),
    nudge,
    putBack: () => isMoved && saved && drafts.drop(saved.id),
    undo: () => void work.undo(),
    redo: () => void work.redo(),
    toggle,
    find: () => searchBox.current?.focus(),
    group: () => setParam({ group: NEXT[grouping] }),
    add: () => !work.fixed && setAdding(true),
    remove,
    help: () => setKeys(true),
    directory: () => !work.fixed && setTool('directory'),
    cureAll: () => !work.fixed && setCureAll(true),
    zoom,
    pan: (share) => setManual(panned(view, share)),
    band: () => setManual(undefined),
    carriers: openCarriers,
  });

  return (
    <div ref={page} className="flex h-full flex-col">
      <title>{`${desk.name} · Wache`}</title>
      <DeskHeader
        desk={desk}
        work={work}
        onChoice={(next) => void setChoice(next)}
        onDay={(on) => setParam({ on, entry: undefined })}
        onKeys={() => setKeys(true)}
      >
        <Presence
          desk={desk}
          entry={selected?.id}
          typing={draftOf !== undefined || work.busy}
          onChanged={takeTheirs}
          onDrop={() => {
            drafts.open.forEach(drafts.drop);
            takeTheirs();
          }}
        />
      </DeskHeader>

      <section
        aria-label="Band ruler"
        className="border-line flex shrink-0 flex-col gap-1 border-b px-3 pt-1.5 max-sm:pb-1"
      >
        <div className="flex items-start gap-2">
          <BandChips
            bands={ruler.bands}
            slips={slips}
            current={selected && bandName(ruler.bands, selected)}
            onChoose={(slip, band) => {
              select(slip);
              setManual(band && around(band));
            }}
          />
          <div className="ml-auto flex shrink-0 items-center gap-2">
            <span className="text-second text-soft hidden shrink-0 lg:inline">
              for{' '}
              <select
                aria-label="Whose privileges the ruler shows"
                className="border-line bg-paper text-ink max-w-48 rounded border px-1"
                value={holder}
                onChange={(event) => setParam({ for: event.target.value })}
              >
                {desk.holders.map((each) => (
                  <option key={each.name}>{each.name}</option>
                ))}
              </select>
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
        </div>
        <div className="max-sm:hidden">
          <Ruler
            holder={holder}
            ruler={ruler}
            slips={slips}
            selected={selected}
            view={view}
            onView={setManual}
            onSelect={select}
            houseKhz={houseKhz}
            moved={isMoved ? hertzOf(draft.rxMhz ?? '') : undefined}
            onHold={() => setManual(view)}
            onMove={work.fixed ? undefined : moveTo}
            onLetGo={() => page.current?.querySelector<HTMLElement>('[data-moved]')?.focus()}
          />
        </div>
      </section>

      <div className="flex min-h-0 grow">
        <main className="flex min-w-0 grow flex-col">
          <ListToolbar
            counts={tried?.counts ?? desk.counts}
            chosen={chosen}
            search={search}
            grouping={grouping}
            searchBox={searchBox}
            onToggle={toggle}
            onSearch={setSearch}
            onGroup={() => setParam({ group: NEXT[grouping] })}
            onAdd={() => setAdding(true)}
            onCureAll={() => setCureAll(true)}
            onTool={(chosenTool) =>
              chosenTool === 'propose' ? void go(`/lists/${desk.id}/propose`) : setTool(chosenTool)
            }
            fixed={work.fixed !== undefined}
          />
          {work.fixed && (
            <p className="border-line bg-accent-wash flex flex-wrap items-center gap-x-3 border-b px-3 py-1.5">
              <span className="grow">{work.fixed}</span>
              {desk.parent && (
                <Link to={`/lists/${desk.parent.id}`} className="text-accent underline">
                  To {desk.parent.name}
                </Link>
              )}
              {!desk.parent && params.get('on') && (
                <Button kind="quiet" onClick={() => setParam({ on: undefined })}>
                  Back to today
                </Button>
              )}
            </p>
          )}
          <Archived list={desk} />
          {!work.fixed && nobody(desk.choice) && desk.slips.length > 0 && (
            <p className="border-line bg-accent-wash flex flex-wrap items-center gap-x-3 gap-y-1 border-b px-3 py-1.5">
              <span className="grow">
                Nobody carries this list yet: it is held against somebody without any licence.
              </span>
              <Button onClick={openCarriers}>
                Choose who carries it <kbd className="font-mono text-[12px]">b</kbd>
              </Button>
            </p>
          )}
          {work.problem && (
            <div className="p-2">
              <Notice message={work.problem}>
                <Button onClick={work.dismiss}>Understood</Button>
              </Notice>
            </div>
          )}
          <Unsaved
            slips={desk.slips.filter((slip) => drafts.open.includes(slip.id) && slip.id !== selected?.id)}
            onSave={(slip) => void save(slip.id)}
            onDrop={(slip) => drafts.drop(slip.id)}
            onSelect={select}
          />
          {adding && !work.fixed && (
            <AddBar
              examples={examples}
              list={desk.id}
              version={desk.version}
              onAdd={addEntries}
              onTable={(text) => void tableInto(text)}
              keepsAside
              onClose={() => setAdding(false)}
            />
          )}
          {!work.fixed && (
            <News
              list={desk.id}
              version={desk.version}
              onTake={(label, changes) => work.act(label, changes)}
            />
          )}
          {!work.fixed && <AsideRows list={desk.id} version={desk.version} onAdd={addEntries} />}
          <div className="min-h-0 grow">
            {order.length > 0 ? (
              <SlipList
                rows={shown}
                selected={selected?.id}
                onSelect={onSelect}
                cureOf={cureOf}
                onCure={work.fixed ? undefined : onCure}
              />
            ) : (
              <p className="text-soft p-4">
                {desk.slips.length === 0
                  ? `The list is empty. Press n and write an entry as you would on paper${examples.length > 0 ? `: ${examples.slice(0, 2).join(', or ')}` : ''}.`
                  : 'No entry matches. Clear the search, or press the verdict again to see all.'}{' '}
                {desk.slips.length === 0 && !work.fixed && (
                  <Link to={`/lists/${desk.id}/propose`} className="text-accent underline underline-offset-2">
                    Or have a list proposed
                  </Link>
                )}
              </p>
            )}
          </div>
          <p aria-live="polite" className="sr-only">
            {work.said}
          </p>
        </main>
        <aside
          aria-label="The entry"
          className={`border-line bg-paper w-full shrink-0 overflow-y-auto border-l lg:static lg:block lg:w-[400px] xl:w-[430px] ${params.get('entry') ? 'fixed inset-0 z-20 lg:inset-auto lg:z-auto' : 'hidden'}`}
        >
          <Button kind="quiet" className="m-2 lg:hidden" onClick={() => setParam({ entry: undefined })}>
            ← All entries
          </Button>
          {dossier && saved ? (
            <Dossier
              rulebook={desk.rulebook}
              dossier={dossier}
              saved={saved.fields}
              draft={draft}
              problem={trial.error?.message}
              opened={fieldsOpen}
              moved={isMoved}
              onOpen={setFieldsOpen}
              onType={(key, text) => type(saved, key, text)}
              onSave={() => {
                if (!isMoved) setFieldsOpen(true); // they do not close under the hand
                void save();
              }}
              onDrop={() => {
                if (!isMoved) setFieldsOpen(true);
                drafts.drop(saved.id);
              }}
              onCure={(chosenCure) => void cure(saved, chosenCure)}
              onRemove={work.fixed ? undefined : remove}
              onAdd={(label, fields) => void addEntries(label.toLowerCase(), [fields])}
            />
          ) : asked.isError ? (
            <div className="p-4">
              <Notice message={asked.error.message}>
                <Button onClick={() => void asked.refetch()}>Ask again</Button>
              </Notice>
            </div>
          ) : (
            <p className="text-soft p-4">
              {selected
                ? 'Asking what the audit says of it …'
                : 'Choose an entry: what the audit says of it stands here.'}
            </p>
          )}
          <ReachNote desk={desk} />
          <Assumed desk={desk} />
        </aside>
      </div>
      {work.clash && (
        <ClashDialog
          conflict={work.clash.conflict}
          onSettle={(mine) => {
            if (draftOf !== undefined) drafts.drop(draftOf);
            void work.settle(mine);
          }}
        />
      )}
      {cureAll && (
        <CureAll
          desk={desk}
          onClose={() => setCureAll(false)}
          onTake={(label, changes) => {
            setCureAll(false);
            setSettled(new Map());
            void work.act(label, changes);
          }}
        />
      )}
      {tool === 'bring' && (
        <BringDialog
          desk={desk}
          onDone={() => {
            setTool(undefined);
            void work.reload();
          }}
          onClose={() => setTool(undefined)}
        />
      )}
      {tool === 'directory' && (
        <Directory
          desk={desk}
          onAdded={(name) => void work.did(`adding ${name}`)}
          onClose={() => setTool(undefined)}
        />
      )}
      {tool && (
        <Tools
          tool={tool}
          desk={desk}
          onClose={() => setTool(undefined)}
          onTake={(label, changes, order) => {
            setTool(undefined);
            setSettled(new Map());
            void work.act(label, changes, order);
          }}
        />
      )}
      {keys && <KeysDialog onClose={() => setKeys(false)} />}
    </div>
  );
}

/** Whether nothing but where an entry hears and talks was changed. */
const isMove = (draft: Readonly<Record<string, string>>) =>
  Object.keys(draft).every((key) => key === 'rxMhz' || key === 'txMhz');

const NONE: ReadonlyMap<number, string> = new Map();

/** Whether all entries stand where their verdicts belong. */
const isSettled = (slips: Slip[], verdicts: ReadonlyMap<number, string>) =>
  verdicts.size === slips.length && slips.every((slip) => verdicts.get(slip.id) === slip.verdict);

const snapshot = (slips: Slip[]): ReadonlyMap<number, string> =>
  new Map(slips.map((slip) => [slip.id, slip.verdict]));

const nextNumber = (slips: Slip[]) =>
  1 + Math.max(0, ...slips.map((slip) => Number(slip.fields.number)).filter(Number.isInteger));
