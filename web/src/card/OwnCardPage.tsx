import { useGroup } from '../accounts/group';
import { Server } from '../api/client';
import { GroupSelect } from '../ui/GroupSelect';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { Card } from './Card';

/** What a member sees first: their own card. */
export function OwnCardPage() {
  const { group } = useGroup();
  const card = Server.useQuery(
    'get',
    '/api/groups/{group}/card',
    { params: { path: { group: group?.id ?? 0 } } },
    { enabled: group !== undefined, retry: false },
  );
  return (
    <div className="flex min-h-full flex-col">
      <title>Your card · Wache</title>
      <PageHeader />
      <main className="mx-auto w-full max-w-xl px-4 pt-3 pb-10">
        <GroupSelect />
        {card.error && <Notice message={card.error.message} />}
        {card.data && <Card card={card.data} />}
      </main>
    </div>
  );
}
