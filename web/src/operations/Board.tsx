import { SideScroll } from '../ui/SideScroll';
import { VerdictMark } from '../ui/VerdictMark';
import { type Form, found, hours, lane, marks, type Sheet, type Trouble } from './plan';

interface Props {
  form: Form;
  sheet: Sheet;
  chosen?: number;
  onChoose: (watch: number) => void;
}

const LABEL = 'w-52 shrink-0 max-sm:w-36';

/** Who is on what, when: a line of hours for each watch, with its entry on it and what it falls back on. */
export function Board({ form, sheet, chosen, onChoose }: Props) {
  const scale = marks(form);
  return (
    <SideScroll label="Who is on what, when" className="border-line bg-sheet rounded border">
      <div className="min-w-[640px]">
        <div className="text-second text-soft border-line flex border-b" aria-hidden="true">
          <span className={`${LABEL} px-3 py-1`}>Who</span>
          <span className="relative mr-3 h-7 grow">
            {scale.map((mark) => (
              <span
                key={mark.at}
                className={`absolute top-1 whitespace-nowrap ${mark.day ? 'text-ink font-semibold' : ''}`}
                style={{ left: `${mark.at * 100}%` }}
              >
                {mark.words}
              </span>
            ))}
          </span>
        </div>
        <ul>
          {form.watches.map((watch, i) => {
            const seen = sheet.watches[i];
            const troubles = sheet.troubles.filter((each) => each.watch === i);
            return (
              // Rows have no keys of their own; they are changed in place.
              <li key={i} className="border-line border-b last:border-0">
                <button
                  type="button"
                  aria-pressed={chosen === i}
                  onClick={() => onChoose(i)}
                  className={`flex w-full items-stretch text-left ${chosen === i ? 'bg-accent-wash' : 'hover:bg-sunk'}`}
                >
                  <span className={`${LABEL} flex min-w-0 items-start gap-1.5 px-3 py-1.5`}>
                    <Mark troubles={troubles} />
                    <span className="min-w-0">
                      <span className="block truncate font-semibold">{seen?.name ?? ''}</span>
                      <span className="text-second text-soft block truncate">
                        {watch.task || people(seen?.people ?? [])}
                      </span>
                    </span>
                  </span>
                  <span className="relative mr-3 min-h-13 grow">
                    {scale.map((mark) => (
                      <span
                        key={mark.at}
                        aria-hidden="true"
                        className={`absolute inset-y-0 border-l ${mark.day ? 'border-edge' : 'border-line'}`}
                        style={{ left: `${mark.at * 100}%` }}
                      />
                    ))}
                    <Bar form={form} sheet={sheet} at={i} troubles={troubles} />
                  </span>
                </button>
              </li>
            );
          })}
          {form.watches.length === 0 && (
            <li className="text-soft px-3 py-2">
              Nobody is on it yet. Add a team or a person: who is on which entry, and from when to when.
            </li>
          )}
        </ul>
      </div>
    </SideScroll>
  );
}

function people(names: string[]) {
  return names.length === 1 ? names[0] : `${names.length} people`;
}

function Mark({ troubles }: { troubles: Trouble[] }) {
  const verdict = troubles.some((each) => each.fails) ? 'hold' : troubles.length > 0 ? 'query' : 'clear';
  const words = { hold: 'does not work', query: 'to be settled', clear: 'works' }[verdict];
  return (
    <span className="pt-1">
      <VerdictMark verdict={verdict} size={14} />
      <span className="sr-only">{words}: </span>
    </span>
  );
}

function Bar({
  form,
  sheet,
  at,
  troubles,
}: Pick<Props, 'form' | 'sheet'> & { at: number; troubles: Trouble[] }) {
  const watch = form.watches[at]!;
  const place = lane(form, watch);
  if (!place) return null;
  const talk = found(sheet, watch.talk);
  const fallback = found(sheet, watch.fallback);
  const look = troubles.some((each) => each.fails)
    ? 'border-l-hold'
    : troubles.length > 0
      ? 'border-l-query'
      : 'border-l-clear';
  return (
    <span
      className={`bg-reach/35 border-edge absolute inset-y-1.5 overflow-hidden rounded border border-l-4 px-2 leading-tight ${look}`}
      style={{ left: `${place.start * 100}%`, width: `${place.length * 100}%` }}
    >
      <span className="sr-only">{hours(watch.from ?? form.from, watch.until ?? form.until)}, </span>
      <span className="block truncate pt-0.5 font-semibold">
        {talk ? named(talk) : watch.talk ? 'an entry that is gone' : 'nothing to talk on'}
      </span>
      <span className="text-second text-soft block truncate">
        {fallback ? `else ${named(fallback)}` : watch.instead ? `else ${watch.instead}` : 'no fallback'}
      </span>
    </span>
  );
}

const named = (entry: { number: string; name: string }) => `${entry.number} ${entry.name}`.trim();
