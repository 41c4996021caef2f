import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Notice } from '../ui/Notice';

type Kind = Schemas['TriedByHand']['kind'];

/** What can be tried on a real radio, and what it should do. */
const KINDS: Record<Exclude<Kind, 'inhibit'>, { title: string; good: string; bad: string }> = {
  key: { title: 'Its key, on an entry', good: 'Somebody heard it', bad: 'Nobody heard it' },
  repeater: { title: 'A repeater', good: 'It answered', bad: 'It did not answer' },
  pair: { title: 'A pair with another radio', good: 'Both hear each other', bad: 'Not both ways' },
  lock: { title: 'The lock of its keys', good: 'It holds', bad: 'It does not hold' },
  limits: { title: 'Outside its limits', good: 'It stayed silent', bad: 'It keyed' },
};

interface Props {
  unit: Schemas['UnitView'];
  units: Schemas['UnitView'][];
  entries: Schemas['ShouldEntry'][];
}

/** Keys, repeaters, pairs, locks and limits, tried on the real radio and ticked. */
export function Tried({ unit, units, entries }: Props) {
  const caughtUp = useCaughtUp();
  const [kind, setKind] = useState<keyof typeof KINDS>('key');
  const [memory, setMemory] = useState('');
  const [other, setOther] = useState('');
  const [note, setNote] = useState('');
  const onEntry = kind === 'key' || kind === 'repeater' || kind === 'pair';
  const able = entries.filter(
    (each) => each.talks !== '' && (kind !== 'repeater' || each.talks !== each.hears),
  );
  const entry = able.find((each) => each.memory === memory) ?? able[0];
  const tick = useMutation({
    mutationFn: (good: boolean) =>
      data(
        api.POST('/api/units/{unit}/ticks', {
          params: { path: { unit: unit.id } },
          body: {
            kind,
            other: kind === 'pair' && other !== '' ? Number(other) : null,
            memory: onEntry ? Number(entry?.memory ?? 0) : 0,
            name: onEntry ? (entry?.name ?? '') : '',
            good,
            note: note || KINDS[kind][good ? 'good' : 'bad'],
          },
        }),
      ),
    onSuccess: async () => {
      setNote('');
      await caughtUp();
    },
  });
  const cannot = tick.isPending || (onEntry && entry === undefined) || (kind === 'pair' && other === '');
  return (
    <section aria-label="Tried on the air" className="border-line flex flex-col gap-2 border-t pt-3">
      <h2 className="font-semibold">Tried</h2>
      <Choice
        label="What"
        value={kind}
        options={Object.entries(KINDS).map(([id, each]) => [id, each.title] as const)}
        onChange={(next) => setKind(next as typeof kind)}
      />
      {onEntry && (
        <Choice
          label="On"
          value={entry?.memory ?? ''}
          options={able.map((each) => [each.memory, `${each.memory} ${each.name}`] as const)}
          onChange={setMemory}
        />
      )}
      {kind === 'pair' && (
        <Choice
          label="With"
          value={other}
          options={[
            ['', 'choose the other radio'],
            ...units
              .filter((each) => each.id !== unit.id)
              .map((each) => [String(each.id), each.label] as const),
          ]}
          onChange={setOther}
        />
      )}
      <Field label="Note" value={note} onChange={setNote} />
      <div className="grid grid-cols-2 gap-2">
        <Button disabled={cannot} onClick={() => tick.mutate(true)}>
          {KINDS[kind].good}
        </Button>
        <Button disabled={cannot} onClick={() => tick.mutate(false)}>
          {KINDS[kind].bad}
        </Button>
      </div>
      {tick.error && <Notice message={tick.error.message} />}
      {tick.isSuccess && (
        <p role="status" className="text-second text-soft">
          Noted.
        </p>
      )}
    </section>
  );
}
