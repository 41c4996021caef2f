import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { useMay } from '../accounts/rights';
import { day } from '../ui/dates';
import {
  api,
  data,
  Problem,
  type Change,
  type Conflict,
  type Desk,
  type Schemas,
  type Slip,
} from '../api/client';

type Order = Schemas['Order'];

/** Something done that can be undone. */
interface Step {
  label: string;
  changes: Change[];
  /** A new order of the entries, and the one before. */
  order?: Order;
}

interface Clash {
  step: Step;
  conflict: Conflict;
}

const inverse = (changes: Change[], added: number[]): Change[] => {
  let next = 0;
  return changes
    .map((change): Change => {
      switch (change.kind) {
        case 'add':
          return { kind: 'remove', entry: added[next++] ?? null, behind: null, before: {}, after: {} };
        case 'remove':
          return { ...change, kind: 'restore' };
        case 'restore':
          return { ...change, kind: 'remove' };
        default:
          return { ...change, before: change.after, after: change.before };
      }
    })
    .reverse();
};

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

/** A list under audit, its changes, and the way back. */
export function useDesk(list: number, on?: string) {
  const queries = useQueryClient();
  const key = ['desk', list, on ?? 'today'];
  const desk = useQuery({
    queryKey: key,
    queryFn: () => data(api.GET('/api/lists/{list}', { params: { path: { list }, query: { on } } })),
  });
  const may = useMay('edit', desk.data?.groupId);
  const fixed = desk.data && why(desk.data, may);
  const [past, setPast] = useState<Step[]>([]);
  const [future, setFuture] = useState<Step[]>([]);
  const [clash, setClash] = useState<Clash>();
  const [problem, setProblem] = useState<string>();
  const [said, setSaid] = useState<string>();

  async function send(step: Step): Promise<Step | undefined> {
    const version = queries.getQueryData<Desk>(key)?.version ?? 0;
    try {
      const changed = await data(
        api.POST('/api/lists/{list}/changes', {
          params: { path: { list } },
          body: { version, changes: step.changes, order: step.order ?? null },
        }),
      );
      queries.setQueryData<Desk>(key, (old) => {
        if (!old) return old;
        const slips = new Map(old.slips.map((slip) => [slip.id, slip]));
        changed.slips.forEach((slip) => slips.set(slip.id, slip));
        const ordered = changed.order.map((id) => slips.get(id)).filter((slip) => slip !== undefined);
        return { ...old, version: changed.version, counts: changed.counts, slips: ordered };
      });
      setProblem(undefined);
      return {
        label: step.label,
        changes: inverse(step.changes, changed.added),
        order: step.order && { before: step.order.after, after: step.order.before },
      };
    } catch (cause) {
      if (cause instanceof Problem && cause.status === 409) {
        setClash({ step, conflict: cause.body as Conflict });
      } else {
        setProblem(cause instanceof Error ? cause.message : 'The change was not saved.');
      }
      return undefined;
    }
  }

  /** Makes a change, and keeps the way back. */
  async function act(label: string, changes: Change[], order?: Order): Promise<boolean> {
    if (fixed) {
      setProblem(fixed);
      return false;
    }
    const back = await send({ label, changes, order });
    if (!back) return false;
    setPast((steps) => [...steps, back]);
    setFuture([]);
    setSaid(label);
    return true;
  }

  async function undo() {
    const step = past.at(-1);
    if (!step) return;
    const again = await send(step);
    if (again) {
      setPast((steps) => steps.slice(0, -1));
      setFuture((steps) => [...steps, again]);
      setSaid(`Undone: ${step.label}`);
    }
  }

  async function redo() {
    const step = future.at(-1);
    if (!step) return;
    const back = await send(step);
    if (back) {
      setFuture((steps) => steps.slice(0, -1));
      setPast((steps) => [...steps, back]);
      setSaid(`Done again: ${step.label}`);
    }
  }

  const reload = useCallback(() => queries.invalidateQueries({ queryKey: ['desk', list] }), [queries, list]);

  /** Notes that an entry was added by other means, with the way back. */
  async function did(label: string, entry: number) {
    setPast((steps) => [
      ...steps,
      { label, changes: [{ kind: 'remove', entry, behind: null, before: {}, after: {} }] },
    ]);
    setFuture([]);
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
    canUndo: past.at(-1)?.label,
    canRedo: future.at(-1)?.label,
    tell: setProblem,
    dismiss: () => setProblem(undefined),
  };
}
