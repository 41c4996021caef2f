import { useState } from 'react';
import { useAddress } from '../ui/useAddress';
import { useGroup } from '../accounts/group';
import { useMay } from '../accounts/rights';
import { type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { GroupSelect } from '../ui/GroupSelect';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { CalendarAddress } from './CalendarAddress';
import { Due } from './Due';
import { EffectView } from './EffectView';
import { PartyEditor } from './PartyEditor';
import { PartyList } from './PartyList';
import { EMPTY } from './drafts';

/** People, families and firms, what they hold, and what the licence register says of it. */
export function RosterPage() {
  const { group } = useGroup();
  const caughtUp = useCaughtUp();
  const [params, setParams] = useAddress();
  const may = useMay('coordinate');
  const [find, setFind] = useState('');
  const roster = Server.useQuery(
    'get',
    '/api/groups/{group}/roster',
    { params: { path: { group: group?.id ?? 0 } } },
    { enabled: group !== undefined },
  );
  const wanted = params.get('party');
  const choose = (party: string | undefined) => setParams(party ? { party } : {}, { replace: true });
  const [saved, setSaved] = useState<Schemas['Saved']>();
  const done = async (next: Schemas['Saved'] | undefined) => {
    setSaved(next);
    await caughtUp();
    choose(next && String(next.id));
  };
  const chosen = roster.data?.parties.find((each) => String(each.id) === wanted);
  return (
    <div className="flex h-full flex-col">
      <title>Roster · Wache</title>
      <PageHeader />
      <section
        aria-label="Everyone in it"
        className="border-line flex flex-wrap items-center gap-x-4 gap-y-1 border-b px-5 py-2"
      >
        <h1 className="text-title font-semibold">Roster</h1>
        <span className="text-soft">
          {roster.data && `${roster.data.parties.length} people, families and firms`}
        </span>
        <GroupSelect />
        <span className="grow" />
        <input
          type="search"
          className={`${INPUT} w-56`}
          aria-label="Find in the roster"
          placeholder="Name, team or call sign"
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
        {group && <CalendarAddress key={group.id} group={group.id} />}
        {may && (
          <Button kind="strong" onClick={() => choose('new')}>
            Add someone
          </Button>
        )}
      </section>
      {roster.error && (
        <div className="p-4">
          <Notice message={roster.error.message} />
        </div>
      )}
      {saved && String(saved.id) === wanted && <EffectView name={saved.party.name} effect={saved.effect} />}
      {roster.data && group && (
        <main className="flex min-h-0 grow">
          <PartyList
            roster={roster.data}
            find={find}
            chosen={wanted ?? undefined}
            hidden={wanted !== null}
            onChoose={(id) => choose(String(id))}
          />
          <section
            className={`min-w-0 grow overflow-y-auto ${wanted === null ? 'max-md:hidden' : ''}`}
            aria-label="The entry of the roster"
          >
            {wanted === 'new' || chosen ? (
              <PartyEditor
                key={chosen ? `${chosen.id} ${chosen.version}` : 'new'}
                group={group.id}
                roster={roster.data}
                party={chosen}
                start={chosen ?? EMPTY}
                onDone={done}
                onBack={() => choose(undefined)}
              />
            ) : (
              <Nobody roster={roster.data} onChoose={(id) => choose(String(id))} />
            )}
          </section>
        </main>
      )}
    </div>
  );
}

function Nobody({ roster, onChoose }: { roster: Schemas['Roster']; onChoose: (party: number) => void }) {
  if (roster.parties.length > 0) return <Due roster={roster} onChoose={onChoose} />;
  return (
    <p className="text-soft max-w-prose p-6">
      Nobody is in the roster yet. Add the people who will carry radios, families with a GMRS licence, and
      firms with their authorisations: the audit then knows who may key what.
    </p>
  );
}
