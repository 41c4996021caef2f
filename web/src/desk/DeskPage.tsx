import { useTerms } from '../rulebooks/rulebooks';
import { useParams } from 'react-router';
import { useAddress } from '../ui/useAddress';
import { type Carrier, type Schemas, Server } from '../api/client';
import { ListHeader } from './ListHeader';
import { Notice } from '../ui/Notice';
import { Button } from '../ui/Button';
import { Desk } from './Desk';
import { useDesk } from './useDesk';

/** One list under audit: fetches it, then shows the Desk. */
export function DeskPage() {
  const list = Number(useParams().list);
  const [params] = useAddress();
  const on = params.get('on') ?? undefined;
  const work = useDesk(list, on);
  const holders = work.desk.data?.holders ?? [];
  const carrier = holders.find((each) => each.name === params.get('for')) ?? leastPrivileged(holders);
  const terms = useTerms(work.desk.data?.rulebook);
  const byLine = (terms.data?.services ?? [])
    .filter((each) => each.licence === 'lines')
    .map((each) => each.id);
  const as = words(carrier, byLine);
  const group = work.desk.data?.groupId;
  const rulebook = work.desk.data?.rulebook;
  const ruler = Server.useQuery(
    'get',
    '/api/ruler',
    { params: { query: { as, group, on, rulebook } } },
    { enabled: work.desk.data !== undefined, staleTime: 60_000, placeholderData: (old) => old },
  );
  const problem = work.desk.error ?? ruler.error;
  if (problem)
    return (
      <main className="mx-auto max-w-2xl p-6">
        <Notice message={problem.message}>
          <Button onClick={() => window.location.assign('/lists')}>To the lists</Button>
        </Notice>
      </main>
    );
  if (work.desk.data && work.desk.data.unjudged !== null)
    return (
      <>
        <ListHeader list={list} name={work.desk.data.name} />
        <main className="mx-auto max-w-3xl p-6">
          <Notice message={work.desk.data.unjudged}>
            <Button onClick={() => window.location.assign(`/lists/${list}/place`)}>To place and rules</Button>
          </Notice>
        </main>
      </>
    );
  if (!work.desk.data || !ruler.data) return <p className="text-soft p-6">Auditing the list …</p>;
  const may = [...ruler.data.may, ...lines(carrier)];
  return (
    <Desk
      key={`${list} ${on ?? ''}`}
      desk={work.desk.data}
      ruler={{ ...ruler.data, may }}
      holder={carrier?.name ?? 'nobody'}
      work={work}
    />
  );
}

/** The lines of a business licence, as stretches that the carrier may use. */
function lines(carrier: Carrier | undefined): Schemas['May'][] {
  return (carrier?.licences ?? []).flatMap((licence) =>
    licence.lines.map((line) => {
      const middle = Math.round(Number(line.mhz) * 1_000_000);
      const half = width(line.emission) / 2;
      const words = `${licence.callSign ?? 'licence line'} ${line.emission}`;
      const source = 'the licence';
      return {
        low: middle - half,
        high: middle + half,
        words,
        onlyFrom: null,
        service: licence.service,
        source,
      };
    }),
  );
}

/** Classes of all rulebooks; within one they stand from least to most. */
const RANKS = [
  'novice',
  'foundation',
  'technician',
  'intermediate',
  'standard',
  'general',
  'advanced',
  'full',
  'extra',
];

/** Whose privileges the ruler begins with: the least privileged decides. */
function leastPrivileged(holders: Carrier[]): Carrier | undefined {
  const rank = (holder: Carrier) =>
    Math.max(-1, ...holder.licences.map((licence) => RANKS.indexOf(licence.licenceClass ?? '')));
  return [...holders].sort((a, b) => rank(a) - rank(b) || a.licences.length - b.licences.length)[0];
}

const UNITS: Record<string, number> = { H: 1, K: 1_000, M: 1_000_000 };

/** The necessary bandwidth that a designator starts with, in hertz: 11K2 is 11 200. */
function width(designator: string): number {
  const letter = /[HKM]/.exec(designator.slice(0, 4))?.[0] ?? 'H';
  return Number(designator.slice(0, 4).replace(letter, '.')) * (UNITS[letter] ?? 1);
}

/** A carrier's licences as the ruler asks for them; business licences have no general picture. */
function words(carrier: Carrier | undefined, byLine: string[]): string {
  const known = (carrier?.licences ?? []).flatMap((licence) => {
    if (licence.licenceClass) return [`${licence.service}:${licence.licenceClass}`];
    return byLine.includes(licence.service) || licence.lines.length > 0 ? [] : [licence.service];
  });
  return known.length === 0 ? 'nobody' : known.join(',');
}
