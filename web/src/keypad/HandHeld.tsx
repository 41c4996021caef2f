import { useRef, useState } from 'react';
import type { Schemas } from '../api/client';

interface Props {
  name: string;
  keys: Schemas['KeyName'][];
  screen: Schemas['Screen'];
  onPress: (token: string) => void;
}

const HELD_MS = 600;
const HOW = [
  ['', 'Press'],
  [':long', 'Hold'],
  [':on', 'Switch on with'],
] as const;

/** A radio to practise on: what it shows, or says, and its keys. */
export function HandHeld({ name, keys, screen, onPress }: Props) {
  const [how, setHow] = useState('');
  const blind = screen.says !== '';
  const digits = keys.filter((key) => /^\d$/.test(key.id));
  const others = keys.filter((key) => !/^\d$/.test(key.id));
  const press = (id: string, held: boolean) => {
    onPress(`${id}${/^\d$|^knob$/.test(id) ? '' : how || (held ? ':long' : '')}`);
    setHow('');
  };
  return (
    <section
      aria-label={`Simulated ${name}`}
      className="border-edge bg-sunk flex w-80 shrink-0 flex-col gap-3 rounded-xl border-2 p-4"
    >
      <div className="flex items-baseline justify-between">
        <span className="font-semibold">{name}</span>
        <span className="text-second text-soft">simulated</span>
      </div>
      {blind ? <Voice screen={screen} /> : <Display screen={screen} />}
      <div role="radiogroup" aria-label="How a key is pressed" className="text-second flex gap-1">
        {HOW.filter(([id]) => id !== ':on' || blind).map(([id, label]) => (
          <button
            key={id}
            type="button"
            role="radio"
            aria-checked={how === id}
            onClick={() => setHow(id)}
            className={`min-h-7 grow rounded border px-2 ${how === id ? 'border-accent bg-accent-wash text-accent' : 'border-edge'}`}
          >
            {label}
          </button>
        ))}
      </div>
      <div className="grid grid-cols-3 gap-1.5">
        {others.map((key) => (
          <Key
            key={key.id}
            label={key.id === 'knob' ? `turn ${key.label}` : key.label}
            onPress={(held) => press(key.id, held)}
          />
        ))}
      </div>
      {digits.length > 0 && (
        <div className="border-line grid grid-cols-5 gap-1.5 border-t pt-3">
          {digits.map((key) => (
            <Key key={key.id} label={key.label} onPress={(held) => press(key.id, held)} />
          ))}
        </div>
      )}
    </section>
  );
}

/** A key that can be held: so long on the key is a long press. */
function Key({ label, onPress }: { label: string; onPress: (held: boolean) => void }) {
  const since = useRef<number | undefined>(undefined);
  return (
    <button
      type="button"
      onPointerDown={(event) => (since.current = event.timeStamp)}
      onClick={(event) => {
        const held = since.current !== undefined && event.timeStamp - since.current >= HELD_MS;
        since.current = undefined;
        onPress(held);
      }}
      className="border-edge bg-sheet hover:border-accent active:bg-accent-wash min-h-10 rounded border px-1 font-mono leading-4 break-words"
    >
      {label}
    </button>
  );
}

function Display({ screen }: { screen: Schemas['Screen'] }) {
  return (
    <div
      role="status"
      aria-label="Its display"
      className="border-edge bg-sheet flex h-36 flex-col gap-1 rounded border-2 px-3 py-2 font-mono"
    >
      <span className="text-[24px] leading-8">{screen.main}</span>
      <span className="text-soft text-[12px] leading-4">{screen.marks}</span>
      {screen.other && (
        <span className="text-soft text-[12px] leading-4">
          {screen.storing ? 'first watch' : 'second watch'}
          {screen.watching
            ? `; ${screen.storing ? 'second' : 'first'} on ${screen.other}`
            : '; the other off'}
        </span>
      )}
      <span className="bg-accent-wash text-accent mt-auto min-h-7 rounded px-1.5 leading-7 break-words">
        {screen.menu || ' '}
      </span>
    </div>
  );
}

const LIGHTS: Record<string, string> = {
  red: '#c0392b',
  orange: '#d97706',
  yellow: '#ca8a04',
  green: '#2e8b57',
  blue: '#2f6fb5',
  violet: '#7c4dab',
  white: '#f5f5f0',
};

function Voice({ screen }: { screen: Schemas['Screen'] }) {
  return (
    <div
      role="status"
      aria-label="What it says"
      className="border-edge bg-sheet flex h-28 flex-col justify-center gap-2 rounded border-2 px-4"
    >
      <span className="text-[20px]">“{screen.says}”</span>
      <span className="text-second flex items-center gap-2">
        <span
          aria-hidden="true"
          className="border-edge inline-block size-3.5 rounded-full border"
          style={{ background: LIGHTS[screen.light] ?? 'transparent' }}
        />
        {screen.light ? `the light is ${screen.light}` : 'no light'}
      </span>
    </div>
  );
}
