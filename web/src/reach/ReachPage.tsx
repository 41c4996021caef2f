import { keepPreviousData } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useAddress } from '../ui/useAddress';
import { Server } from '../api/client';
import { ListHeader } from '../desk/ListHeader';
import { Chip } from '../ui/Chip';
import { day } from '../ui/dates';
import { INPUT } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { BasesMap } from './BasesMap';
import { Between } from './Between';
import { HowFar } from './HowFar';
import {
  bands,
  linked,
  type Links,
  MANY,
  peopleOf,
  type Reach,
  type Standing,
  standings,
  teamsOf,
} from './knots';
import { some } from '../ui/people';
import { SideScroll } from '../ui/SideScroll';
import { ReachGrid } from './ReachGrid';
import { keyOf, ReachPicture } from './ReachPicture';

const FEW = 6;

/** Who can talk to whom with a list: drawn, as a table, and pair by pair with what is missing. */
export function ReachPage() {
  const list = Number(useParams().list);
  const [params, setParams] = useAddress();
  const everyone = params.get('everyone') === '1';
  const on = params.get('on') ?? undefined;
  const seen = Server.useQuery(
    'get',
    '/api/lists/{list}/reach',
    { params: { path: { list }, query: { everyone, on } } },
    { placeholderData: keepPreviousData },
  );
  const [by, setBy] = useState<'team' | 'person'>();
  const [pair, setPair] = useState<[string, string]>();
  const reach = seen.data;
  const shown = by ?? (reach && reach.people.length > MANY ? 'team' : 'person');
  const knots = useMemo(
    () => (reach ? (shown === 'team' ? teamsOf(reach.people) : peopleOf(reach.people)) : []),
    [reach, shown],
  );
  const links = useMemo(() => (reach ? linked(reach) : {}), [reach]);
  const all = useMemo(() => bands(knots, links), [knots, links]);
  const set = (key: string, value: string | undefined) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (value) next.set(key, value);
        else next.delete(key);
        return next;
      },
      { replace: true },
    );
  const stands = useMemo(() => standings(knots, links), [knots, links]);
  const chosen = pair && [
    knots.find((knot) => knot.key === pair[0]),
    knots.find((knot) => knot.key === pair[1]),
  ];
  const concerns = Server.useQuery('get', '/api/lists/{list}/reach/concerns', { params: { path: { list } } });
  const worth = concerns.data ?? [];
  return (
    <div className="flex min-h-full flex-col">
      <title>{`Reach · ${reach?.name ?? ''} · Wache`}</title>
      <ListHeader list={list} name={reach?.name} />
      <main className="mx-auto flex w-full max-w-7xl grow flex-col gap-4 px-5 pt-4 pb-8 lg:flex-row">
        {seen.error && <Notice message={seen.error.message} />}
        {reach && (
          <>
            <div className="flex min-w-0 grow flex-col gap-4">
              <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
                <div role="group" aria-label="Drawn by" className="flex gap-1.5">
                  <Chip on={shown === 'team'} label="Teams" onPress={() => setBy('team')} />
                  <Chip on={shown === 'person'} label="People" onPress={() => setBy('person')} />
                </div>
                <label className="flex items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={everyone}
                    onChange={(event) => set('everyone', event.target.checked ? '1' : undefined)}
                  />
                  Everybody of the roster
                </label>
                <label className="flex items-center gap-2">
                  On
                  <input
                    type="date"
                    className={INPUT}
                    value={reach.on}
                    onChange={(event) => set('on', event.target.value)}
                  />
                </label>
              </div>
              {reach.people.length === 0 ? (
                <p className="border-line bg-sheet rounded border px-4 py-3">
                  Nobody carries this list yet. Choose who does{' '}
                  <Link className="text-accent underline" to={`/lists/${list}`}>
                    on the Desk
                  </Link>
                  , or look at everybody of the roster.
                </p>
              ) : (
                <>
                  <Verdict reach={reach} links={links} />
                  <SideScroll label="Who reaches whom, drawn" className="border-line bg-sheet rounded border">
                    <ReachPicture
                      knots={knots}
                      bands={all}
                      stands={stands}
                      chosen={
                        pair &&
                        [pair.join('|'), [...pair].reverse().join('|')].find((key) =>
                          all.some((band) => keyOf(band) === key),
                        )
                      }
                      onChoose={(band) => setPair([band.a.key, band.b.key])}
                    />
                  </SideScroll>
                  <ReachGrid
                    knots={knots}
                    links={links}
                    chosen={pair}
                    onChoose={(from, to) => setPair([from.key, to.key])}
                  />
                </>
              )}
            </div>
            <aside aria-label="Between two" className="flex w-full shrink-0 flex-col gap-4 lg:w-[380px]">
              {chosen?.[0] && chosen[1] ? (
                <Between reach={reach} a={chosen[0]} b={chosen[1]} links={links} />
              ) : (
                <p className="text-soft">
                  Choose a band of the picture, or a field of the table: what leads from one to the other, or
                  what is missing, stands here.
                </p>
              )}
              <HowFar reach={reach} />
              <BasesMap reach={reach} />
              {worth.length > 0 && (
                <section aria-label="To be answered before it goes out">
                  <h2 className="text-second text-soft pb-1">To be answered before it goes out</h2>
                  <ul className="border-line bg-sheet divide-line divide-y rounded border">
                    {worth.slice(0, FEW).map((each) => (
                      <li key={each.subject + each.message} className="px-3 py-1.5">
                        {each.entry !== null && (
                          <>
                            <Link
                              to={`/lists/${list}?entry=${each.entry}`}
                              className="text-accent inline-block min-h-6 font-semibold underline-offset-2 hover:underline"
                            >
                              {each.subject}
                            </Link>{' '}
                          </>
                        )}
                        {each.message}
                      </li>
                    ))}
                    {worth.length > FEW && (
                      <li className="text-soft px-3 py-1.5">and {worth.length - FEW} more</li>
                    )}
                    <li className="px-3 py-1.5">
                      <Link
                        to={`/lists/${list}/release`}
                        className="text-accent underline underline-offset-2"
                      >
                        To the gate
                      </Link>
                    </li>
                  </ul>
                </section>
              )}
            </aside>
          </>
        )}
      </main>
    </div>
  );
}

/** The whole in a line. */
function Verdict({ reach, links }: { reach: Reach; links: Links }) {
  const people = reach.people.length;
  const ways = people * (people - 1);
  const everyone = peopleOf(reach.people);
  const stands = standings(everyone, links);
  const who = (standing: Standing) =>
    everyone.filter((each) => stands.get(each.key) === standing).map((each) => each.name);
  const [alone, listening] = [who('alone'), who('listens')];
  const is = (names: string[]) => (names.length === 1 ? 'is' : 'are');
  const [look, words] =
    people === 1
      ? ['text-soft', 'One person: there is nobody to reach']
      : alone.length > 0
        ? ['text-hold', `${some(alone)} ${is(alone)} alone`]
        : reach.links.length < ways
          ? [
              'text-query',
              listening.length > 0
                ? `${some(listening)} ${listening.length === 1 ? 'hears' : 'hear'} others and cannot answer`
                : 'Nobody is alone, but not everybody reaches everybody',
            ]
          : ['text-clear', 'Everybody reaches everybody'];
  return (
    <p role="status" className={`text-title font-semibold ${look}`}>
      {words}
      <span className="text-soft text-body font-normal">
        {' '}
        {people} {people === 1 ? 'person' : 'people'}, {reach.links.length} of {ways} ways lead through, on{' '}
        {day(reach.on)}
      </span>
    </p>
  );
}
