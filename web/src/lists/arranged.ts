import type { Schemas } from '../api/client';

type Summary = Schemas['ListSummary'];

/** In which order lists stand. */
export type Sort = 'worst' | 'name' | 'changed';

const byName = (a: Summary, b: Summary) => a.name.localeCompare(b.name, 'en', { numeric: true });

const ORDERS: Record<Sort, (a: Summary, b: Summary) => number> = {
  // A list that cannot be judged may hide anything: it stands first.
  worst: (a, b) =>
    Number(b.unjudged !== null) - Number(a.unjudged !== null) ||
    b.counts.hold - a.counts.hold ||
    b.counts.query - a.counts.query ||
    byName(a, b),
  name: byName,
  changed: (a, b) => b.changedAt.localeCompare(a.changedAt) || byName(a, b),
};

/** Whether a list is meant by what is looked for: each word stands in its name, or in that of somebody who carries it. */
export function isMeant(list: Summary, search: string): boolean {
  const said = [list.name, ...list.carriers].join('\n').toLowerCase();
  return search
    .toLowerCase()
    .split(/\s+/)
    .every((word) => said.includes(word));
}

/** A list where it stands: under the one that it follows, if that one stands there too. */
export interface Placed {
  list: Summary;
  under: boolean;
}

/** The lists that are meant, in an order; each is followed by those that follow it. */
export function arranged(lists: readonly Summary[], sort: Sort, search: string): Placed[] {
  const meant = lists.filter((list) => isMeant(list, search)).sort(ORDERS[sort]);
  const there = new Set(meant.map((list) => list.id));
  const isUnder = (list: Summary) => list.parent !== null && there.has(list.parent);
  return meant
    .filter((list) => !isUnder(list))
    .flatMap((list) => [
      { list, under: false },
      ...meant
        .filter((each) => isUnder(each) && each.parent === list.id)
        .map((each) => ({ list: each, under: true })),
    ]);
}

/** A name has up to 200 characters, and here room for what is put behind it. */
const LONGEST = 185;

/** A name for a copy that none of the lists has. */
export function copyName(name: string, lists: readonly Summary[]): string {
  const taken = new Set(lists.map((list) => list.name));
  const plain = `${name.slice(0, LONGEST)}, copy`;
  if (!taken.has(plain)) return plain;
  let number = 2;
  while (taken.has(`${plain} ${number}`)) number += 1;
  return `${plain} ${number}`;
}
