import type { Schemas } from '../api/client';

const KINDS: Record<Schemas['ListDifferenceKind'], string> = {
  added: 'new',
  removed: 'gone',
  changed: 'changed',
};

/** What would go out otherwise than in the newest release. */
export function Since({ since }: { since: Schemas['GateSince'] }) {
  const { entries, moved, others, relicensed } = since;
  if (entries.length + others.length + relicensed.length === 0 && !moved)
    return <p className="text-soft">Nothing differs from release {since.number}.</p>;
  return (
    <section aria-label={`Since release ${since.number}`}>
      <h3 className="text-second text-soft pb-0.5">Since release {since.number}</h3>
      <ul className="flex flex-col gap-0.5">
        {entries.map((entry, index) => (
          <li key={index}>
            <span className="text-soft font-mono">{entry.number}</span>{' '}
            <span className="font-semibold">{entry.name || '(no name)'}</span>{' '}
            {entry.kind === 'changed' ? entry.words.join('; ') : (entry.words[0] ?? KINDS[entry.kind])}
          </li>
        ))}
        {moved && <li>The entries stand in another order.</li>}
        {others.map((each) => (
          <li key={each}>{each}</li>
        ))}
        {relicensed.length > 0 && <li>Other licences of {relicensed.join(', ')}.</li>}
      </ul>
    </section>
  );
}
