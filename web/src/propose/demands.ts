import type { Change, Schemas } from '../api/client';

export type Team = Schemas['PlanTeam'];
export type Line = Schemas['PlanLine'];

/** What a list has to do, as it is filled in. */
export interface Draft {
  on: string;
  /** Which teams must talk, as pairs of their names. */
  pairs: ReadonlySet<string>;
  /** Only these services; all where none is chosen. */
  services: ReadonlySet<string>;
  calling: boolean;
  command: boolean;
  /** The outputs of the repeaters that shall be used, in megahertz. */
  repeaters: ReadonlySet<string>;
  spare: string;
  listen: string;
  /** What was fixed by hand: where an entry talks, by what it is. */
  kept: Readonly<Record<string, string>>;
  /** Frequencies that are not wanted, in megahertz. */
  without: readonly string[];
}

const BETWEEN = '\u001f';

/** A pair of teams, whichever comes first. */
export const pairOf = (one: string, other: string) => [one, other].sort().join(BETWEEN);

/** So many teams all talk to each other at first; of more, each talks to the first. */
const FEW = 4;

/** Who must talk to whom until somebody says otherwise. */
export function usualPairs(teams: readonly Pick<Team, 'name'>[]): string[] {
  const names = teams.map((each) => each.name);
  const all = names.flatMap((one, i) => names.slice(i + 1).map((other) => pairOf(one, other)));
  return names.length <= FEW ? all : all.filter((pair) => pair.split(BETWEEN).includes(names[0]!));
}

/** What is asked of the server. */
export function asked(draft: Draft): Schemas['PlanRequest'] {
  return {
    on: draft.on || null,
    mustTalk: [...draft.pairs].map((pair) => {
      const [one, other] = pair.split(BETWEEN) as [string, string];
      return { one, other };
    }),
    services: [...draft.services],
    calling: draft.calling,
    command: draft.command,
    repeaters: [...draft.repeaters],
    spare: Math.max(0, Math.min(50, Math.trunc(Number(draft.spare)) || 0)),
    listen: draft.listen.split(/[\s,;]+/).filter(Boolean),
    kept: Object.entries(draft.kept).map(([key, mhz]) => ({ key, mhz })),
    without: [...draft.without],
  };
}

/** Where a proposed entry talks, or listens, in megahertz. */
export const where = (line: Line) => line.fields.txMhz ?? line.fields.rxMhz ?? '';

/** The same with another channel for an entry than the one that was proposed; a repeater is used no more. */
export function another(draft: Draft, line: Line): Draft {
  if (line.fields.use === 'repeater')
    return {
      ...draft,
      repeaters: new Set([...draft.repeaters].filter((mhz) => Number(mhz) !== Number(line.fields.rxMhz))),
    };
  const kept = { ...draft.kept };
  delete kept[line.key];
  return { ...draft, kept, without: [...draft.without, where(line)] };
}

/** The same with an entry fixed by hand, or let go. */
export function fixed(draft: Draft, line: Line): Draft {
  const kept = { ...draft.kept };
  if (line.key in kept) delete kept[line.key];
  else kept[line.key] = where(line);
  return { ...draft, kept };
}

/** The entries as they are added to a list whose next number is given. */
export const additions = (lines: readonly Line[], next: number): Change[] =>
  lines.map((line, i) => ({
    kind: 'add',
    entry: null,
    behind: null,
    before: {},
    after: { ...line.fields, number: String(next + i) },
  }));
