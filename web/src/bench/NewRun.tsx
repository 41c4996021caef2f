import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, data, type Schemas } from '../api/client';
import { inside, standing } from '../radios/state';
import { useRadios } from '../radios/useRadios';
import { useLists } from '../lists/useLists';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Notice } from '../ui/Notice';
import { VerdictMark } from '../ui/VerdictMark';
import { callSign, CallSign } from './CallSign';

interface Props {
  group: number;
  list?: string;
  onStarted: (run: number) => void;
}

type Unit = Schemas['UnitView'];

/** Which list goes into which radios, and what would stay out of each, before anything is written. */
export function NewRun({ group, list: given, onStarted }: Props) {
  const queries = useQueryClient();
  const [list, setList] = useState(given ?? '');
  const [units, setUnits] = useState<ReadonlySet<number>>(new Set());
  const [sign, setSign] = useState(callSign());
  const lists = useLists(group);
  const radios = useRadios(group);
  const chosen = [...units];
  const plan = useQuery({
    queryKey: ['bench-plan', list, chosen.join()],
    enabled: list !== '' && chosen.length > 0,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () =>
      data(
        api.GET('/api/lists/{list}/bench-plan', {
          params: { path: { list: Number(list) }, query: { units: chosen } },
        }),
      ),
  });
  const start = useMutation({
    mutationFn: () =>
      data(
        api.POST('/api/lists/{list}/runs', {
          params: { path: { list: Number(list) } },
          body: { release: plan.data!.release, units: chosen, callSign: sign },
        }),
      ),
    onSuccess: async (made) => {
      await queries.invalidateQueries({ queryKey: ['runs'] });
      onStarted(made.id);
    },
    onError: () => queries.invalidateQueries({ queryKey: ['bench-plan'] }),
  });
  const toggle = (ids: number[], on: boolean) => {
    const next = new Set(units);
    ids.forEach((id) => (on ? next.add(id) : next.delete(id)));
    setUnits(next);
  };
  const models = new Map<string, Unit[]>();
  for (const unit of radios.data?.units ?? [])
    models.set(unit.modelName, [...(models.get(unit.modelName) ?? []), unit]);
  const planned = new Map(plan.data?.units.map((unit) => [unit.unit, unit]));
  const blocked = plan.data?.units.filter((unit) => units.has(unit.unit) && unit.blocked !== null) ?? [];
  const current = plan.data && !plan.isPlaceholderData && chosen.length > 0 ? plan.data : undefined;
  return (
    <div className="flex flex-col gap-4 p-5">
      <h2 className="text-title font-semibold">Put a release into radios</h2>
      <p className="max-w-prose">
        Each radio is read first, and what was in it is kept for good. Then the list is written, read back,
        compared entry by entry, and every key is tried into a dummy load. Only what was released goes in;
        what a radio cannot have stays out of it.
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <Choice
          label="The list"
          className="min-w-72"
          value={list}
          options={[
            ['', 'Choose the list'] as const,
            ...(lists.data ?? []).map((each) => [String(each.id), each.name] as const),
          ]}
          onChange={setList}
        />
        <CallSign value={sign} onChange={setSign} />
        <Button
          kind="strong"
          disabled={!current || blocked.length > 0 || sign.trim() === '' || start.isPending}
          onClick={() => start.mutate()}
        >
          {chosen.length === 0
            ? 'Choose the radios below'
            : `Write ${chosen.length === 1 ? 'one radio' : `${chosen.length} radios`}`}
        </Button>
        {current && <span className="text-second pb-1.5">Release {current.number}</span>}
        {sign.trim() === '' && (
          <span className="text-second text-soft pb-1.5">Say with which call sign keys are tried.</span>
        )}
      </div>
      {start.error && <Notice message={start.error.message} />}
      {plan.error && chosen.length > 0 && list !== '' && (
        <Notice message={plan.error.message}>
          <Link
            to={`/lists/${list}/release`}
            className="text-accent whitespace-nowrap underline-offset-2 hover:underline"
          >
            To the gate
          </Link>
        </Notice>
      )}
      {blocked.length > 0 && (
        <Notice message={blocked.map((unit) => `${unit.label}: ${unit.blocked}`).join(' ')}>
          <Button
            onClick={() =>
              toggle(
                blocked.map((unit) => unit.unit),
                false,
              )
            }
          >
            Leave {blocked.length === 1 ? 'it' : 'them'} out
          </Button>
        </Notice>
      )}
      {radios.data?.units.length === 0 && (
        <p className="text-soft">
          There is no radio yet.{' '}
          <Link to="/radios" className="text-accent underline-offset-2 hover:underline">
            Enter the radios
          </Link>{' '}
          first.
        </p>
      )}
      {[...models].map(([model, of]) => {
        const all = of.every((unit) => units.has(unit.id));
        return (
          <div key={model} role="group" aria-label={model} className="border-line bg-sheet rounded border">
            <label className="border-line flex items-center gap-2 border-b px-3 py-1.5 font-semibold">
              <input
                type="checkbox"
                checked={all}
                onChange={(event) =>
                  toggle(
                    of.map((unit) => unit.id),
                    event.target.checked,
                  )
                }
              />
              {model} <span className="text-soft font-mono font-normal">{of.length}</span>
            </label>
            <ul className="divide-line divide-y">
              {of.map((unit) => (
                <li key={unit.id}>
                  <label className="flex items-start gap-2 px-3 py-1">
                    <input
                      type="checkbox"
                      className="mt-1"
                      aria-label={unit.label}
                      checked={units.has(unit.id)}
                      onChange={(event) => toggle([unit.id], event.target.checked)}
                    />
                    <span className="w-32 shrink-0 font-semibold">{unit.label}</span>
                    <span className="text-second text-soft w-44 shrink-0 pt-0.5 max-md:hidden">
                      {unit.lock && `set to “${unit.lock}”`}
                      {unit.inhibited && 'transmitter off'}
                    </span>
                    <Told unit={unit} plan={units.has(unit.id) ? planned.get(unit.id) : undefined} />
                  </label>
                </li>
              ))}
            </ul>
          </div>
        );
      })}
    </div>
  );
}

/** What would happen to a radio that is chosen; what is in one that is not. */
function Told({ unit, plan }: { unit: Unit; plan?: Schemas['PlannedUnit'] }) {
  if (!plan) {
    const { verdict } = standing(unit);
    return (
      <span className="text-second text-soft flex min-w-0 items-center gap-1.5 pt-0.5">
        {verdict === 'hold' && <VerdictMark verdict="hold" size={12} />}
        <span className="truncate">in it: {inside(unit)}</span>
      </span>
    );
  }
  return (
    <span className="text-second min-w-0 pt-0.5">
      <span className="flex items-center gap-1.5">
        <VerdictMark
          verdict={plan.blocked !== null ? 'hold' : plan.leftOut.length > 0 ? 'query' : 'clear'}
          size={12}
        />
        {plan.blocked ??
          `${plan.entries} entries go in${plan.leftOut.length > 0 ? `, ${plan.leftOut.length} stay out:` : ''}`}
      </span>
      {plan.leftOut.slice(0, 3).map((entry, index) => (
        <span key={index} className="text-soft block">
          {entry.number} {entry.name}: {entry.reason}
        </span>
      ))}
      {plan.leftOut.length > 3 && <span className="text-soft block">and {plan.leftOut.length - 3} more</span>}
    </span>
  );
}
