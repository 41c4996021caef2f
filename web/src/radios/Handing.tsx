import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { moment } from '../ui/dates';
import { INPUT } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { Ahead } from './Ahead';
import { Section } from './Section';

interface Props {
  group: number;
  unit: Schemas['UnitView'];
  past: Schemas['Custody'][];
}

/** Who has the radio; handing it out and taking it back. */
export function Handing({ group, unit, past }: Props) {
  const caughtUp = useCaughtUp();
  const [party, setParty] = useState('');
  const [note, setNote] = useState('');
  const roster = Server.useQuery('get', '/api/groups/{group}/roster', { params: { path: { group } } });
  const [knowing, setKnowing] = useState(false);
  const prospect = Server.useQuery(
    'get',
    '/api/units/{unit}/hand-out',
    { params: { path: { unit: unit.id }, query: { party: Number(party) } } },
    { enabled: !unit.carrier && party !== '' },
  );
  const ahead = party === '' ? undefined : prospect.data;
  const hand = useMutation({
    mutationFn: () =>
      unit.carrier
        ? data(
            api.POST('/api/units/{unit}/hand-in', {
              params: { path: { unit: unit.id } },
              body: { note },
            }),
          )
        : data(
            api.POST('/api/units/{unit}/hand-out', {
              params: { path: { unit: unit.id } },
              body: { party: Number(party), note, knowing },
            }),
          ),
    onSuccess: async () => {
      setParty('');
      setNote('');
      setKnowing(false);
      await caughtUp();
    },
  });
  const earlier = past.filter((each) => each.inAt !== null);
  return (
    <Section title="Who has it">
      {unit.carrier ? (
        <p>
          <span className="font-semibold">{unit.carrier.name}</span>
          <span className="text-soft">
            {' '}
            since {moment(unit.carrier.outAt)}, from {unit.carrier.outBy}
            {unit.carrier.with && `, with ${unit.carrier.with}`}
            {unit.carrier.note && `: ${unit.carrier.note}`}
          </span>
        </p>
      ) : (
        <p className="text-soft">It is on the shelf.</p>
      )}
      <form
        className="flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          hand.mutate();
        }}
      >
        {!unit.carrier && (
          <select
            aria-label="Hand it to"
            className={`${INPUT} max-w-52`}
            value={party}
            onChange={(event) => setParty(event.target.value)}
          >
            <option value="">Hand it to …</option>
            {roster.data?.parties.map((each) => (
              <option key={each.id} value={each.id}>
                {each.name}
              </option>
            ))}
          </select>
        )}
        <input
          className={`${INPUT} grow basis-32`}
          aria-label={unit.carrier ? 'Note on taking it back' : 'Note on handing it out'}
          placeholder="Note: battery, antenna, what is missing"
          value={note}
          maxLength={500}
          onChange={(event) => setNote(event.target.value)}
        />
        <Button
          type="submit"
          disabled={
            hand.isPending ||
            (!unit.carrier && (!ahead || ahead.refused !== null || (ahead.asks !== null && !knowing)))
          }
        >
          {unit.carrier ? 'Take it back' : 'Hand it out'}
        </Button>
      </form>
      {!unit.carrier && party === '' && <p className="text-second text-soft">First choose who gets it.</p>}
      {ahead && (
        <Ahead
          unit={unit}
          party={party}
          name={roster.data?.parties.find((each) => String(each.id) === party)?.name ?? ''}
          prospect={ahead}
          knowing={knowing}
          onKnowing={setKnowing}
        />
      )}
      {prospect.error && party !== '' && <Notice message={prospect.error.message} />}
      {hand.error && <Notice message={hand.error.message} />}
      {earlier.length > 0 && (
        <details className="text-second">
          <summary className="marker:text-edge hover:text-accent cursor-pointer">
            Who had it before ({earlier.length})
          </summary>
          <ul className="flex flex-col gap-0.5 py-1 pl-4">
            {earlier.map((each) => (
              <li key={each.id}>
                {each.name}: {moment(each.outAt)} to {moment(each.inAt!)}
                {each.with && `, with ${each.with}`}
                {each.inNote && `. ${each.inNote}`}
              </li>
            ))}
          </ul>
        </details>
      )}
    </Section>
  );
}
