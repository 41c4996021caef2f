import type { Schemas } from '../api/client';
import { VerdictMark } from '../ui/VerdictMark';
import { inside, standing } from './state';

type Unit = Schemas['UnitView'];

interface Props {
  units: Unit[];
  find: string;
  chosen: string | null;
  onChoose: (key: string) => void;
}

/** The radios by model: how each stands, what is in it, who has it. */
export function UnitList({ units, find, chosen, onChoose }: Props) {
  const wanted = find.trim().toLowerCase();
  const shown = units.filter((unit) =>
    [unit.label, unit.serial, unit.modelName, unit.carrier?.name ?? '', unit.owner, inside(unit)].some(
      (text) => text.toLowerCase().includes(wanted),
    ),
  );
  const groups = new Map<string, Unit[]>();
  for (const unit of shown) groups.set(unit.modelName, [...(groups.get(unit.modelName) ?? []), unit]);
  if (units.length === 0)
    return (
      <p className="text-soft max-w-prose p-5">
        There is no radio yet. Make a model first, from its file or by hand; then enter each radio with its
        serial number. Real radios are replaced by simulated ones: each answers on a line of its own, as a
        radio would.
      </p>
    );
  if (shown.length === 0) return <p className="text-soft p-5">No radio matches. Clear the search.</p>;
  return (
    <>
      {[...groups].map(([model, of]) => (
        <section key={model} aria-label={model}>
          <h2 className="bg-paper text-second text-soft border-line sticky top-0 z-10 border-b px-5 py-1 font-semibold">
            {model} <span className="font-mono font-normal">{of.length}</span>
          </h2>
          <ul>
            {of.map((unit) => (
              <Row key={unit.id} unit={unit} on={String(unit.id) === chosen} onChoose={onChoose} />
            ))}
          </ul>
        </section>
      ))}
    </>
  );
}

function Row({ unit, on, onChoose }: { unit: Unit; on: boolean; onChoose: (key: string) => void }) {
  const { verdict, words } = standing(unit);
  return (
    <li>
      <button
        type="button"
        aria-current={on}
        onClick={() => onChoose(String(unit.id))}
        className={`border-line flex w-full items-start gap-3 border-b px-5 py-1.5 text-left ${on ? 'bg-accent-wash' : 'hover:bg-sheet'}`}
      >
        <span className="mt-[3px] w-4 shrink-0">
          {verdict && <VerdictMark verdict={verdict} size={15} />}
        </span>
        <span className="min-w-0 grow">
          <span className="flex items-baseline gap-3">
            <span className="shrink-0 font-semibold">{unit.label}</span>
            <span className="text-soft truncate">{words}</span>
          </span>
          <span className="text-second text-soft flex flex-wrap gap-x-3">
            <span className="font-mono">{unit.serial}</span>
            {unit.lock && <span>set to “{unit.lock}”</span>}
            <span>{unit.load ? `in it: ${inside(unit)}` : ''}</span>
          </span>
        </span>
        <span className="text-second w-40 shrink-0 pt-0.5 text-right max-sm:w-24">
          {unit.carrier ? unit.carrier.name : <span className="text-soft">on the shelf</span>}
        </span>
      </button>
    </li>
  );
}
