import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { useMay } from '../accounts/rights';
import { day } from '../ui/dates';
import {
  api,
  data,
  KEEPS,
  Problem,
  type Change,
  type Conflict,
  type Desk,
  type Schemas,
  type Slip,
} from '../api/client';

type Order = Schemas['Order'];

/** Something to do to a list: in words, and the changes of entries and of their order. */
interface Step {
  label: string;
  changes: Change[];
  order?: Order;
}

interface Clash {
  step: Step;
  conflict: Conflict;
}

/** The change that sets fields of an entry. */
export const edit = (slip: Slip, after: Record<string, string>): Change => ({
  kind: 'edit',
  entry: slip.id,
  behind: null,
  before: Object.fromEntries(Object.keys(after).map((key) => [key, slip.fields[key] ?? ''])),
  after,
});

/** Why a list cannot be changed as it is seen; undefined when it can. */
function why(desk: Desk, may: boolean): string | undefined {
  if (!may) return 'You see this list. Coordinators and reviewers of the group change it.';
  if (desk.parent)
    return `This list follows “${desk.parent.name}”. Change it there: this one changes with it.`;
  return desk.on === desk.today
    ? undefined
    : `You see the list as of ${day(desk.on)}. Go back to today to change it.`;
}

/** A list under audit; fetched says which answer of the server it began with, so that what came by itself is told from what was done here. */
export type DeskSeen = Desk & { fetched: number };

/** A list under audit, as every page of it asks for it. */
export const deskQuery = (list: number, on?: string) => ({
  queryKey: ['desk', list, on ?? 'today'],
  queryFn: async (): Promise<DeskSeen> => ({
    ...(await data(api.GET('/api/lists/{list}', { params: { path: { list }, query: { on } } }))),
    fetched: performance.now(),
  }),
});

/** A list under audit, its changes, and the way back. */
export function useDesk(list: number, on?: string) {
  const queries = useQueryClient();
  const { queryKey: key, queryFn } = deskQuery(list, on);
  const desk = useQuery({ queryKey: key, queryFn });
  const may = useMay('edit', desk.data?.groupId);
  const fixed = desk.data && why(desk.data, may);
  const ways = useQuery({
    queryKey: ['ways', list],
    enabled: desk.data !== undefined && fixed === undefined,
    queryFn: () => data(api.GET('/api/lists/{list}/undo', { params: { path: { list } } })),
  });
  const [clash, setClash] = useState<Clash>();
  const [problem, setProblem] = useState<string>();
  const [said, setSaid] = useState<string>();

  async function send(step: Step): Promise<boolean> {
    const version = queries.getQueryData<DeskSeen>(key)?.version ?? 0;
    try {
      const changed = await data(
        api.POST('/api/lists/{list}/changes', {
          params: { path: { list } },
          body: { version, changes: step.changes, order: step.order ?? null },
          headers: { [KEEPS]: String(list) },
        }),
      );
      queries.setQueryData<DeskSeen>(key, (old) => {
        if (!old) return old;
        const slips = new Map(old.slips.map((slip) => [slip.id, slip]));
        changed.slips.forEach((slip) => slips.set(slip.id, slip));
        const ordered = changed.order.map((id) => slips.get(id)).filter((slip) => slip !== undefined);
        return { ...old, version: changed.version, counts: changed.counts, slips: ordered };
      });
      setProblem(undefined);
      return true;
    } catch (cause) {
      if (cause instanceof Problem && cause.status === 409) {
        setClash({ step, conflict: cause.body as Conflict });
      } else {
        setProblem(cause instanceof Error ? cause.message : 'The change was not saved.');
      }
      return false;
    }
  }

  /** Makes a change; the server keeps the way back. */
  async function act(label: string, changes: Change[], order?: Order): Promise<boolean> {
    if (fixed) {
      setProblem(fixed);
      return false;
    }
    const sent = await send({ label, changes, order });
    if (sent) setSaid(label);
    return sent;
  }

  async function back(again: boolean) {
    const way = again ? ways.data?.redo : ways.data?.undo;
    if (fixed || (!way && !ways.isFetching)) return;
    try {
      await data(
        api.POST('/api/lists/{list}/undo', {
          params: { path: { list } },
          // What is not known yet is whichever comes next.
          body: { again, version: ways.isFetching ? null : (way?.version ?? null) },
        }),
      );
      setProblem(undefined);
      setSaid(`${again ? 'Done again' : 'Undone'}: ${way?.words ?? ''}`);
    } catch (cause) {
      setProblem(cause instanceof Error ? cause.message : 'It was not undone.');
    }
  }
  const undo = () => back(false);
  const redo = () => back(true);

  const reload = useCallback(() => queries.invalidateQueries({ queryKey: ['desk', list] }), [queries, list]);

  /** Notes that something was done by other means. */
  async function did(label: string) {
    setSaid(label);
    await reload();
  }

  /** Settles a clash entry by entry: where mine is kept, my texts go over theirs; elsewhere theirs stay. */
  async function settle(mine: ReadonlySet<number>) {
    const open = clash;
    setClash(undefined);
    await reload();
    if (!open) return;
    const changes = open.step.changes
      .map((change): Change => {
        const both = open.conflict.conflicts.find((each) => each.entry === change.entry);
        if (!both) return change;
        if (mine.has(both.entry)) return { ...change, before: { ...change.before, ...both.theirs } };
        const left = (fields: Record<string, string>) =>
          Object.fromEntries(Object.entries(fields).filter(([key]) => !(key in both.theirs)));
        return { ...change, before: left(change.before), after: left(change.after) };
      })
      .filter((change) => change.kind !== 'edit' || Object.keys(change.after).length > 0);
    if (changes.length > 0) await act(open.step.label, changes, open.step.order);
  }

  return {
    desk,
    fixed,
    act,
    did,
    undo,
    redo,
    settle,
    reload,
    clash,
    problem,
    said,
    canUndo: ways.data?.undo?.words,
    canRedo: ways.data?.redo?.words,
    tell: setProblem,
    dismiss: () => setProblem(undefined),
  };
}
