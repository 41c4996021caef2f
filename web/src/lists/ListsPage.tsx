import { Link, useNavigate } from 'react-router';
import { useGroup } from '../accounts/group';
import { type Schemas } from '../api/client';
import { useMay } from '../accounts/rights';
import { Time } from '../home/Time';
import { Todo } from '../home/Todo';
import { useHome } from '../home/useHome';
import { BringIn } from '../intake/BringIn';
import { useLists } from './useLists';
import { moment } from '../ui/dates';
import { GroupSelect } from '../ui/GroupSelect';
import { Notice } from '../ui/Notice';
import { useExamples } from '../rulebooks/rulebooks';
import { PageHeader } from '../ui/PageHeader';
import { some } from '../ui/people';
import { VERDICTS, VerdictMark, verdictText, verdictWord } from '../ui/VerdictMark';

/** The group's lists, worst first, what time brings, and the way to bring in another list. */
export function ListsPage() {
  const { group } = useGroup();
  const edits = useMay('edit');
  const go = useNavigate();
  const lists = useLists(group?.id);
  const ready = useHome(group?.id).isFetched; // what there is to do stands above the lists, which must not jump
  return (
    <div className="flex min-h-full flex-col">
      <title>Lists · Wache</title>
      <PageHeader />
      <main className="mx-auto flex w-full max-w-6xl flex-col gap-6 px-5 pt-4 pb-8">
        <div className="flex flex-wrap items-baseline justify-between gap-2">
          <h1 className="text-title font-semibold">{group?.name ?? 'No group yet'}</h1>
          <GroupSelect />
        </div>
        {lists.error && <Notice message={lists.error.message} />}
        {group && <Todo key={`todo ${group.id}`} group={group.id} />}
        {ready && lists.data && lists.data.length > 0 && <Lists lists={lists.data} />}
        {group && lists.data?.length === 0 && <Empty group={group.id} />}
        {group && <Time key={group.id} group={group.id} />}
        {group && edits && <BringIn group={group.id} onList={(list) => void go(`/lists/${list}`)} />}
        <p className="text-second text-soft max-w-prose">
          The rulebook was written from memory. Check against the current rules: this tool does not replace
          your licence terms.
        </p>
      </main>
    </div>
  );
}

function Empty({ group }: { group: number }) {
  const examples = useExamples(group);
  return (
    <div className="border-line bg-sheet max-w-prose rounded border px-4 py-3">
      <p>
        There is no list yet. Bring in any table with frequencies in it, or paste lines as people write them:
      </p>
      <pre className="bg-sunk text-second my-2 overflow-x-auto rounded p-2 font-mono">
        {examples.join('\n')}
      </pre>
      <p>Each line is shown with what it is taken for before anything becomes a list.</p>
    </div>
  );
}

function Lists({ lists }: { lists: Schemas['ListSummary'][] }) {
  return (
    <ul className="border-line bg-sheet divide-line divide-y rounded border">
      {lists.map((list) => (
        <li key={list.id}>
          <Link
            to={`/lists/${list.id}`}
            className={`hover:bg-accent-wash flex flex-wrap items-center gap-x-6 gap-y-1 border-l-[3px] px-4 py-3 ${list.counts.hold > 0 || list.unjudged !== null ? 'border-l-hold' : list.counts.query > 0 ? 'border-l-query' : list.entries > 0 ? 'border-l-clear' : 'border-l-line'}`}
          >
            <span className="min-w-0 grow basis-80">
              <span className="block font-semibold">{list.name}</span>
              <span className="text-second text-soft">
                {list.unjudged === null && `${list.entries} entries, carried by ${some(list.carriers, 1)}. `}
                {list.parent
                  ? `Follows ${lists.find((each) => each.id === list.parent)?.name ?? 'another list'}.`
                  : `Changed ${moment(list.changedAt)} by ${list.changedBy}`}
              </span>
            </span>
            {list.unjudged !== null && (
              <span className="text-hold text-second basis-full">{list.unjudged}</span>
            )}
            <span className="flex max-w-full flex-wrap gap-x-4" hidden={list.unjudged !== null}>
              {VERDICTS.map((verdict) => (
                <span
                  key={verdict}
                  className={`flex w-[5.6rem] items-center whitespace-nowrap gap-1.5 ${list.counts[verdict] === 0 ? 'text-soft' : verdictText[verdict]}`}
                >
                  <VerdictMark verdict={verdict} />
                  <span>
                    <span className="font-mono">{list.counts[verdict]}</span>{' '}
                    <span className="text-second">{verdictWord(verdict).toLowerCase()}</span>
                  </span>
                </span>
              ))}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
