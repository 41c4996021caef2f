import { Link } from 'react-router';
import { useGroup } from '../accounts/group';
import { useMay } from '../accounts/rights';
import { type Schemas, Server } from '../api/client';
import { GroupSelect } from '../ui/GroupSelect';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { some } from '../ui/people';
import { VerdictMark } from '../ui/VerdictMark';
import { hours } from './plan';

/** The operations of a group: those to come with what does not work yet, and those that are over. */
export function OperationsPage() {
  const { group } = useGroup();
  const may = useMay('edit');
  const seen = Server.useQuery(
    'get',
    '/api/groups/{group}/operations',
    { params: { path: { group: group?.id ?? 0 } } },
    { enabled: group !== undefined },
  );
  const all = [...(seen.data ?? [])].sort((a, b) => a.from.localeCompare(b.from));
  const [ahead, over] = [all.filter((each) => !each.over), all.filter((each) => each.over).reverse()];
  return (
    <div className="flex min-h-full flex-col">
      <title>Operations · Wache</title>
      <PageHeader />
      <main className="mx-auto flex w-full max-w-5xl grow flex-col gap-4 px-5 pt-4 pb-8 max-sm:px-3">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <h1 className="text-title font-semibold">Operations</h1>
          <GroupSelect />
          <span className="grow" />
          {may && (
            <Link
              to="/operations/new"
              className="bg-accent text-on-accent border-accent inline-flex items-center rounded border px-2.5 py-1 leading-tight hover:brightness-110"
            >
              Plan an operation
            </Link>
          )}
        </div>
        {seen.error && <Notice message={seen.error.message} />}
        {seen.data && all.length === 0 && (
          <p className="border-line bg-sheet rounded border px-4 py-3">
            No operation yet. An operation brings together who is on which entry, and when: before an exercise
            it says who cannot reach whom, and prints the plan for the wall.
          </p>
        )}
        {ahead.length > 0 && <Heads label="To come" heads={ahead} />}
        {over.length > 0 && <Heads label="Over" heads={over} />}
      </main>
    </div>
  );
}

function Heads({ label, heads }: { label: string; heads: Schemas['OperationHead'][] }) {
  return (
    <section aria-label={label}>
      <h2 className="text-second text-soft pb-1">{label}</h2>
      <ul className="border-line bg-sheet divide-line divide-y rounded border">
        {heads.map((each) => (
          <li key={each.id}>
            <Link
              to={`/operations/${each.id}`}
              className="hover:bg-sunk grid items-baseline gap-x-4 px-4 py-2 sm:grid-cols-[13rem_minmax(0,1fr)_auto]"
            >
              <span className="min-w-0 font-semibold">{each.name}</span>
              <span className="min-w-0">
                {hours(each.from, each.until)}
                {each.place && <span className="text-soft">, {each.place}</span>}
                <span className="text-soft block">{some(each.teams, 6)}</span>
              </span>
              <Standing fails={each.fails} questions={each.questions} />
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Standing({ fails, questions }: { fails: number | null; questions: number | null }) {
  if (fails === null || questions === null) return null;
  const verdict = fails > 0 ? 'hold' : questions > 0 ? 'query' : 'clear';
  return (
    <span className={`inline-flex items-center gap-1.5 font-semibold text-${verdict}`}>
      <VerdictMark verdict={verdict} />
      {fails > 0
        ? `${fails} ${fails === 1 ? 'thing does' : 'things do'} not work`
        : questions > 0
          ? `${questions} to be settled`
          : 'All works'}
    </span>
  );
}
