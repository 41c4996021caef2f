import { keepPreviousData, useMutation } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useGroup } from '../accounts/group';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { useListsInUse } from '../lists/useLists';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { Refused } from '../ui/Refused';
import { useAddress } from '../ui/useAddress';
import { useKept } from '../ui/useKept';
import { Board } from './Board';
import { Copy } from './Copy';
import { Frame } from './Frame';
import { OperationPapers } from './OperationPapers';
import { OperationReach } from './OperationReach';
import { Pairs } from './Pairs';
import { type Form, newWatch, problemOf, type Sheet, usualHours, whoOf, withWatch } from './plan';
import { RadiosTable } from './RadiosTable';
import { Troubles } from './Troubles';
import { WatchEditor } from './WatchEditor';
import { WhoOptions } from './WhoOptions';

/** An operation: who is on which entry when, what does not work, and its papers. */
export function OperationPage() {
  const { operation } = useParams();
  const { group } = useGroup();
  const id = operation === 'new' ? undefined : Number(operation);
  const kept = Server.useQuery(
    'get',
    '/api/operations/{operation}',
    { params: { path: { operation: id ?? 0 } } },
    { enabled: id !== undefined },
  );
  return (
    <div className="flex min-h-full flex-col">
      <title>{`${kept.data?.form.name ?? 'A new operation'} · Wache`}</title>
      <PageHeader />
      <main className="mx-auto flex w-full max-w-[1500px] grow flex-col gap-4 px-5 pt-4 pb-8 max-sm:px-3">
        {kept.error && <Notice message={kept.error.message} />}
        {group && (id === undefined || kept.data) && (
          <Planning key={id ?? 'new'} group={group.id} kept={id === undefined ? undefined : kept.data} />
        )}
      </main>
    </div>
  );
}

const today = () => new Date().toISOString().slice(0, 10);

const empty = (): Form => ({
  name: '',
  purpose: '',
  place: '',
  ...usualHours(today()),
  lists: [],
  watches: [],
  mustTalk: [],
});

const NOTHING: Sheet = { on: '', lists: [], watches: [], troubles: [], people: [] };

