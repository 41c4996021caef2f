import { useCallback, useEffect, useState } from 'react';
import { type Schemas, type Verdict } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { VerdictMark } from '../ui/VerdictMark';
import { HandHeld } from './HandHeld';
import { Keys } from './Keys';

const MARK: Record<string, Verdict> = { good: 'clear', wrong: 'hold', note: 'query' };

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

interface Props {
  /** Where the learner stands after these presses; nothing while that is worked out for the first time. */
  standing: Schemas['PracticeStanding'] | undefined;
  error: string | undefined;
  presses: string[];
  setPresses: (next: (old: string[]) => string[]) => void;
}

/** A simulated radio with its coach beside it. */
export function Exercise({ standing: now, error, presses, setPresses }: Props) {
  const [helped, setHelped] = useState(false);
  const there = now?.keys ?? NO_KEYS;
  const press = useCallback((key: string) => setPresses((old) => [...old, key]), [setPresses]);
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
  if (error) return <Notice message={error} />;
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
          <Button disabled={presses.length === 0} onClick={() => setPresses(() => [])}>
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
        {paper.opensOn ? `, opens with ${paper.opensOn}` : ', opens with anything'}
      </p>
    </section>
  );
}
