import type { Change, Conflict, Schemas, Slip } from '../api/client';

type Order = Schemas['Order'];

/** Something to do to a list: in words, and the changes of entries and of their order. */
export interface Step {
  label: string;
  changes: Change[];
  order?: Order;
}

/** A step that met what somebody else had saved meanwhile. */
export interface Clash {
  step: Step;
  conflict: Conflict;
}

/** The change that sets fields of an entry. */
export const edit = (slip: Pick<Slip, 'id' | 'fields'>, after: Record<string, string>): Change => ({
  kind: 'edit',
  entry: slip.id,
  behind: null,
  before: Object.fromEntries(Object.keys(after).map((key) => [key, slip.fields[key] ?? ''])),
  after,
});

/**
 * What is left to save of a step once its clash is settled entry by entry: where mine is kept, my texts go over
 * theirs; elsewhere theirs stay, and of my texts only those that met nothing of theirs.
 */
export function settled({ step, conflict }: Clash, mine: ReadonlySet<number>): Change[] {
  return step.changes
    .map((change): Change => {
      const both = conflict.conflicts.find((each) => each.entry === change.entry);
      if (!both) return change;
      if (mine.has(both.entry)) return { ...change, before: { ...change.before, ...both.theirs } };
      const left = (fields: Record<string, string>) =>
        Object.fromEntries(Object.entries(fields).filter(([key]) => !(key in both.theirs)));
      return { ...change, before: left(change.before), after: left(change.after) };
    })
    .filter((change) => change.kind !== 'edit' || Object.keys(change.after).length > 0);
}

/** A list as it is after a change that the server took: the entries it named anew, in its order. */
export function takenIn<L extends Pick<Schemas['Desk'], 'version' | 'counts' | 'slips'>>(
  list: L,
  changed: Schemas['Changed'],
): L {
  const slips = new Map(list.slips.map((slip) => [slip.id, slip]));
  changed.slips.forEach((slip) => slips.set(slip.id, slip));
  return {
    ...list,
    version: changed.version,
    counts: changed.counts,
    slips: changed.order.map((id) => slips.get(id)).filter((slip) => slip !== undefined),
  };
}
