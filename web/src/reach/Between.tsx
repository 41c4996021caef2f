import { OneWay } from './GapPanel';
import { type Knot, type Links, type Reach, way } from './knots';

const FEW = 6;

/** Two people or teams: what leads from one to the other, and what is missing. */
export function Between({ reach, a, b, links }: { reach: Reach; a: Knot; b: Knot; links: Links }) {
  const pairs = a.people.flatMap((one) =>
    b.people.flatMap((other): [number, number][] =>
      one === other
        ? []
        : [
            [one, other],
            [other, one],
          ],
    ),
  );
  const gaps = pairs.filter(([from, to]) => !(`${from} ${to}` in links));
  const there = way(a, b, links);
  const back = way(b, a, links);
  const told = gaps.length > 0 ? gaps : pairs;
  return (
    <section aria-label={`${a.name} and ${b.name}`}>
      <h2 className="text-title font-semibold">
        {a.name} and {b.name}
      </h2>
      {pairs.length > 2 && (
        <p className="text-soft pb-1">
          {there.pairs} of {there.of} there, {back.pairs} of {back.of} back.{' '}
          {gaps.length > 0 ? 'What is missing:' : 'Some of it:'}
        </p>
      )}
      {told.slice(0, FEW).map(([from, to]) => (
        <OneWay key={`${from} ${to}`} reach={reach} from={from} to={to} links={links} />
      ))}
      {told.length > FEW && (
        <p className="text-soft pt-1">and {told.length - FEW} more; choose people to see each</p>
      )}
    </section>
  );
}
