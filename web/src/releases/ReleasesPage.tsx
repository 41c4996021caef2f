import { Link } from 'react-router';
import { useGroup } from '../accounts/group';
import type { Schemas } from '../api/client';
import { moment } from '../ui/dates';
import { GroupSelect } from '../ui/GroupSelect';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { some } from '../ui/people';
import { VerdictMark } from '../ui/VerdictMark';
import { Against } from './Against';
import { useReleases } from './useReleases';
import { Verify } from './Verify';

/** What went out: list by list, what of it is in use, what speaks against it, and in which radios it is. */
export function ReleasesPage() {
  const { group } = useGroup();
  const all = useReleases(group?.id);
  const lists = new Map<number, Schemas['StandingRelease'][]>();
  for (const each of all.data?.releases ?? [])
    lists.set(each.line.list, [...(lists.get(each.line.list) ?? []), each]);
  const radios = all.data?.radios ?? [];
  return (
    <div className="flex min-h-full flex-col">
      <title>Releases · Wache</title>
      <PageHeader />
      <main className="mx-auto flex w-full max-w-6xl flex-col gap-5 px-5 pt-4 pb-8">
        <div className="flex flex-wrap items-baseline justify-between gap-2">
          <h1 className="text-title font-semibold">Releases</h1>
          <GroupSelect />
        </div>
        {all.error && <Notice message={all.error.message} />}
        {all.data?.releases
          .filter((each) => each.against.length > 0)
          .map((each) => (
            <Against key={each.line.id} line={each.line} against={each.against} />
          ))}
        {all.data && lists.size === 0 && (
          <p className="text-soft max-w-prose">
            Nothing went out yet. Open a list and choose “Release”: the page says what is in the way, and what
            to press. Only what was released goes into a radio.
          </p>
        )}
        <ul className="flex flex-col gap-3">
          {[...lists].map(([list, releases]) => (
            <OfList key={list} list={list} releases={releases} radios={radios} />
          ))}
        </ul>
        {all.data && <NotCurrent radios={radios} />}
        <Verify />
      </main>
    </div>
  );
}

function OfList({
  list,
  releases,
  radios,
}: {
  list: number;
  releases: Schemas['StandingRelease'][];
  radios: Schemas['LoadedRadio'][];
}) {
  const newest = releases[0]!;
  return (
    <li className="border-line bg-sheet rounded border">
      <div className="border-line flex flex-wrap items-baseline gap-x-4 border-b px-4 py-2">
        <h2 className="font-semibold">{newest.line.name}</h2>
        <span className="grow" />
        <Link to={`/lists/${list}/release`} className="text-accent underline underline-offset-2">
          To the gate
        </Link>
      </div>
      <ul className="divide-line divide-y">
        {releases.slice(0, 5).map((each) => {
          const having = radios.filter((radio) => radio.release === each.line.id);
          return (
            <li key={each.line.id}>
              <Link
                to={`/releases/${each.line.id}`}
                className="hover:bg-accent-wash flex flex-wrap items-baseline gap-x-4 gap-y-0.5 px-4 py-1.5"
              >
                <span className="w-24 font-semibold">Release {each.line.number}</span>
                <span className="text-second flex w-36 items-center gap-1.5">
                  <VerdictMark
                    verdict={
                      each.line.recalled
                        ? 'hold'
                        : each.against.some((one) => one.recall)
                          ? 'hold'
                          : each.against.length > 0
                            ? 'query'
                            : each.current
                              ? 'clear'
                              : ''
                    }
                    size={13}
                  />
                  {each.line.recalled ? 'recalled' : each.current ? 'in use' : 'replaced'}
                </span>
                <span className="text-second text-soft min-w-0 grow">
                  Version {each.line.version}, {moment(each.line.at)}, by {each.line.by}, signed by{' '}
                  {each.line.signedBy}
                </span>
                <span className="text-second">
                  {having.length === 0
                    ? 'in no radio'
                    : having.length === 1
                      ? 'in one radio'
                      : `in ${having.length} radios`}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </li>
  );
}

function NotCurrent({ radios }: { radios: Schemas['LoadedRadio'][] }) {
  const old = radios.filter((radio) => radio.at !== null && !radio.current);
  const empty = radios.filter((radio) => radio.at === null);
  if (old.length === 0 && empty.length === 0) return null;
  return (
    <section aria-label="Radios behind" className="flex flex-col gap-1">
      <h2 className="text-second text-soft">Radios without a release that is in use</h2>
      {old.length > 0 && (
        <p>
          <span className="font-semibold">{old.length}</span> with an older or recalled one:{' '}
          {some(
            old.map((radio) => `${radio.label} (${radio.listName}${radio.number ? ` ${radio.number}` : ''})`),
            6,
          )}
          .
        </p>
      )}
      {empty.length > 0 && (
        <p>
          <span className="font-semibold">{empty.length}</span> with none:{' '}
          {some(
            empty.map((radio) => radio.label),
            8,
          )}
          .
        </p>
      )}
      <p>
        <Link to="/bench" className="text-accent underline underline-offset-2">
          Load them on the bench
        </Link>
      </p>
    </section>
  );
}
