import { type Way } from './KeyingChoice';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Megahertz } from '../ui/Megahertz';
import { Notice } from '../ui/Notice';
import { VerdictWord } from '../ui/VerdictMark';
import { apart } from './words';

interface Props {
  list: number;
  how: Way | undefined;
  site: number;
  choice: Schemas['ClearChoice'];
  may: boolean;
  onTake: (pick: Schemas['ClearPick']) => void;
}

/** "Pick me a clear channel": direct channels that everyone may use and that the site leaves clear. */
export function ClearSearch({ list, how, site, choice, may, onTake }: Props) {
  const [places, setPlaces] = useState<string[]>([]);
  const [carriers, setCarriers] = useState<string[]>([]);
  const [radios, setRadios] = useState<string[]>([]);
  const [power, setPower] = useState('5');
  const search = useMutation({
    mutationFn: () =>
      data(
        api.GET('/api/lists/{list}/clear-channels', {
          params: {
            path: { list },
            query: { how, site, places, carriers, radios, power: power.trim().replace(',', '.') },
          },
        }),
      ),
  });
  return (
    <section aria-label="A clear channel" className="border-line border-t px-3 py-2">
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          search.mutate();
        }}
      >
        <h2 className="pb-1 font-semibold">Pick me a clear channel</h2>
        <Several label="In" none="any band" of={choice.places} chosen={places} onChange={setPlaces} />
        <Several
          label="For"
          none="everyone who carries it"
          of={choice.who}
          chosen={carriers}
          onChange={setCarriers}
        />
        <Several
          label="With"
          none="the radios it is for"
          of={choice.radios}
          chosen={radios}
          onChange={setRadios}
        />
        <Field label="Power" unit="W" className="w-24" mono value={power} onChange={setPower} />
        <Button type="submit" disabled={search.isPending}>
          {search.isPending ? 'Looking …' : 'Look'}
        </Button>
        <span className="text-second text-soft pb-1">
          Those chosen may use it, no product, harmonic or overlap of this site touches it, and nobody calls
          there.
        </span>
      </form>
      {search.error && <Notice message={search.error.message} />}
      {search.data && search.data.length === 0 && (
        <p className="pt-2">
          No direct channel there is for all of them. Choose other bands, fewer people or other radios.
        </p>
      )}
      {search.data && search.data.length > 0 && search.data[0]!.disturbs.length > 0 && (
        <p className="text-query pt-2">None is clear. These are disturbed least:</p>
      )}
      {search.data && search.data.length > 0 && (
        <ul className="grid gap-x-6 pt-2 xl:grid-cols-2">
          {search.data.map((pick) => (
            <li key={pick.hz} className="border-line flex items-baseline gap-3 border-b py-1">
              <span className="w-28 shrink-0 text-right">
                <Megahertz hertz={pick.hz} />
              </span>
              <span className="min-w-0 grow">
                {pick.fields.mode} · {pick.place} · <VerdictWord verdict={pick.verdict} />
                <span className="text-second text-soft block">
                  {pick.disturbs.length > 0
                    ? `${pick.disturbs.slice(0, 3).join('; ')}${pick.disturbs.length > 3 ? ` and ${pick.disturbs.length - 3} more` : ''}`
                    : pick.near > 0
                      ? `${pick.near} ${pick.near === 1 ? 'transmitter' : 'transmitters'} near: turns or filters`
                      : `nothing of the site within ${apart(pick.apartHz)}`}
                  {pick.asked.length > 0 && `. ${pick.asked[0]}`}
                </span>
              </span>
              {may && (
                <Button className="text-second" onClick={() => onTake(pick)}>
                  Add it
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** A choice of several, behind one button; none of them stands for what the list itself says. */
function Several({
  label,
  none,
  of,
  chosen,
  onChange,
}: {
  label: string;
  none: string;
  of: string[];
  chosen: string[];
  onChange: (chosen: string[]) => void;
}) {
  return (
    <div role="group" aria-label={label} className="flex min-w-0 flex-col gap-0.5">
      <span className="text-soft text-[12px] leading-tight">{label}</span>
      <details className="relative">
        <summary className="border-edge bg-sheet max-w-56 cursor-pointer truncate rounded border px-2 py-1">
          {chosen.length === 0 ? none : chosen.join(', ')}
        </summary>
        <div className="border-edge bg-sheet absolute z-20 flex max-h-64 min-w-52 flex-col overflow-y-auto rounded border p-2 shadow-lg">
          {of.map((each) => (
            <label key={each} className="flex min-h-6 items-center gap-1.5 whitespace-nowrap">
              <input
                type="checkbox"
                checked={chosen.includes(each)}
                onChange={(event) =>
                  onChange(
                    event.target.checked ? [...chosen, each] : chosen.filter((other) => other !== each),
                  )
                }
              />
              {each}
            </label>
          ))}
        </div>
      </details>
    </div>
  );
}
