import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Megahertz } from '../ui/Megahertz';
import { Notice } from '../ui/Notice';
import { VerdictWord } from '../ui/VerdictMark';
import { apart } from './words';

interface Props {
  list: number;
  how: string;
  site: number;
  services: Schemas['SiteService'][];
  may: boolean;
  onTake: (pick: Schemas['ClearPick']) => void;
}

/** "Pick me a clear channel": direct channels that everyone may use and that the site leaves clear. */
export function ClearSearch({ list, how, site, services, may, onTake }: Props) {
  const [service, setService] = useState('');
  const [power, setPower] = useState('5');
  const search = useMutation({
    mutationFn: () =>
      data(
        api.GET('/api/lists/{list}/clear-channels', {
          params: { path: { list }, query: { how, site, service, power: power.trim().replace(',', '.') } },
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
        <Choice
          label="In"
          value={service}
          options={[['', 'any service'], ...services.map((each) => [each.id, each.title] as const)]}
          onChange={setService}
        />
        <Field label="Power" unit="W" className="w-24" mono value={power} onChange={setPower} />
        <Button type="submit" disabled={search.isPending}>
          {search.isPending ? 'Looking …' : 'Look'}
        </Button>
        <span className="text-second text-soft pb-1">
          Everyone who carries the list may use it, and no product, harmonic or overlap of this site touches
          it.
        </span>
      </form>
      {search.error && <Notice message={search.error.message} />}
      {search.data && search.data.length === 0 && (
        <p className="pt-2">
          No direct channel is clear for everyone. Choose another service, or key fewer together.
        </p>
      )}
      {search.data && search.data.length > 0 && (
        <ul className="grid gap-x-6 pt-2 xl:grid-cols-2">
          {search.data.map((pick) => (
            <li key={pick.hz} className="border-line flex items-baseline gap-3 border-b py-1">
              <span className="w-28 shrink-0 text-right">
                <Megahertz hertz={pick.hz} />
              </span>
              <span className="min-w-0 grow">
                {pick.fields.mode} ·{' '}
                {services.find((each) => each.id === pick.service)?.title ?? pick.service} ·{' '}
                <VerdictWord verdict={pick.verdict} />
                <span className="text-second text-soft block">
                  {pick.near > 0
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
