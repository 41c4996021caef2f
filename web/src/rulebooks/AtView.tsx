import { keepPreviousData } from '@tanstack/react-query';
import { useState } from 'react';
import { useAddress } from '../ui/useAddress';
import { Server, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { VerdictMark } from '../ui/VerdictMark';
import { Megahertz } from '../ui/Megahertz';
import { Notice } from '../ui/Notice';
import { Spectrum } from '../spectrum/Spectrum';

const EXAMPLES: Record<string, string[]> = {
  us: ['468.950', '146.940', '462.5625', '14.250', '121.500'],
  uk: ['145.500', '433.500', '446.00625', '431.500', '121.500'],
  au: ['146.500', '439.000', '476.525', '477.000', '121.500'],
};

/** What is at a frequency: whose it is, who may transmit on what terms, what it is the pair of. */
export function AtView({ group, rulebook }: { group?: number; rulebook: string }) {
  const [params, setParams] = useAddress();
  const mhz = params.get('mhz') ?? '';
  const [typed, setTyped] = useState(mhz);
  const at = Server.useQuery(
    'get',
    '/api/rulebook/at',
    { params: { query: { mhz, group, rulebook } } },
    { enabled: mhz !== '', placeholderData: keepPreviousData },
  );
  const own = Server.useQuery(
    'get',
    '/api/groups/{group}/own',
    { params: { path: { group: group ?? 0 }, query: { mhz } } },
    { enabled: group !== undefined && mhz !== '', retry: false },
  );
  const look = (text: string) => {
    setTyped(text);
    setParams({ view: 'at', mhz: text, ...(params.get('of') ? { of: rulebook } : {}) }, { replace: true });
  };
  return (
    <div className="flex flex-col gap-4">
      <form
        className="flex flex-wrap items-center gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          look(typed.trim());
        }}
      >
        <label className="text-title font-semibold" htmlFor="frequency">
          What is at
        </label>
        <input
          id="frequency"
          className={`${INPUT} w-40 font-mono text-[18px]`}
          value={typed}
          autoFocus
          placeholder="468.950"
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button type="submit" kind="strong" className="px-4 py-1.5" disabled={typed.trim() === ''}>
          Look
        </Button>
        <span className="text-soft max-sm:basis-full">MHz, or a channel such as GMRS 18; or</span>
        {(EXAMPLES[rulebook] ?? []).map((each) => (
          <button
            key={each}
            type="button"
            className="text-accent min-h-6 px-1 font-mono underline-offset-2 hover:underline"
            onClick={() => look(each)}
          >
            {each}
          </button>
        ))}
      </form>
      <Spectrum group={group} rulebook={rulebook} onLook={look} />
      {at.error && <Notice message={at.error.message} />}
      {own.data?.may && at.data && !at.error && <OwnAnswer own={own.data} />}
      {at.data && mhz !== '' && !at.error && <Facts at={at.data} onAsk={look} />}
    </div>
  );
}

/** What whoever asks may do there themselves. */
function OwnAnswer({ own }: { own: Schemas['Own'] }) {
  const { may, modes, words, source } = own.may!;
  return (
    <p
      role="status"
      className={`border-line bg-sheet flex items-start gap-2 rounded border border-l-[3px] px-4 py-2 ${may ? 'border-l-clear' : 'border-l-hold'}`}
    >
      <span className="mt-[3px]">
        <VerdictMark verdict={may ? 'clear' : 'hold'} size={16} />
      </span>
      <span>
        <span className="font-semibold">
          {may ? `You may transmit here, ${own.name}: ` : `You may not transmit here, ${own.name}. `}
        </span>
        {may ? `${modes.join(', ')}. ${words}.` : words} <Source text={source} />
        {may && ' How much power, and what else holds, stands below.'}
      </span>
    </p>
  );
}

function Facts({ at, onAsk }: { at: Schemas['At']; onAsk: (mhz: string) => void }) {
  return (
    <div className="flex flex-col gap-5">
      <section>
        <h2 className="text-[28px] leading-tight">
          <Megahertz hertz={at.hertz} /> <span className="text-soft text-title">MHz</span>
        </h2>
        {at.whose && (
          <p className="pt-1">
            {sentence(at.whose.words)}: {at.whose.say}. <Source text={at.whose.source} />
          </p>
        )}
        {at.names.length > 0 && <p className="text-soft">Also called {at.names.join(', ')}.</p>}
      </section>
      {at.partners.length > 0 && (
        <section>
          <h3 className="text-second text-soft">Its pair</h3>
          <ul>
            {at.partners.map((partner) => (
              <li key={partner.words}>
                {sentence(partner.words)}.{' '}
                <button
                  type="button"
                  className="text-accent underline-offset-2 hover:underline"
                  onClick={() => onAsk((partner.hertz / 1_000_000).toFixed(6).replace(/0{1,3}$/, ''))}
                >
                  Look there
                </button>{' '}
                <Source text={partner.source} />
              </li>
            ))}
          </ul>
        </section>
      )}
      {at.services.length === 0 && (
        <p className="border-line border-l-hold bg-sheet rounded border border-l-[3px] px-4 py-2">
          No service of this rulebook that a club, a family or a firm could use transmits here. Listen only.
        </p>
      )}
      {at.services.map((service) => (
        <section key={service.id} className="flex flex-col gap-1">
          <h3 className="font-semibold">
            {service.title}
            {service.place !== service.title && (
              <span className="text-soft font-normal"> · {service.place}</span>
            )}
          </h3>
          {service.terms.length > 0 && (
            <table className="w-full text-left">
              <thead className="text-second text-soft">
                <tr>
                  <th className="w-1/4 font-normal">Who may transmit</th>
                  <th className="font-normal">What</th>
                  <th className="w-40 font-normal">Power at most</th>
                  <th className="w-32 font-normal">Width at most</th>
                  <th className="w-56 font-normal">Source</th>
                </tr>
              </thead>
              <tbody>
                {service.terms.map((term) => (
                  <tr key={term.who + term.what} className="border-line border-t align-top">
                    <td className="py-1 pr-3 font-semibold">{term.who}</td>
                    <td className="py-1 pr-3">{term.what}</td>
                    <td className="py-1 pr-3">{term.power || '–'}</td>
                    <td className="py-1 pr-3">{term.width || '–'}</td>
                    <td className="text-second text-soft py-1">{term.source}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {service.notes.map((note) => (
            <p key={note.words}>
              {note.words} <Source text={note.source} />
            </p>
          ))}
        </section>
      ))}
      {at.plan.length > 0 && (
        <section>
          <h3 className="text-second text-soft">The band plan</h3>
          <ul>
            {at.plan.map((row) => (
              <li key={row.where + row.words}>
                {row.where}: {row.words}.{' '}
                {row.local && <span className="text-accent font-semibold">The group’s own row.</span>}{' '}
                <Source text={row.source} />
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function Source({ text }: { text: string }) {
  return <span className="text-second text-soft">{text}</span>;
}
