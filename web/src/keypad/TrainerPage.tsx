import { keepPreviousData } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { useAddress } from '../ui/useAddress';
import { useGroup } from '../accounts/group';
import { Server } from '../api/client';
import { useRadios } from '../radios/useRadios';
import { useListsInUse } from '../lists/useLists';
import { Choice } from '../ui/Choice';
import { PageHeader } from '../ui/PageHeader';
import { Exercise } from './Exercise';

/** A hand-held to practise on: the learner presses its keys, and is told what went wrong and why. */
export function TrainerPage() {
  const { group } = useGroup();
  const [params, setParams] = useAddress();
  const radios = useRadios(group?.id);
  const lists = useListsInUse(group?.id);
  const able = (radios.data?.models.filter((each) => each.keypad) ?? []).sort((a, b) => b.units - a.units);
  const model = Number(params.get('model') ?? able[0]?.id ?? 0);
  const list = Number(
    params.get('list') ??
      [...(lists.data ?? [])].sort(
        (a, b) => Number(a.pending) - Number(b.pending) || a.counts.hold - b.counts.hold,
      )[0]?.id ??
      0,
  );
  const paper = Server.useQuery(
    'get',
    '/api/lists/{list}/keypad/{model}',
    { params: { path: { list, model } } },
    { enabled: model > 0 && list > 0 },
  );
  const entries = paper.data?.entries.filter((each) => each.impossible === null) ?? [];
  const entry = Number(params.get('entry') ?? entries[0]?.entry ?? 0);
  const set = (key: string, value: string) =>
    setParams(
      (old) => {
        const next = new URLSearchParams(old);
        next.set(key, value);
        if (key !== 'entry') next.delete('entry');
        return next;
      },
      { replace: true },
    );
  return (
    <div className="flex h-full flex-col">
      <title>Practice · Wache</title>
      <PageHeader />
      <section
        aria-label="What is practised"
        className="border-line flex flex-wrap items-end gap-3 border-b px-5 py-2"
      >
        <h1 className="text-title pb-0.5 font-semibold">Practice</h1>
        <Choice
          label="The radio"
          value={String(model)}
          options={able.map((each) => [String(each.id), each.name] as const)}
          onChange={(id) => set('model', id)}
        />
        <Choice
          label="The list"
          className="max-w-64"
          value={String(list)}
          options={(lists.data ?? []).map((each) => [String(each.id), each.name] as const)}
          onChange={(id) => set('list', id)}
        />
        <Choice
          label="The entry"
          value={String(entry)}
          options={entries.map((each) => [String(each.entry), `${each.number} ${each.name}`] as const)}
          onChange={(id) => set('entry', id)}
        />
        <span className="grow" />
        {list > 0 && (
          <Link
            to={`/lists/${list}/keypad?model=${model}`}
            className="text-accent pb-1 underline-offset-2 hover:underline"
          >
            The paper of the whole list
          </Link>
        )}
      </section>
      <main className="min-h-0 grow overflow-y-auto p-5">
        {able.length === 0 && radios.data && (
          <p className="text-soft">No model of the group takes entries by keypad.</p>
        )}
        {paper.data && entries.length === 0 && (
          <p className="text-soft">No entry of this list can be typed into this radio by hand.</p>
        )}
        {entry > 0 && paper.data && entries.length > 0 && (
          <ListExercise key={`${model}-${list}-${entry}`} model={model} list={list} entry={entry} />
        )}
      </main>
    </div>
  );
}

function ListExercise({ model, list, entry }: { model: number; list: number; entry: number }) {
  const [presses, setPresses] = useState<string[]>([]);
  const standing = Server.useQuery(
    'post',
    '/api/models/{model}/practice',
    { params: { path: { model } }, body: { list, entry, presses } },
    { placeholderData: keepPreviousData, retry: false },
  );
  return (
    <Exercise
      standing={standing.data}
      error={standing.error?.message}
      presses={presses}
      setPresses={setPresses}
    />
  );
}
