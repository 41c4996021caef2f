import { useState } from 'react';
import { Server } from '../api/client';
import { INPUT } from '../ui/Field';
import { Notice } from '../ui/Notice';

/** CTCSS tones with their consumer code numbers, and DCS codes with the codes they sound like when inverted. */
export function TonesView() {
  const [find, setFind] = useState('');
  const tones = Server.useQuery('get', '/api/rulebook/tones', {}, { staleTime: Infinity });
  if (tones.error) return <Notice message={tones.error.message} />;
  if (!tones.data) return null;
  const wanted = find.trim().replace(/^D/i, '');
  const hit = (...texts: (string | number | null)[]) =>
    wanted !== '' && texts.some((text) => String(text ?? '') === wanted);
  return (
    <div className="flex flex-col gap-5">
      <input
        type="search"
        className={`${INPUT} w-64`}
        aria-label="Find a tone or code"
        placeholder="Find: 141.3, code 27, 023"
        value={find}
        onChange={(event) => setFind(event.target.value.replace(/^code\s*/i, ''))}
      />
      <section>
        <h2 className="text-title font-semibold">CTCSS</h2>
        <p className="text-soft pb-2">
          Hertz, and the consumer code number that stands for it on personal radios.{' '}
          {tones.data.factoryDefault} is the factory default. A tone keeps nothing private: anyone with an
          open receiver hears all.
        </p>
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(8.5rem,1fr))] gap-px">
          {tones.data.ctcss.map((tone) => (
            <li
              key={tone.hertz}
              className={`border-line flex items-baseline justify-between gap-2 rounded border px-2 py-1 ${hit(tone.hertz, tone.code) ? 'bg-accent text-on-accent' : 'bg-sheet'}`}
            >
              <span className="font-mono">{tone.hertz}</span>
              <span className={hit(tone.hertz, tone.code) ? '' : 'text-soft'}>
                {tone.code === null ? 'no code' : `code ${tone.code}`}
              </span>
            </li>
          ))}
        </ul>
      </section>
      <section>
        <h2 className="text-title font-semibold">DCS</h2>
        <p className="text-soft max-w-prose pb-2">
          A code sent with inverted polarity sounds like another code: 023 inverted opens a receiver set to
          047. The partner is worked out from the code word, not looked up. Numbers for DCS on personal radios
          differ by maker.
        </p>
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(8.5rem,1fr))] gap-px">
          {tones.data.dcs.map((code) => (
            <li
              key={code.code}
              className={`border-line flex items-baseline justify-between gap-2 rounded border px-2 py-1 ${hit(code.code, code.partner) ? 'bg-accent text-on-accent' : 'bg-sheet'}`}
            >
              <span className="font-mono">{code.code}</span>
              <span className={hit(code.code, code.partner) ? '' : 'text-soft'}>
                {code.partner ? (
                  <>
                    inv. <span className="font-mono">{code.partner}</span>
                  </>
                ) : (
                  'no partner'
                )}
              </span>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
