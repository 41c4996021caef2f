import type { Schemas } from '../api/client';
import { standing } from '../radios/state';

export type Order = Schemas['UnitOrder'];
type Unit = Schemas['UnitView'];
type Planned = Schemas['PlannedUnit'];

/** Radios that are chosen, with what was decided for each, by their keys. */
export type Orders = Readonly<Record<number, Order>>;

export const order = (unit: number): Order => ({ unit, party: null, part: null, choice: null });

/** Why a radio cannot go into a run at all; nothing when it can. */
export function kept(unit: Unit): string | undefined {
  if (unit.held) return `Held: ${unit.held}`;
  return unit.bench === 'running' || unit.bench === 'waiting' ? 'On the bench just now.' : undefined;
}

/** How a radio that is not chosen stands, when that is worth a word. */
export function trouble(unit: Unit): string | undefined {
  const { verdict, words } = standing(unit);
  return verdict === 'hold' ? words : undefined;
}

/** What gives the holder of a radio the most that is theirs: a list that fits, else listening, else nothing of it. */
export function fitting(unit: Planned): Order {
  const [best] = [...unit.fits]
    .filter((each) => each.talks > 0)
    .sort((one, other) => other.talks - one.talks);
  if (best && best.talks >= unit.talks)
    return { unit: unit.unit, party: unit.custody ? null : unit.party, part: best.part, choice: null };
  return {
    unit: unit.unit,
    party: unit.custody ? null : unit.party,
    part: unit.part,
    choice: unit.cannotListen === null ? 'listen' : 'leave-out',
  };
}

/** What keeps a run from beginning, for beside its button; nothing when it can begin. */
export function missing(
  list: string,
  chosen: Order[],
  plan: Planned[] | undefined,
  sign: string,
): string | undefined {
  if (list === '') return 'Choose the list first.';
  if (chosen.length === 0) return 'Choose the radios below.';
  if (!plan) return 'What goes into each is being worked out.';
  const open = plan.filter((each) => each.open);
  if (open.length > 0)
    return open.length === 1
      ? `${open[0]!.label} waits for your decision.`
      : `${open.length} radios wait for your decision.`;
  const blocked = plan.filter((each) => each.blocked !== null);
  if (blocked.length > 0)
    return `${blocked.map((each) => each.label).join(', ')} cannot be written: leave ${blocked.length === 1 ? 'it' : 'them'} out.`;
  return sign.trim() === '' ? 'Say with which call sign keys are tried.' : undefined;
}
