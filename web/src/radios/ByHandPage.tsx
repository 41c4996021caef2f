import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useGroup } from '../accounts/group';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { useKept } from '../ui/useKept';
import { Attach } from './Attach';
import { DeclaredLoads } from './DeclaredLoads';
import { SetByHand } from './SetByHand';
import { Tried } from './Tried';
import { useRadios } from './useRadios';

type Checked = Record<string, { good: boolean; note: string }>;

/** For a telephone beside the radio: what should be in it, looked at entry by entry, tried, and noted. */
export function ByHandPage() {
  const unit = Number(useParams().unit);
  const { group } = useGroup();
  const radios = useRadios(group?.id);
  const radio = radios.data?.units.find((each) => each.id === unit);
  const lists = Server.useQuery(
    'get',
    '/api/groups/{group}/bench-lists',
    { params: { path: { group: group?.id ?? 0 } } },
    { enabled: group !== undefined },
  );
  const [kept, setList] = useKept(`wache-by-hand-list-${unit}`, '');
  const list = lists.data?.some((each) => String(each.list) === kept)
    ? kept
    : String(lists.data?.[0]?.list ?? '');
  return (
    <div className="flex min-h-full flex-col">
      <title>{`By hand · ${radio?.label ?? ''} · Wache`}</title>
      <PageHeader />
      <main className="mx-auto flex w-full max-w-xl flex-col gap-4 p-4">
        <div>
          <h1 className="text-title font-semibold">{radio ? `${radio.label}, by hand` : 'By hand'}</h1>
          <p className="text-second text-soft">
            {radio?.modelName}. Antenna or dummy load on before any key. Listen first, identify, and keep to
            the licence of whoever keys.
          </p>
        </div>
        {lists.data?.length === 0 && (
          <p className="text-soft">No list of the group has a release that is in use: release one first.</p>
        )}
        {lists.data && lists.data.length > 0 && (
          <Choice
            label="What is typed in"
            value={list}
            options={lists.data.map(
              (each) => [String(each.list), `${each.name}, release ${each.number}`] as const,
            )}
            onChange={setList}
          />
        )}
        {list !== '' && radio && (
          <Should key={`${unit}-${list}`} unit={radio} units={radios.data!.units} list={Number(list)} />
        )}
      </main>
    </div>
  );
}

