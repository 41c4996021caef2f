import { keepPreviousData } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useGroup } from '../accounts/group';
import { type Schemas, type Verdict, Server } from '../api/client';
import { useRadios } from '../radios/useRadios';
import { useLists } from '../lists/useLists';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { VerdictMark } from '../ui/VerdictMark';
import { HandHeld } from './HandHeld';
import { Keys } from './Keys';

const MARK: Record<string, Verdict> = { good: 'clear', wrong: 'hold', note: 'query' };

/** A hand-held to practise on: the learner presses its keys, and is told what went wrong and why. */
export function TrainerPage() {
  const { group } = useGroup();
  const [params, setParams] = useSearchParams();
  const radios = useRadios(group?.id);
  const lists = useLists(group?.id);
  const able = (radios.data?.models.filter((each) => each.keypad) ?? []).sort((a, b) => b.units - a.units);
  const model = Number(params.get('model') ?? able[0]?.id ?? 0);
  const list = Number(
    params.get('list') ?? [...(lists.data ?? [])].sort((a, b) => a.counts.hold - b.counts.hold)[0]?.id ?? 0,
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
          <Exercise key={`${model}-${list}-${entry}`} model={model} list={list} entry={entry} />
        )}
      </main>
    </div>
  );
}

/** Keys of a keyboard that press those of the hand-held. */
const TYPED: Record<string, string> = {
  ArrowUp: 'up',
  ArrowDown: 'down',
  Enter: 'keep',
  Escape: 'back',
  s: 'set',
  f: 'direct',
  a: 'side',
  n: 'next',
};

const NO_KEYS: Schemas['KeyName'][] = [];
const ON_THE_KEYBOARD: Record<string, string> = {
  set: 's',
  up: '↑',
  down: '↓',
  keep: 'Enter',
  back: 'Esc',
  direct: 'f',
  side: 'a',
  next: 'n',
};

function Exercise({ model, list, entry }: { model: number; list: number; entry: number }) {
  const [presses, setPresses] = useState<string[]>([]);
  const [helped, setHelped] = useState(false);
  const standing = Server.useQuery(
    'post',
    '/api/models/{model}/practice',
    { params: { path: { model } }, body: { list, entry, presses } },
    { placeholderData: keepPreviousData, retry: false },
  );
  const there = standing.data?.keys ?? NO_KEYS;
  const press = useCallback((key: string) => setPresses((old) => [...old, key]), []);
  useEffect(() => {
    const typed = (event: KeyboardEvent) => {
      const on = event.target as HTMLElement;
      if (
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        ['INPUT', 'SELECT', 'TEXTAREA'].includes(on.tagName)
      )
        return;
      const key = /^[0-9]$/.test(event.key) ? event.key : TYPED[event.key];
      if (
        !key ||
        !there.some((each) => each.id === key) ||
        (event.key === 'Enter' && ['BUTTON', 'A', 'SUMMARY'].includes(on.tagName))
      )
        return;
      event.preventDefault();
      press(key);
    };
    window.addEventListener('keydown', typed);
    return () => window.removeEventListener('keydown', typed);
  }, [press, there]);
  if (standing.error) return <Notice message={standing.error.message} />;
  const now = standing.data;
  if (!now) return null;
  return (
    <div className="mx-auto flex max-w-5xl flex-wrap items-start gap-x-10 gap-y-5">
      <HandHeld name={now.modelName} keys={now.keys} screen={now.screen} onPress={press} />
      <div className="flex min-w-72 grow basis-96 flex-col gap-4">
        <Task paper={now.paper} />
        <section aria-label="The coach" aria-live="polite" className="flex min-h-36 flex-col gap-2">
          {now.done ? (
            <p className="border-l-clear border-line bg-sheet rounded border border-l-[3px] px-3 py-2">
              <span className="text-clear font-semibold">Done.</span> Memory {now.memory} holds{' '}
              {now.paper.name}, with {presses.length} presses. On the real radio: antenna on, listen,
              identify, and try it.
            </p>
          ) : now.said.length === 0 ? (
            <p className="text-soft">
              {presses.length === 0
                ? 'Press the keys of the hand-held. What goes wrong is told here, with its reason.'
                : 'So far, so good.'}
            </p>
          ) : (
            now.said.map((said, index) => (
              <p
                key={index}
                className={`flex items-start gap-2 ${said.press === now.said[0]!.press ? '' : 'text-soft text-second'}`}
              >
                <span className="mt-[3px]">
                  <VerdictMark verdict={MARK[said.weight]!} size={15} />
                </span>
                <span>
                  <span className={said.press === now.said[0]!.press ? 'font-semibold' : ''}>
                    {said.text}
                  </span>{' '}
                  {said.press === now.said[0]!.press && said.cure}
                </span>
              </p>
            ))
          )}
        </section>
        <div className="flex flex-wrap gap-2">
          <Button disabled={presses.length === 0} onClick={() => setPresses((old) => old.slice(0, -1))}>
            Take back the last press
          </Button>
          <Button disabled={presses.length === 0} onClick={() => setPresses([])}>
            Begin again
          </Button>
          <Button aria-expanded={helped} onClick={() => setHelped(!helped)}>
            {helped ? 'Hide the paper' : 'Show the paper'}
          </Button>
        </div>
        {helped && (
          <ol className="text-second flex flex-col gap-1">
            {now.paper.steps.map((step, index) => (
              <li key={index} className="flex gap-2">
                <span className="text-soft w-5 shrink-0 text-right font-mono">{index + 1}</span>
                <span>
                  {step.what}
                  <Keys keys={step.keys} />
                  {step.why && <span className="text-soft block">{step.why}</span>}
                </span>
              </li>
            ))}
          </ol>
        )}
        <p className="text-second text-soft">
          On a keyboard: {now.keys.some((key) => key.id === '1') && 'digits, '}
          {now.keys
            .filter((key) => ON_THE_KEYBOARD[key.id])
            .map((key, index) => (
              <span key={key.id}>
                {index > 0 && ', '}
                <kbd>{ON_THE_KEYBOARD[key.id]}</kbd> {key.label}
              </span>
            ))}
          . A key pressed for longer counts as held.
        </p>
      </div>
    </div>
  );
}

function Task({ paper }: { paper: Schemas['PaperEntry'] }) {
  return (
    <section aria-label="The task">
      <h2 className="font-semibold">
        Enter {paper.name} into memory {paper.memory}
      </h2>
      <p className="font-mono">
        hears {paper.hears}, {paper.talks ? `talks on ${paper.talks}` : 'only listens'}
        {paper.sends ? `, sends ${paper.sends}` : ', sends no tone'}
        {paper.opensOn ? `, opens on ${paper.opensOn}` : ', opens on anything'}
      </p>
    </section>
  );
}
