import { useMemo, useState } from 'react';
import { Server } from '../api/client';
import { Between } from '../reach/Between';
import { bands, linked, peopleOf, standings, teamsOf } from '../reach/knots';
import { ReachGrid } from '../reach/ReachGrid';
import { keyOf, ReachPicture } from '../reach/ReachPicture';
import { Chip } from '../ui/Chip';
import { Notice } from '../ui/Notice';
import { SideScroll } from '../ui/SideScroll';

/** Who of an operation reaches whom with what is in their radios: a picture, a table, and pair by pair what is missing. */
export function OperationReach({ operation, teams }: { operation: number; teams: readonly string[] }) {
  const seen = Server.useQuery('get', '/api/operations/{operation}/reach', {
    params: { path: { operation } },
  });
  const [by, setBy] = useState<'team' | 'person'>('team');
  const [pair, setPair] = useState<[string, string]>();
  const reach = seen.data;
  const knots = useMemo(() => {
    if (!reach) return [];
    if (by === 'person') return peopleOf(reach.people);
    // Of somebody's teams only those that are on a watch count here.
    const on = new Set(teams);
    return teamsOf(
      reach.people.map((each) => {
        const theirs = each.teams.filter((team) => on.has(team));
        return { ...each, teams: theirs.length > 0 ? theirs : [each.name] };
      }),
    );
  }, [reach, by, teams]);
  const links = useMemo(() => (reach ? linked(reach) : {}), [reach]);
  const all = useMemo(() => bands(knots, links), [knots, links]);
  const stands = useMemo(() => standings(knots, links), [knots, links]);
  const chosen = pair && [
    knots.find((knot) => knot.key === pair[0]),
    knots.find((knot) => knot.key === pair[1]),
  ];
  if (seen.error) return <Notice message={seen.error.message} />;
  if (!reach) return <p className="text-soft">Working out who reaches whom …</p>;
  return (
    <section aria-label="Who reaches whom">
      <div className="flex flex-wrap items-center gap-3 pb-1">
        <h2 className="text-second text-soft">Who reaches whom, with all that is in their radios</h2>
        <div role="group" aria-label="Drawn by" className="flex gap-1.5">
          <Chip on={by === 'team'} label="Teams" onPress={() => setBy('team')} />
          <Chip on={by === 'person'} label="People" onPress={() => setBy('person')} />
        </div>
      </div>
      <div className="flex flex-col gap-3">
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
        {chosen?.[0] && chosen[1] ? (
          <Between reach={{ ...reach, operation }} a={chosen[0]} b={chosen[1]} links={links} />
        ) : (
          <p className="text-soft">
            Choose a band or a field: what leads from one to the other, or what is missing, stands here.
          </p>
        )}
      </div>
    </section>
  );
}
