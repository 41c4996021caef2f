import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, data, type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { day } from '../ui/dates';
import { useHome } from './useHome';
import { VerdictMark, verdictWord } from '../ui/VerdictMark';

/** What the day brings: licences that end, and lists that a new edition of the rulebook changes. */
export function Time({ group }: { group: number }) {
  const home = useHome(group);
  if (!home.data) return null;
  const { licences, lists, edition, next } = home.data;
  if (licences.length === 0 && lists.length === 0 && !next) return null;
  return (
    <section aria-label="What time brings" className="flex flex-col gap-4">
      {lists.map((list) => (
        <ChangedList key={list.list} list={list} edition={edition} />
      ))}
      {next && (
        <p className="border-line bg-sheet rounded border px-4 py-2">
          From {day(next.from)}: {next.title} ({next.source}).
        </p>
      )}
      {licences.length > 0 && <Ending licences={licences} />}
    </section>
  );
}

function ChangedList({ list, edition }: { list: Schemas['ListEffect']; edition: Schemas['EditionInForce'] }) {
  const caughtUp = useCaughtUp();
  const seen = useMutation({
    mutationFn: () =>
      data(api.PUT('/api/lists/{list}/edition-seen', { params: { path: { list: list.list } } })),
    onSuccess: caughtUp,
  });
  return (
    <article className="border-line border-l-query bg-sheet rounded border border-l-[3px] px-4 py-2.5">
      <h2>
        The edition of {day(edition.from)} ({edition.title.replace(/^./, (first) => first.toLowerCase())})
        changes {list.changed.length === 1 ? 'an entry' : `${list.changed.length} entries`} of{' '}
        <Link
          to={`/lists/${list.list}`}
          className="text-accent font-semibold underline-offset-2 hover:underline"
        >
          {list.name}
        </Link>
        , which nobody has looked at since.
      </h2>
      <ul className="text-second flex flex-col gap-0.5 py-1.5">
        {list.changed.slice(0, 5).map((entry) => (
          <li key={entry.entry} className="flex flex-wrap items-baseline gap-x-2">
            <span className="inline-flex shrink-0 items-center gap-1">
              <VerdictMark verdict={entry.before} size={11} /> {verdictWord(entry.before)} →{' '}
              <VerdictMark verdict={entry.after} size={11} /> {verdictWord(entry.after)}
            </span>
            <Link
              to={`/lists/${list.list}?entry=${entry.entry}`}
              className="hover:text-accent inline-block min-h-6 min-w-6 shrink-0 font-semibold"
            >
              {entry.name}
            </Link>
            <span className="text-soft min-w-0">{entry.why}</span>
          </li>
        ))}
      </ul>
      <Button className="text-second" disabled={seen.isPending} onClick={() => seen.mutate()}>
        Looked at
      </Button>
    </article>
  );
}

function Ending({ licences }: { licences: Schemas['EndingLicence'][] }) {
  return (
    <div>
      <h2 className="text-second text-soft pb-1">Licences that have ended, or end within 90 days</h2>
      <ul className="border-line bg-sheet divide-line divide-y rounded border">
        {licences.map((each) => (
          <li key={`${each.party} ${each.callSign} ${each.service}`}>
            <Link
              to={`/roster?party=${each.party}`}
              className={`hover:bg-accent-wash block border-l-[3px] px-3 py-1.5 ${each.days < 0 ? 'border-l-hold' : 'border-l-query'}`}
            >
              <span className="block font-semibold">{each.name}</span>
              <span className="block">
                {each.licenceClass
                  ? each.licenceClass.replace(/^./, (first) => first.toUpperCase())
                  : each.service}{' '}
                <span className="text-soft font-mono">{each.callSign}</span>
              </span>
              <span className={each.days < 0 ? 'text-hold' : 'text-query'}>
                {each.days < 0
                  ? `ended ${day(each.expires)}: may not transmit under it`
                  : each.days === 0
                    ? 'ends today'
                    : `ends ${day(each.expires)}, in ${each.days} ${each.days === 1 ? 'day' : 'days'}`}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}
