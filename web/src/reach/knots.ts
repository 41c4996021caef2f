import type { Schemas } from '../api/client';

/** Of a list, or of the lists of an operation. */
export type Reach = Schemas['ReachTable'] & { operation?: number };

/** Somebody, or a team, as the picture has them. */
export interface Knot {
  key: string;
  name: string;
  /** Places among the people. */
  people: number[];
}

/** The entries on which one reaches another, by "from to", their places. */
export type Links = Readonly<Record<string, number[]>>;

/** How one knot reaches another: the pairs of people that do, of all, and the entries on which they do. */
export interface Way {
  pairs: number;
  of: number;
  entries: number[];
}

export interface Band {
  a: Knot;
  b: Knot;
  there: Way;
  back: Way;
}

export type Kind = 'all' | 'some' | 'one-way' | 'none';

/** More than so many people are drawn as teams at first. */
export const MANY = 14;

const NO_TEAM = 'In no team';

/** The teams, and those who are in none; somebody in two teams is in both. */
export function teamsOf(people: readonly Schemas['ReachPerson'][]): Knot[] {
  const teams = new Map<string, number[]>();
  people.forEach((person, place) => {
    for (const team of person.teams.length > 0 ? person.teams : [NO_TEAM]) {
      const members = teams.get(team);
      if (members) members.push(place);
      else teams.set(team, [place]);
    }
  });
  return [...teams]
    .sort(([a], [b]) => Number(a === NO_TEAM) - Number(b === NO_TEAM) || a.localeCompare(b))
    .map(([name, members]) => ({ key: `team ${name}`, name, people: members }));
}

export const peopleOf = (people: readonly Schemas['ReachPerson'][]): Knot[] =>
  people.map((person, place) => ({ key: `person ${person.party}`, name: person.name, people: [place] }));

/** The entries on which each reaches each, by their places. */
export function linked(reach: Reach): Links {
  return Object.fromEntries(reach.links.map((link) => [`${link.from} ${link.to}`, link.entries]));
}

/** How one knot reaches another; whoever is in both counts for neither way. */
export function way(from: Knot, to: Knot, links: Links): Way {
  let pairs = 0;
  let of = 0;
  const entries = new Set<number>();
  for (const one of from.people) {
    for (const other of to.people) {
      if (one === other) continue;
      of++;
      const on = links[`${one} ${other}`];
      if (on) {
        pairs++;
        on.forEach((entry) => entries.add(entry));
      }
    }
  }
  return { pairs, of, entries: [...entries].sort((a, b) => a - b) };
}

/** All pairs of knots. */
export function bands(knots: readonly Knot[], links: Links): Band[] {
  return knots.flatMap((a, i) =>
    knots.slice(i + 1).map((b) => ({ a, b, there: way(a, b, links), back: way(b, a, links) })),
  );
}

/** How well two are bound: everybody both ways, some both ways, one way only, not at all. */
export function kindOf({ there, back }: Band): Kind {
  if (there.of === 0) return 'all'; // the same people
  if (there.pairs === 0 && back.pairs === 0) return 'none';
  if (there.pairs === 0 || back.pairs === 0) return 'one-way';
  return there.pairs === there.of && back.pairs === back.of ? 'all' : 'some';
}

/** Where knots stand: on a circle, the first at the top. */
export function circle(count: number, width: number, height: number, beside: number, above: number) {
  return Array.from({ length: count }, (_, i) => {
    const angle = (2 * Math.PI * i) / Math.max(1, count) - Math.PI / 2;
    return {
      x: width / 2 + Math.cos(angle) * (width / 2 - beside),
      y: height / 2 + Math.sin(angle) * (height / 2 - above),
      angle,
    };
  });
}

/** Who reaches nobody: bound to nobody at all, or hearing others without an answer. */
export type Standing = 'alone' | 'listens';

/** Of those who reach nobody, and of knots none of whom does. */
export function standings(knots: readonly Knot[], links: Links): Map<string, Standing> {
  const ends = Object.keys(links).map((key) => key.split(' ').map(Number) as [number, number]);
  const [talk, hear] = [new Set(ends.map(([from]) => from)), new Set(ends.map(([, to]) => to))];
  return new Map(
    knots.flatMap(({ key, people }): [string, Standing][] =>
      people.some((one) => talk.has(one))
        ? []
        : [[key, people.some((one) => hear.has(one)) ? 'listens' : 'alone']],
    ),
  );
}
