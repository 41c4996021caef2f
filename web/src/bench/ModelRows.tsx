import type { Schemas } from '../api/client';
import { inside } from '../radios/state';
import { INPUT } from '../ui/Field';
import { VerdictMark } from '../ui/VerdictMark';
import { kept, order, trouble, type Order, type Orders } from './orders';
import { PlannedRow } from './PlannedRow';

type Unit = Schemas['UnitView'];

interface Props {
  model: string;
  units: Unit[];
  orders: Orders;
  planned: ReadonlyMap<number, Schemas['PlannedUnit']>;
  parties: Schemas['Party'][];
  onPut: (orders: Order[]) => void;
  onLeave: (units: number[]) => void;
}

/** The radios of a model: which of them go into the run, for whom, and with what. */
export function ModelRows({ model, units, orders, planned, parties, onPut, onLeave }: Props) {
  const free = units.filter((unit) => kept(unit) === undefined);
  const all = free.length > 0 && free.every((unit) => orders[unit.id]);
  return (
    <div role="group" aria-label={model} className="border-line bg-sheet rounded border">
      <label className="border-line flex items-center gap-2 border-b px-3 py-1.5 font-semibold">
        <input
          type="checkbox"
          checked={all}
          disabled={free.length === 0}
          onChange={(event) =>
            event.target.checked
              ? onPut(free.map((unit) => orders[unit.id] ?? order(unit.id)))
              : onLeave(units.map((unit) => unit.id))
          }
        />
        {model} <span className="text-soft font-mono font-normal">{free.length}</span>
        {free.length < units.length && (
          <span className="text-second text-soft font-normal">
            and {units.length - free.length} that cannot be written now
          </span>
        )}
      </label>
      <ul className="divide-line divide-y">
        {units.map((unit) => (
          <li key={unit.id} className="flex flex-wrap items-start gap-x-2 gap-y-1 px-3 py-1">
            <label className="flex shrink-0 items-start gap-2">
              <input
                type="checkbox"
                className="mt-1"
                aria-label={unit.label}
                checked={orders[unit.id] !== undefined}
                disabled={kept(unit) !== undefined && orders[unit.id] === undefined}
                onChange={(event) => (event.target.checked ? onPut([order(unit.id)]) : onLeave([unit.id]))}
              />
              <span className="w-32 shrink-0 font-semibold">{unit.label}</span>
            </label>
            <span className="text-second w-52 shrink-0 pt-0.5 max-md:w-full max-md:pl-6">
              <Whom unit={unit} given={orders[unit.id]} parties={parties} onPut={onPut} />
              <span className="text-soft block">
                {unit.lock && `set to “${unit.lock}”`}
                {unit.inhibited && 'transmitter off'}
              </span>
            </span>
            <span className="text-second min-w-0 grow basis-80 pt-0.5 max-md:pl-6">
              {orders[unit.id] && planned.get(unit.id) ? (
                <PlannedRow plan={planned.get(unit.id)!} onPut={onPut} onLeave={onLeave} />
              ) : (
                <Idle unit={unit} />
              )}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Who has the radio; for one on the shelf that is chosen, for whom it is written. */
function Whom({
  unit,
  given,
  parties,
  onPut,
}: {
  unit: Unit;
  given?: Order;
  parties: Schemas['Party'][];
  onPut: (orders: Order[]) => void;
}) {
  if (unit.carrier) return <span>with {unit.carrier.name}</span>;
  if (!given) return <span className="text-soft">on the shelf</span>;
  return (
    <select
      aria-label={`For whom is ${unit.label}`}
      className={`${INPUT} w-full`}
      value={given.party ?? ''}
      onChange={(event) =>
        onPut([{ ...order(unit.id), party: event.target.value === '' ? null : Number(event.target.value) }])
      }
    >
      <option value="">for nobody yet</option>
      {parties.map((each) => (
        <option key={each.id} value={each.id}>
          for {each.name}
        </option>
      ))}
    </select>
  );
}

/** A radio that is not chosen: why it cannot be, what is wrong with it, and what is in it. */
function Idle({ unit }: { unit: Unit }) {
  const wrong = kept(unit) ?? trouble(unit);
  return (
    <>
      {wrong && (
        <span className="flex items-start gap-1.5">
          <span className="mt-[3px]">
            <VerdictMark
              verdict={unit.bench === 'running' || unit.bench === 'waiting' ? 'query' : 'hold'}
              size={12}
            />
          </span>
          <span>{wrong}</span>
        </span>
      )}
      <span className="text-soft block">in it: {inside(unit)}</span>
    </>
  );
}
