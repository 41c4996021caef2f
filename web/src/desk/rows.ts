import type { Slip, Verdict } from '../api/client';
import { home } from '../ruler/view';
import { VERDICTS, verdictWord } from '../ui/VerdictMark';

export type Grouping = 'verdict' | 'band' | 'list';

export interface Filter {
  verdicts: string[];
  search: string;
}

export type Row =
  | { kind: 'heading'; key: string; label: string; verdict?: Verdict; count: number; changed: number }
  | { kind: 'slip'; key: string; slip: Slip };

/** Whether an entry is looked for: by name, number, note, frequency or tone. */
function matches(slip: Slip, search: string): boolean {
  const wanted = search.trim().toLowerCase();
  if (!wanted) return true;
  return (
    Object.values(slip.fields).some((text) => text.toLowerCase().includes(wanted)) ||
    slip.rule.includes(wanted)
  );
}

/**
 * The rows of the list. An entry stands under its settled verdict: one that just changed stays where it is until the
 * selection moves on, so that nothing jumps under the hand; the heading counts it where it belongs.
 */
export function rows(
  slips: Slip[],
  settled: ReadonlyMap<number, string>,
  filter: Filter,
  grouping: Grouping,
  bandOf: (slip: Slip) => string,
): Row[] {
  const standing = (slip: Slip) => settled.get(slip.id) ?? slip.verdict;
  const shown = slips.filter(
    (slip) =>
      (filter.verdicts.length === 0 || filter.verdicts.includes(standing(slip))) &&
      matches(slip, filter.search),
  );
  if (grouping === 'list') return shown.map(slipRow);
  const groups = new Map<string, Slip[]>();
  if (grouping === 'verdict') VERDICTS.forEach((verdict) => groups.set(verdict, []));
  for (const slip of shown) {
    const group = grouping === 'verdict' ? standing(slip) : bandOf(slip);
    const members = groups.get(group);
    if (members) members.push(slip);
    else groups.set(group, [slip]);
  }
  const lowest = (members: Slip[]) => Math.min(...members.map((slip) => home(slip) ?? Infinity));
  const ordered = [...groups];
  if (grouping === 'band') ordered.sort(([, a], [, b]) => lowest(a) - lowest(b));
  return ordered.flatMap(([group, members]): Row[] =>
    members.length === 0 ? [] : [heading(group, grouping, members), ...members.map(slipRow)],
  );
}

const slipRow = (slip: Slip): Row => ({ kind: 'slip', key: String(slip.id), slip });

function heading(group: string, grouping: Grouping, members: Slip[]): Row {
  const verdict = grouping === 'verdict' ? VERDICTS.find((each) => each === group) : undefined;
  return {
    kind: 'heading',
    key: `heading ${group}`,
    label: verdict ? verdictWord(verdict) : group,
    verdict,
    count: members.filter((slip) => !verdict || slip.verdict === verdict).length,
    changed: verdict ? members.filter((slip) => slip.verdict !== verdict).length : 0,
  };
}
