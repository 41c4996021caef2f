import type { Schemas } from '../api/client';
import { VerdictMark, verdictEdge } from '../ui/VerdictMark';
import { standing } from './state';

type Unit = Schemas['UnitView'];

interface Props {
  units: Unit[];
  onChoose: (unit: string) => void;
}

/** What the radios ask of their keeper while none is chosen: what must not go out, what is worth a look, and what is in the rest. */
export function RadiosDue({ units, onChoose }: Props) {
  const all = units.map((unit) => ({ unit, ...standing(unit) }));
  const bad = all.filter((each) => each.verdict === 'hold');
  const odd = all.filter((each) => each.verdict === 'query' || behind(each.unit));
  const empty = all.filter((each) => !each.unit.load && !bad.includes(each) && !odd.includes(each));
  const good = all.filter((each) => each.unit.load && !bad.includes(each) && !odd.includes(each));
  const handed = units.filter((unit) => unit.carrier).length;
  if (units.length === 0)
    return (
      <p className="text-soft p-5">
        There is no radio yet. “New radio” adds one: its model, its label, who has it.
      </p>
    );
  return (
    <div className="flex flex-col gap-5 p-5">
      <p>
        {handed} of {units.length} {units.length === 1 ? 'radio is' : 'radios are'} handed out;{' '}
        {good.length === 0 ? 'none has' : good.length === 1 ? 'one has' : `${good.length} have`} the release
        in use in it and nothing against it.
      </p>
      <Part title="Not to go out" of={bad} onChoose={onChoose} />
      <Part title="Worth a look" of={odd} onChoose={onChoose} />
      {empty.length > 0 && (
        <section>
          <h2 className="text-second text-soft pb-1 font-semibold">Nothing written yet</h2>
          <p className="flex flex-wrap gap-x-4 gap-y-1">
            {empty.map(({ unit }) => (
              <button
                key={unit.id}
                type="button"
                className="text-accent min-h-6 underline-offset-2 hover:underline"
                onClick={() => onChoose(String(unit.id))}
              >
                {unit.label}
              </button>
            ))}
          </p>
        </section>
      )}
    </div>
  );
}

const behind = ({ load }: Unit) => load?.recalled || (load?.newest ?? 0) > (load?.number ?? 0);

function Part({
  title,
  of,
  onChoose,
}: {
  title: string;
  of: { unit: Unit; verdict: Schemas['Verdict'] | ''; words: string }[];
  onChoose: (unit: string) => void;
}) {
  if (of.length === 0) return null;
  return (
    <section>
      <h2 className="text-second text-soft pb-1 font-semibold">{title}</h2>
      <ul className="border-line bg-sheet divide-line divide-y rounded border">
        {of.map(({ unit, verdict, words }) => (
          <li key={unit.id}>
            <button
              type="button"
              className={`hover:bg-accent-wash flex w-full items-start gap-2.5 border-l-[3px] px-3 py-1.5 text-left ${verdictEdge[verdict === 'hold' ? 'hold' : 'query']}`}
              onClick={() => onChoose(String(unit.id))}
            >
              <span className="pt-1">
                <VerdictMark verdict={verdict === 'hold' ? 'hold' : 'query'} size={13} />
              </span>
              <span>
                <span className="font-semibold">{unit.label}</span>{' '}
                <span className="text-soft">{unit.carrier ? `with ${unit.carrier.name}. ` : ''}</span>
                {behind(unit) && verdict !== 'hold' ? 'Has an older release than the one in use.' : words}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
