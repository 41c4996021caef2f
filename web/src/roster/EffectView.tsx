import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { verdictWord } from '../ui/VerdictMark';

type Effect = Schemas['RosterEffect'];

const NAMED = 6;
const LINK = 'text-accent underline underline-offset-2';

/** What the change that was just saved does to lists, releases and radios. */
export function EffectView({ name, effect }: { name: string; effect: Effect }) {
  const { lists, releases, radios } = effect;
  return (
    <div role="status" className="border-line bg-accent-wash border-b px-5 py-2">
      <p className="font-semibold">
        {name} is saved
        {lists.length + releases.length + radios.length === 0 && '; no list, release or radio changes by it'}.
      </p>
      <ul>
        {lists.map((list) => (
          <li key={list.list}>
            <Link to={`/lists/${list.list}`} className={LINK}>
              {list.name}
            </Link>
            {list.carries === 'now' && ` is now carried by ${name}`}
            {list.carries === 'no-longer' && ` is no longer carried by ${name}`}
            {list.entries.length > 0 && `: for ${name}, ${moves(list.entries)}`}.
          </li>
        ))}
        {releases.map((each) => (
          <li key={each.release}>
            <Link to={`/releases/${each.release}`} className={LINK}>
              {each.name}, release {each.number}
            </Link>{' '}
            {each.stands ? 'stands again' : 'no longer stands as it went out'}.
          </li>
        ))}
        {radios.map((each) => (
          <li key={each.unit}>
            <Link to={`/radios?unit=${each.unit}`} className={LINK}>
              {each.label}
            </Link>{' '}
            {each.after === 0
              ? `is all theirs to key again`
              : `talks on ${each.after === 1 ? 'one entry' : `${each.after} entries`} that ${name} may not key`}
            .
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Entries that moved, by where from and where to: “10 m Rpt, hold to clear”. */
function moves(entries: Schemas['EntryChanged'][]): string {
  const groups = new Map<string, string[]>();
  for (const entry of entries) {
    const way = `${verdictWord(entry.before).toLowerCase()} to ${verdictWord(entry.after).toLowerCase()}`;
    groups.set(way, [...(groups.get(way) ?? []), entry.name || entry.number]);
  }
  return [...groups]
    .map(([way, names]) => {
      const more = names.length - NAMED;
      return `${names.slice(0, NAMED).join(', ')}${more > 0 ? ` and ${more} more` : ''}, ${way}`;
    })
    .join('; ');
}
