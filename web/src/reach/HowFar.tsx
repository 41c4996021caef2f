import { keepPreviousData } from '@tanstack/react-query';
import { useState } from 'react';
import { type Schemas, Server } from '../api/client';
import { SumView } from '../desk/SumView';
import { Field, INPUT, Labelled } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { VerdictMark, verdictText } from '../ui/VerdictMark';
import { CARRIES } from './BasesMap';
import type { Reach } from './knots';

/** Usual ends: how high the antenna is, metres, and what it gains, dBd. Common practice, no source. */
const ENDS = {
  hand: { words: 'Hand-held', metres: '1.5', dbd: '-5' },
  vehicle: { words: 'On a vehicle', metres: '2', dbd: '0' },
  roof: { words: 'On a roof', metres: '10', dbd: '0' },
  hill: { words: 'Mast on a hill', metres: '60', dbd: '3' },
} as const;

type Kind = keyof typeof ENDS;

interface End {
  metres: string;
  dbd: string;
}

/** How far an entry carries over smooth ground: a word, its sum, and what is not known. */
export function HowFar({ reach }: { reach: Reach }) {
  const talking = reach.entries.filter((each) => each.talk.length > 0);
  const [entry, setEntry] = useState(talking[0]?.id ?? 0);
  const [km, setKm] = useState('5');
  const [talks, setTalks] = useState<End>(ENDS.hand);
  const [hears, setHears] = useState<End>(ENDS.hand);
  const [open, setOpen] = useState(false);
  const numbers = [km, talks.metres, talks.dbd, hears.metres, hears.dbd].map(Number);
  const [distance, talksM, talksDbd, hearsM, hearsDbd] = numbers as [number, number, number, number, number];
  const found = Server.useQuery(
    'get',
    '/api/lists/{list}/reach/distance',
    {
      params: {
        path: { list: talking.find((each) => each.id === entry)?.list ?? 0 },
        query: { entry, km: distance, talksM, talksDbd, hearsM, hearsDbd },
      },
    },
    {
      enabled: open && entry > 0 && numbers.every((each) => Number.isFinite(each)) && distance > 0,
      placeholderData: keepPreviousData,
      retry: false,
    },
  );
  if (talking.length === 0) return null;
  return (
    <details
      className="border-line bg-sheet rounded border"
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="min-h-8 cursor-pointer px-3 py-1.5 font-semibold">How far does it carry?</summary>
      <div className="border-line flex flex-col gap-2 border-t px-3 py-2">
        <div className="flex flex-wrap gap-2">
          <Labelled label="Entry" className="grow basis-40">
            <select
              className={INPUT}
              value={entry}
              onChange={(event) => setEntry(Number(event.target.value))}
            >
              {talking.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.number} {each.name}
                </option>
              ))}
            </select>
          </Labelled>
          <Field
            label="Distance"
            unit="km"
            mono
            className="w-24"
            inputMode="decimal"
            value={km}
            onChange={setKm}
          />
        </div>
        <EndFields label="Who talks" end={talks} onEnd={setTalks} />
        <EndFields label="Who hears" end={hears} onEnd={setHears} />
        {found.error && <Notice message={found.error.message} />}
        {found.data && !found.error && <Answer found={found.data} />}
      </div>
    </details>
  );
}

function EndFields({ label, end, onEnd }: { label: string; end: End; onEnd: (end: End) => void }) {
  const kind = (Object.keys(ENDS) as Kind[]).find(
    (each) => ENDS[each].metres === end.metres && ENDS[each].dbd === end.dbd,
  );
  return (
    <fieldset className="flex flex-wrap gap-2">
      <legend className="text-second text-soft">{label}</legend>
      <Labelled label="Antenna" className="grow basis-32">
        <select
          className={INPUT}
          value={kind ?? ''}
          onChange={(event) => onEnd(ENDS[event.target.value as Kind])}
        >
          {!kind && <option value="">as below</option>}
          {(Object.keys(ENDS) as Kind[]).map((each) => (
            <option key={each} value={each}>
              {ENDS[each].words}
            </option>
          ))}
        </select>
      </Labelled>
      <Field
        label="Above ground"
        unit="m"
        mono
        className="w-28"
        inputMode="decimal"
        value={end.metres}
        onChange={(metres) => onEnd({ ...end, metres })}
      />
      <Field
        label="Gain"
        unit="dBd"
        mono
        className="w-20"
        inputMode="decimal"
        value={end.dbd}
        onChange={(dbd) => onEnd({ ...end, dbd })}
      />
    </fieldset>
  );
}

function Answer({ found }: { found: Schemas['Distance'] }) {
  const [verdict, words] = CARRIES[found.word];
  return (
    <div role="status" className="flex flex-col gap-1.5">
      <p className={`flex items-center gap-2 font-semibold ${verdictText[verdict]}`}>
        <VerdictMark verdict={verdict} size={14} />
        {words}
      </p>
      <SumView lines={found.sum} />
      {found.unknown.map((each) => (
        <p key={each} className="text-second text-soft">
          {each}
        </p>
      ))}
    </div>
  );
}
