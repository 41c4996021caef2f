import { useNavigate, useParams } from 'react-router';
import { useAddress } from '../ui/useAddress';
import { useGroup } from '../accounts/group';
import { useMay } from '../accounts/rights';
import { Server } from '../api/client';
import { Button } from '../ui/Button';
import { moment } from '../ui/dates';
import { GroupSelect } from '../ui/GroupSelect';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { VerdictMark } from '../ui/VerdictMark';
import { NewRun } from './NewRun';
import { RunView } from './RunView';
import { inShort, open } from './words';

const WATCHING_MS = 700;
const IDLE_MS = 15_000;

/** The bench: lists go into radios, one by one and fleet by fleet. */
export function BenchPage() {
  const { group } = useGroup();
  const go = useNavigate();
  const may = useMay('bench');
  const run = useParams().run;
  const [params] = useAddress();
  const runs = Server.useQuery(
    'get',
    '/api/groups/{group}/runs',
    { params: { path: { group: group?.id ?? 0 } } },
    {
      enabled: group !== undefined,
      refetchInterval: (query) =>
        query.state.data?.some((each) => each.jobs.some(open)) ? WATCHING_MS : IDLE_MS,
    },
  );
  const all = runs.data ?? [];
  const beginning =
    run === undefined && (params.has('list') || params.has('units') || params.has('new') || all.length === 0);
  const chosen = run === undefined ? all[0] : all.find((each) => String(each.id) === run);
  return (
    <div className="flex h-full flex-col">
      <title>Bench · Wache</title>
      <PageHeader />
      <section
        aria-label="The bench"
        className="border-line flex flex-wrap items-center gap-x-3 gap-y-1 border-b px-5 py-2"
      >
        <h1 className="text-title font-semibold">Bench</h1>
        <p className="text-second text-soft grow">
          Antenna or dummy load on before any key; charged batteries; listen first. Local codes and the
          licence come first.
        </p>
        <GroupSelect />
        {may && (
          <Button
            kind={beginning ? 'plain' : 'strong'}
            onClick={() => void go('/bench?new')}
            disabled={beginning}
          >
            Put a release into radios
          </Button>
        )}
      </section>
      {runs.error && (
        <div className="p-4">
          <Notice message={runs.error.message} />
        </div>
      )}
      {group && runs.data && (
        <div className="flex min-h-0 grow max-md:flex-col">
          <nav
            aria-label="Runs"
            className="border-line shrink-0 overflow-y-auto max-md:max-h-40 max-md:border-b md:w-72 md:border-r"
          >
            <ul>
              {all.map((each) => {
                const bad = each.jobs.some((job) => job.state === 'failed' || job.state === 'differs');
                const busy = each.jobs.some(open);
                return (
                  <li key={each.id}>
                    <button
                      type="button"
                      aria-current={!beginning && each.id === chosen?.id}
                      onClick={() => void go(`/bench/${each.id}`)}
                      className={`border-line w-full border-b px-4 py-2 text-left ${!beginning && each.id === chosen?.id ? 'bg-accent-wash' : 'hover:bg-sheet'}`}
                    >
                      <span className="flex items-center gap-2">
                        {!busy && <VerdictMark verdict={bad ? 'hold' : 'clear'} size={13} />}
                        <span className="truncate font-semibold">{each.name}</span>
                      </span>
                      <span className="text-second block">{inShort(each.jobs)}</span>
                      <span className="text-second text-soft block">
                        {moment(each.startedAt)}, {each.by}
                      </span>
                    </button>
                  </li>
                );
              })}
            </ul>
            {all.length === 0 && (
              <p className="text-soft p-4">
                Nothing was written yet. What the bench does is kept here for good.
              </p>
            )}
          </nav>
          <main className="min-h-0 min-w-0 grow overflow-y-auto">
            {beginning ? (
              <NewRun
                group={group.id}
                list={params.get('list') ?? undefined}
                units={params.get('units') ?? undefined}
                whom={params.get('for') ?? undefined}
                onStarted={(id) => void go(`/bench/${id}`)}
              />
            ) : chosen ? (
              <RunView key={chosen.id} run={chosen} />
            ) : (
              <p className="text-soft p-5">There is no such run in this group.</p>
            )}
          </main>
        </div>
      )}
    </div>
  );
}
