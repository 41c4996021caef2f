import type { Schemas } from '../api/client';

interface Props {
  models: Schemas['ModelView'][];
  find: string;
  chosen: string | null;
  onChoose: (key: string) => void;
}

const SHOWN = ['Certified', 'Talks on', 'Modes', 'Memories', 'Display', 'Tones'];

/** The models, each with what matters most of it. */
export function ModelList({ models, find, chosen, onChoose }: Props) {
  const shown = models.filter((model) =>
    `${model.name} ${model.kind} ${model.note}`.toLowerCase().includes(find.trim().toLowerCase()),
  );
  if (models.length === 0)
    return <p className="text-soft p-5">There is no model yet. Make one from its file, or by hand.</p>;
  return (
    <ul>
      {shown.map((model) => (
        <li key={model.id}>
          <button
            type="button"
            aria-current={String(model.id) === chosen}
            onClick={() => onChoose(String(model.id))}
            className={`border-line w-full border-b px-5 py-2.5 text-left ${String(model.id) === chosen ? 'bg-accent-wash' : 'hover:bg-sheet'}`}
          >
            <span className="flex flex-wrap items-baseline gap-x-3">
              <span className="font-semibold">{model.name}</span>
              <span className="text-soft">{model.kind}</span>
              <span className="text-second text-soft grow text-right">
                {model.units === 1 ? '1 radio' : `${model.units} radios`}
              </span>
            </span>
            <span className="text-second block">{model.note}</span>
            <span className="text-second text-soft flex flex-wrap gap-x-4">
              {model.abilities
                .filter((ability) => SHOWN.includes(ability.what))
                .map((ability) => (
                  <span key={ability.what}>
                    {ability.what.toLowerCase()}: {ability.value}
                  </span>
                ))}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
