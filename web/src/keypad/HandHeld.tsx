import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';

interface Props {
  name: string;
  keys: Schemas['KeyNames'];
  screen: Schemas['Screen'];
  onPress: (key: string) => void;
}

/** A hand-held with its two displays and its keys. */
export function HandHeld({ name, keys, screen, onPress }: Props) {
  const key = (id: string, label: ReactNode, words?: string) => (
    <button
      key={id}
      type="button"
      aria-label={words}
      onClick={() => onPress(id)}
      className="border-edge bg-sheet hover:border-accent active:bg-accent-wash min-h-10 rounded border font-mono"
    >
      {label}
    </button>
  );
  return (
    <section
      aria-label={`Simulated ${name}`}
      className="border-edge bg-sunk flex w-72 shrink-0 flex-col gap-3 rounded-xl border-2 p-4"
    >
      <div className="flex items-baseline justify-between">
        <span className="font-semibold">{name}</span>
        <span className="text-second text-soft">simulated</span>
      </div>
      <div
        role="status"
        aria-label="Its display"
        className="border-edge bg-sheet flex h-40 flex-col rounded border-2 px-3 py-2 font-mono"
      >
        <Line text={screen.upper} marked={screen.upperMarked} />
        <Line text={screen.lower} marked={!screen.upperMarked} />
        <span className="text-soft text-[12px] leading-4">
          {screen.marks}
          {screen.watching && ' · watch 2'}
        </span>
        <span className="bg-accent-wash text-accent mt-auto h-7 truncate rounded px-1.5 leading-7">
          {screen.menu || ' '}
        </span>
      </div>
      <div className="grid grid-cols-3 gap-1.5">
        {key('set', keys.set)}
        {key('up', keys.up, 'Up')}
        {key('keep', keys.keep)}
        {key('direct', keys.direct)}
        {key('down', keys.down, 'Down')}
        {key('back', keys.back)}
        {['1', '2', '3', '4', '5', '6', '7', '8', '9'].map((digit) => key(digit, digit))}
        {key('side', keys.side)}
        {key('0', '0')}
      </div>
    </section>
  );
}

function Line({ text, marked }: { text: string; marked: boolean }) {
  return (
    <span className="flex items-baseline gap-2 text-[22px] leading-8">
      <span aria-hidden="true" className="text-accent w-3 text-[14px]">
        {marked ? '▸' : ''}
      </span>
      <span className={marked ? '' : 'text-soft'}>
        {text}
        {marked && <span className="sr-only"> (marked)</span>}
      </span>
    </span>
  );
}