function Planning({ group, kept }: { group: number; kept: Schemas['OperationKept'] | undefined }) {
  const go = useNavigate();
  const may = useMay('edit');
  const caughtUp = useCaughtUp();
  const [params, setParams] = useAddress();
  const [typed, setTyped] = useKept<{ version: number; form: Form } | null>(
    `operation ${group} ${kept?.id ?? 'new'}`,
    null,
  );
  const [start] = useState(empty);
  const before = kept?.form ?? start;
  const form = typed?.form ?? before;
  const changed = typed !== null && JSON.stringify(typed.form) !== JSON.stringify(before);
  // Begun on a version that somebody else has changed since: saved over it, theirs would be gone.
  const overtaken = changed && kept !== undefined && typed.version < kept.version;
  const change = (next: Form) => setTyped({ version: typed?.version ?? kept?.version ?? 0, form: next });
  const problem = problemOf(form);
  const lists = useListsInUse(group);
  const roster = Server.useQuery('get', '/api/groups/{group}/roster', { params: { path: { group } } });
  const asked = useDeferredValue(changed && !problem ? JSON.stringify(form) : '');
  const tried = Server.useQuery(
    'post',
    '/api/groups/{group}/operations/sheet',
    { params: { path: { group } }, body: JSON.parse(asked || 'null') as Form },
    { enabled: asked !== '', placeholderData: keepPreviousData, gcTime: 30_000 },
  );
  const sheet = (changed ? tried.data : kept?.sheet) ?? kept?.sheet ?? NOTHING;
  const at = params.get('row') === null ? undefined : Number(params.get('row'));
  const chosen = at !== undefined && form.watches[at] ? at : undefined;
  const choose = (row: number | undefined) =>
    setParams(row === undefined ? {} : { row: String(row) }, { replace: true });
  const save = useMutation({
    mutationFn: async () => {
      if (kept) {
        await data(
          api.PUT('/api/operations/{operation}', {
            params: { path: { operation: kept.id } },
            body: { version: typed?.version ?? kept.version, form },
          }),
        );
        return kept.id;
      }
      return (
        await data(api.POST('/api/groups/{group}/operations', { params: { path: { group } }, body: form }))
      ).id;
    },
    onSuccess: async (id) => {
      await caughtUp();
      setTyped(null);
      if (!kept) void go(`/operations/${id}`, { replace: true });
    },
  });
  const remove = useMutation({
    mutationFn: () =>
      data(
        api.DELETE('/api/operations/{operation}', {
          params: { path: { operation: kept!.id }, query: { version: kept!.version } },
        }),
      ),
    onSuccess: async () => {
      await caughtUp();
      void go('/operations');
    },
  });
  const teams = useMemo(
    () => form.watches.flatMap((watch) => (watch.who.team === null ? [] : [watch.who.team])),
    [form],
  );
  const [fails, questions] = [
    sheet.troubles.filter((each) => each.fails),
    sheet.troubles.filter((each) => !each.fails),
  ];
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <p>
          <Link to="/operations" className="text-accent underline-offset-2 hover:underline">
            Operations
          </Link>{' '}
          <span aria-hidden="true" className="text-soft">
            /
          </span>
        </p>
        <h1 className="text-title min-w-0 font-semibold">{form.name || 'A new operation'}</h1>
        <span className="grow" />
        {may && (changed || !kept) && (
          <Button
            kind="strong"
            disabled={problem !== undefined || overtaken || save.isPending}
            onClick={() => save.mutate()}
          >
            {kept ? 'Save' : 'Keep it'}
          </Button>
        )}
        {changed && <Button onClick={() => setTyped(null)}>Discard changes</Button>}
      </div>
      {overtaken && (
        <Notice
          message={`${kept.changedBy} changed this operation meanwhile. What you changed here was begun before that and cannot be saved over it: note it down, discard it, and change it again on theirs.`}
        />
      )}
      <Refused by={[save, remove, tried]} />
      {problem && (changed || !kept) && <p className="text-soft">{problem}</p>}
      <div className="grid items-start gap-x-6 gap-y-5 lg:grid-cols-[minmax(0,1fr)_23rem]">
        <div className="flex min-w-0 flex-col gap-5">
          {!kept && (
            <Frame form={form} sheet={sheet} lists={lists.data ?? []} disabled={!may} onChange={change} />
          )}
          {form.watches.length > 0 && <Verdict fails={fails.length} questions={questions.length} />}
          <section aria-label="Who is on what" className="flex flex-col gap-2">
            <Board form={form} sheet={sheet} chosen={chosen} onChoose={choose} />
            {may && (
              <AddWho
                roster={roster.data}
                onAdd={(who) => {
                  change({ ...form, watches: [...form.watches, newWatch(who)] });
                  choose(form.watches.length);
                }}
              />
            )}
          </section>
        </div>
        <aside
          aria-label="A row, and what is wrong"
          className="flex min-w-0 flex-col gap-4 lg:col-start-2 lg:row-span-2 lg:row-start-1"
        >
          {chosen !== undefined && (
            <WatchEditor
              key={chosen}
              form={form}
              sheet={sheet}
              at={chosen}
              roster={roster.data}
              disabled={!may}
              onChange={(watch) => {
                change(withWatch(form, chosen, watch));
                if (watch === null) choose(undefined);
              }}
              onClose={() => choose(undefined)}
            />
          )}
          {sheet.troubles.length > 0 && (
            <section aria-label="What is to be settled">
              <h2 className="text-second text-soft pb-1">What is to be settled</h2>
              <div className="border-line bg-sheet rounded border">
                <Troubles
                  troubles={
                    chosen === undefined
                      ? sheet.troubles
                      : sheet.troubles.filter((each) => each.watch !== chosen)
                  }
                  onChoose={choose}
                />
              </div>
            </section>
          )}
          {kept && (
            <>
              <OperationPapers operation={kept.id} changed={changed} />
              {may && <Copy kept={kept} />}
              {may && <Remove busy={remove.isPending} onRemove={() => remove.mutate()} />}
            </>
          )}
        </aside>
        <div className="flex min-w-0 flex-col gap-5 lg:col-start-1">
          {kept && (
            <Frame form={form} sheet={sheet} lists={lists.data ?? []} disabled={!may} onChange={change} />
          )}
          <Pairs form={form} sheet={sheet} disabled={!may} onChange={change} />
          {kept && kept.sheet.people.length > 0 && kept.sheet.lists.some((list) => list.there) && (
            <>
              {changed && (
                <p className="text-soft">
                  The picture below is of what is kept, not of what was changed here.
                </p>
              )}
              <OperationReach operation={kept.id} teams={teams} />
            </>
          )}
          <RadiosTable people={sheet.people} />
        </div>
      </div>
    </>
  );
}

/** Who is added next. */
function AddWho({
  roster,
  onAdd,
}: {
  roster: Schemas['Roster'] | undefined;
  onAdd: (who: Form['watches'][number]['who']) => void;
}) {
  const [next, setNext] = useState('');
  return (
    <form
      className="flex flex-wrap gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (next) onAdd(whoOf(next));
        setNext('');
      }}
    >
      <select
        aria-label="Add a team or a person"
        className={INPUT}
        value={next}
        onChange={(event) => setNext(event.target.value)}
      >
        <option value="">A team or a person …</option>
        <WhoOptions roster={roster} />
      </select>
      <Button type="submit" disabled={!next}>
        Add to the plan
      </Button>
    </form>
  );
}

/** Taken out only when it was pressed twice. */
function Remove({ busy, onRemove }: { busy: boolean; onRemove: () => void }) {
  const [asked, setAsked] = useState(false);
  return asked ? (
    <p className="flex flex-wrap items-center gap-2">
      Remove it for good?
      <Button disabled={busy} onClick={onRemove}>
        Remove it
      </Button>
      <Button kind="quiet" onClick={() => setAsked(false)}>
        Leave it
      </Button>
    </p>
  ) : (
    <div>
      <Button kind="quiet" onClick={() => setAsked(true)}>
        Remove this operation
      </Button>
    </div>
  );
}

/** The whole in a line. */
function Verdict({ fails, questions }: { fails: number; questions: number }) {
  const [look, words] =
    fails > 0
      ? ['text-hold', `${fails} ${fails === 1 ? 'thing does' : 'things do'} not work`]
      : questions > 0
        ? ['text-query', 'Everybody can do what the plan asks']
        : ['text-clear', 'Everybody can do what the plan asks, and nothing is open'];
  return (
    <p role="status" className={`text-title font-semibold ${look}`}>
      {words}
      {questions > 0 && (
        <span className="text-soft text-body font-normal">
          {' '}
          {questions} {questions === 1 ? 'question' : 'questions'} to be settled
        </span>
      )}
    </p>
  );
}