function Should({
  unit,
  units,
  list,
}: {
  unit: Schemas['UnitView'];
  units: Schemas['UnitView'][];
  list: number;
}) {
  const caughtUp = useCaughtUp();
  const [choice, setChoice] = useKept<string>(`wache-by-hand-choice-${unit.id}-${list}`, '');
  const [checked, setChecked] = useKept<Checked>(`wache-by-hand-${unit.id}-${list}`, {});
  const [set, setSet] = useKept<Record<string, string>>(`wache-by-hand-set-${unit.id}-${list}`, {});
  const [how, setHow] = useState<Schemas['Declare']['how']>('by-hand');
  const [note, setNote] = useState('');
  const order = { unit: unit.id, party: null, part: null, choice: choice || null };
  const should = Server.useQuery('post', '/api/units/{unit}/should-hold', {
    params: { path: { unit: unit.id } },
    body: { list, order },
  });
  const declare = useMutation({
    mutationFn: (release: number) =>
      data(
        api.POST('/api/units/{unit}/declarations', {
          params: { path: { unit: unit.id } },
          body: {
            list,
            release,
            order,
            how,
            note,
            checked: Object.entries(checked).map(([memory, each]) => ({ memory, ...each })),
            settings: set,
          },
        }),
      ),
    onSuccess: async () => {
      setChecked({});
      setSet({});
      setNote('');
      await caughtUp();
    },
  });
  if (should.error) return <Notice message={should.error.message} />;
  if (!should.data) return <p className="text-soft">Working out what should be in it …</p>;
  const { entries, notTheirs, open, blocked, release, person } = should.data;
  const looked = entries.filter((each) => checked[each.memory]);
  return (
    <>
      <p className="text-second">
        {person ? `For ${person}. ` : 'For nobody in particular. '}
        {entries.length} entries should be in it.
      </p>
      {notTheirs.length > 0 && (
        <section aria-label="What they may not key" className="border-hold border-l-[3px] pl-3">
          <p>
            {person ?? 'Whoever has it'} may not key{' '}
            {notTheirs.map((each) => `${each.number} ${each.name}`).join(', ')}.
          </p>
          <div className="flex gap-2 pt-1">
            <Button aria-pressed={choice === 'listen'} onClick={() => setChoice('listen')}>
              They only listen
            </Button>
            <Button aria-pressed={choice === 'leave-out'} onClick={() => setChoice('leave-out')}>
              They stay out
            </Button>
          </div>
        </section>
      )}
      {blocked && <Notice message={blocked} />}
      <section aria-label="What should be in it" className="flex flex-col gap-2">
        {entries.map((entry) => (
          <Entry
            key={entry.memory}
            entry={entry}
            checked={checked[entry.memory]}
            onCheck={(next) => {
              const all = { ...checked };
              if (next) all[entry.memory] = next;
              else delete all[entry.memory];
              setChecked(all);
            }}
          />
        ))}
      </section>
      <SetByHand plan={should.data} set={set} onSet={setSet} />
      <Tried unit={unit} units={units} entries={entries} />
      <section aria-label="Note it" className="border-line flex flex-col gap-2 border-t pt-3">
        <h2 className="font-semibold">
          {looked.length} of {entries.length} entries looked at
          {should.data.settings.length > 0 &&
            `, ${Object.keys(set).length} of ${should.data.settings.length} settings`}
        </h2>
        <Choice
          label="How it got in"
          value={how}
          options={[
            ['by-hand', 'typed by hand'],
            ['elsewhere', 'loaded elsewhere, over a cable'],
          ]}
          onChange={(next) => setHow(next)}
        />
        <Field label="Note" value={note} onChange={setNote} />
        <Button
          kind="strong"
          disabled={open || blocked !== null || declare.isPending}
          onClick={() => declare.mutate(release)}
        >
          It is in the radio: note it
        </Button>
        {open && <p className="text-second text-soft">Decide first what happens to what they may not key.</p>}
        {declare.error && <Notice message={declare.error.message} />}
        {declare.data && (
          <div role="status" className="flex flex-col gap-2">
            <p>
              Noted. <Link to={`/radios?unit=${unit.id}`}>To the radio</Link>
            </p>
            <Attach unit={unit.id} load={declare.data.id} />
          </div>
        )}
        <DeclaredLoads unit={unit.id} />
      </section>
    </>
  );
}

function Entry({
  entry,
  checked,
  onCheck,
}: {
  entry: Schemas['ShouldEntry'];
  checked: Checked[string] | undefined;
  onCheck: (next: Checked[string] | undefined) => void;
}) {
  const tick = (good: boolean) =>
    onCheck(checked?.good === good ? undefined : { good, note: checked?.note ?? '' });
  return (
    <div className="border-line bg-sheet flex flex-col gap-1.5 rounded border px-3 py-2">
      <p className="flex flex-wrap items-baseline gap-x-2">
        <span className="text-soft font-mono">{entry.memory}</span>
        <span className="font-semibold">{entry.name}</span>
        <span className="text-second font-mono">
          {entry.hears}
          {entry.talks === ''
            ? ', only listens'
            : entry.talks === entry.hears
              ? ', talks there too'
              : `, talks on ${entry.talks}`}
          {entry.sends && `, sends ${entry.sends}`}
          {entry.opensOn && `, opens with ${entry.opensOn}`}
          {`, ${entry.mode}`}
        </span>
      </p>
      <div className="flex flex-wrap items-center gap-2">
        <Button
          aria-pressed={checked?.good === true}
          aria-label={`${entry.name} is right`}
          onClick={() => tick(true)}
        >
          {checked?.good === true ? '✓ Right' : 'Right'}
        </Button>
        <Button
          aria-pressed={checked?.good === false}
          aria-label={`${entry.name} is wrong`}
          onClick={() => tick(false)}
        >
          {checked?.good === false ? '✗ Wrong' : 'Wrong'}
        </Button>
        {checked?.good === false && (
          <Field
            label="What is wrong"
            value={checked.note}
            onChange={(text) => onCheck({ good: false, note: text })}
          />
        )}
      </div>
    </div>
  );
}
