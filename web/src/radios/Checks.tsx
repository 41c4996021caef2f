import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { callSign, CallSign } from '../bench/CallSign';
import { Button } from '../ui/Button';
import { moment } from '../ui/dates';
import { INPUT } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { VerdictMark } from '../ui/VerdictMark';
import { Section } from './Section';

interface Props {
  unit: Schemas['UnitView'];
  units: Schemas['UnitView'][];
  checks: Schemas['AirCheck'][];
}

const KIND: Record<Schemas['AirCheck']['kind'], string> = {
  pair: 'With',
  repeater: 'Repeaters',
  inhibit: 'Keys nowhere',
  key: 'Keyed',
  lock: 'Key lock',
  limits: 'Outside its limits',
};

/** Checks on the air: a pair of radios, repeaters, and a radio that must not key. */
export function Checks({ unit, units, checks }: Props) {
  const caughtUp = useCaughtUp();
  const [other, setOther] = useState('');
  const [sign, setSign] = useState(callSign());
  const check = useMutation({
    mutationFn: (kind: string) => {
      const path = { unit: unit.id };
      const body = { callSign: sign };
      return data<Schemas['AirCheck']>(
        kind === 'pair'
          ? api.POST('/api/units/{unit}/pair-check', {
              params: { path },
              body: { ...body, other: Number(other) },
            })
          : kind === 'repeater'
            ? api.POST('/api/units/{unit}/repeater-check', { params: { path }, body })
            : api.POST('/api/units/{unit}/inhibit-check', { params: { path }, body }),
      );
    },
    onSuccess: caughtUp,
  });
  const none = sign.trim() === '' || check.isPending;
  return (
    <Section title="On the air">
      <p className="text-second text-soft">
        Antenna or dummy load on before any key. Listen first, identify, and keep to the licence of whoever
        keys.
      </p>
      <div className="flex flex-wrap items-end gap-2">
        <CallSign value={sign} onChange={setSign} />
        {unit.inhibited ? (
          <Button disabled={none} onClick={() => check.mutate('inhibit')}>
            Try that it keys nowhere
          </Button>
        ) : (
          <>
            <Button disabled={none} onClick={() => check.mutate('repeater')}>
              Try its repeaters
            </Button>
            <span className="inline-flex items-center gap-1.5">
              <select
                aria-label="The other radio"
                className={INPUT}
                value={other}
                onChange={(event) => setOther(event.target.value)}
              >
                <option value="">With another radio …</option>
                {units
                  .filter((each) => each.id !== unit.id)
                  .map((each) => (
                    <option key={each.id} value={each.id}>
                      {each.label}
                    </option>
                  ))}
              </select>
              <Button disabled={none || other === ''} onClick={() => check.mutate('pair')}>
                Try the pair
              </Button>
            </span>
          </>
        )}
      </div>
      {check.isPending && <p className="text-soft">Trying …</p>}
      {check.error && <Notice message={check.error.message} />}
      <ul className="text-second flex flex-col gap-1">
        {checks.map((each, index) => (
          <li key={each.id}>
            <details open={index === 0 && check.data?.id === each.id}>
              <summary className="marker:text-edge hover:text-accent cursor-pointer">
                <span className="inline-flex translate-y-[2px] pr-1.5">
                  <VerdictMark verdict={each.good ? 'clear' : 'hold'} size={12} />
                </span>
                {[KIND[each.kind], each.other].filter(Boolean).join(' ')}: {each.byHand && 'by hand, '}
                {each.lines.length === 0
                  ? 'as it should be'
                  : `${each.lines.filter((line) => line.good).length} of ${each.lines.length} as they should be`}
                <span className="text-soft">
                  , {moment(each.at)}, {each.by}
                </span>
              </summary>
              <ul className="py-1 pl-5">
                {each.lines.map((line, place) => (
                  <li key={place} className="flex items-baseline gap-2">
                    <span className="translate-y-[2px]">
                      <VerdictMark verdict={line.good ? 'clear' : 'hold'} size={11} />
                    </span>
                    <span className="text-soft w-8 text-right font-mono">{line.memory || ''}</span>
                    <span className="w-20 shrink-0 font-semibold">{line.name}</span>
                    <span>{line.said}</span>
                  </li>
                ))}
              </ul>
            </details>
          </li>
        ))}
      </ul>
    </Section>
  );
}
