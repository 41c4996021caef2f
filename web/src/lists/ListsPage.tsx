import { useNavigate } from 'react-router';
import { useGroup } from '../accounts/group';
import { useMay } from '../accounts/rights';
import { Time } from '../home/Time';
import { Todo } from '../home/Todo';
import { BringIn } from '../intake/BringIn';
import { FirstList } from '../intake/FirstList';
import { GroupSelect } from '../ui/GroupSelect';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { Lists } from './Lists';
import { useLists } from './useLists';

/** The way to bring in a list, and the group's lists; beside them what there is to do, and what time brings. */
export function ListsPage() {
  const { group } = useGroup();
  const edits = useMay('edit');
  const go = useNavigate();
  const lists = useLists(group?.id);
  const none = lists.data?.length === 0;
  return (
    <div className="flex min-h-full flex-col">
      <title>Lists · Wache</title>
      <PageHeader />
      <main className="mx-auto flex w-full max-w-7xl grow flex-col gap-4 px-5 pt-4 pb-6 max-sm:px-3">
        <div className="flex flex-wrap items-baseline justify-between gap-2">
          <h1 className="text-title font-semibold">{group?.name ?? 'No group yet'}</h1>
          <GroupSelect />
        </div>
        <div className="grid items-start gap-x-6 gap-y-5 lg:grid-cols-[minmax(0,1fr)_21rem]">
          <div className="flex min-w-0 flex-col gap-4">
            {group && edits && <BringIn group={group.id} onList={(list) => void go(`/lists/${list}`)} />}
            {lists.error && <Notice message={lists.error.message} />}
            {group && none && <FirstList key={group.id} group={group.id} />}
            {group && lists.data && !none && <Lists key={group.id} group={group.id} lists={lists.data} />}
          </div>
          {group && (
            <aside key={group.id} className="flex min-w-0 flex-col gap-5" aria-label="What there is to do">
              <Todo group={group.id} />
              <Time group={group.id} />
            </aside>
          )}
        </div>
        <span className="grow" />
        <p className="text-second text-soft max-w-prose">
          The rulebook was written from memory. Check against the current rules: this tool does not replace
          your licence terms.
        </p>
      </main>
    </div>
  );
}
