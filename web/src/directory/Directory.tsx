import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { TakesFocus } from '../ui/TakesFocus';
import { keepPreviousData, useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, data, type Desk, type Schemas, Server } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Notice } from '../ui/Notice';

interface Props {
  desk: Desk;
  onAdded: (name: string, entry: number) => void;
  onClose: () => void;
}

const REACHES = [
  ['25', '25 km'],
  ['50', '50 km'],
  ['100', '100 km'],
  ['', 'anywhere'],
] as const;

/** Repeaters near the place where the list is used, each added with one press. */
export function Directory({ desk, onAdded, onClose }: Props) {
  const [band, setBand] = useState('');
  const [reach, setReach] = useState('50');
  const found = Server.useQuery(
    'get',
    '/api/lists/{list}/directory',
    {
      params: {
        path: { list: desk.id },
        query: { band: band || undefined, withinKm: reach ? Number(reach) : undefined },
      },
      asOf: desk.version,
    },
    { placeholderData: keepPreviousData },
  );
  const add = useMutation({
    mutationFn: (repeater: string) =>
      data(
        api.POST('/api/lists/{list}/directory/{repeater}', { params: { path: { list: desk.id, repeater } } }),
      ),
    onSuccess: (added) => {
      onAdded(added.name, added.entry);
    },
  });
  const repeaters = found.data?.repeaters ?? [];
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <DialogBackdrop className="bg-ink/40 fixed inset-0" />
      <div className="fixed inset-0 flex items-center justify-center p-3">
        <DialogPanel className="border-edge bg-sheet flex h-[92vh] w-full max-w-5xl flex-col rounded border">
          <TakesFocus />
          <div className="border-line flex flex-wrap items-end gap-x-4 gap-y-2 border-b px-4 py-3">
            <div className="grow basis-72">
              <DialogTitle className="text-title font-semibold">Repeaters near</DialogTitle>
              <p className="text-second text-soft">
                {found.data && !found.data.placed ? (
                  <>
                    The place of the list is not known, so nothing is sorted by distance.{' '}
                    <Link className="text-accent underline" to={`/lists/${desk.id}/place`}>
                      Say where it is used
                    </Link>
                  </>
                ) : (
                  'From the directory, by distance from the place of the list. Ask whose it is before using a closed one.'
                )}
              </p>
            </div>
            <Choice
              label="Band"
              value={band}
              options={[
                ['', 'all'] as const,
                ...(found.data?.bands ?? []).map((each) => [each, each] as const),
              ]}
              onChange={setBand}
            />
            {found.data?.placed && (
              <Choice label="Within" value={reach} options={REACHES} onChange={setReach} />
            )}
          </div>
          <div
            className="min-h-0 grow overflow-y-auto px-4"
            tabIndex={0}
            role="region"
            aria-label="Repeaters"
          >
            {found.error && <Notice message={found.error.message} />}
            {add.error && <Notice message={add.error.message} />}
            {found.data?.down && <Notice message={found.data.down} />}
            {found.data && !found.data.down && repeaters.length === 0 && (
              <p className="text-soft py-4">
                No repeater of the directory is there. Look farther, or in all bands.
              </p>
            )}
            <ul className="divide-line divide-y">
              {repeaters.map((each) => (
                <Row
                  key={each.line.id}
                  found={each}
                  busy={add.isPending}
                  onAdd={() => add.mutate(each.line.id)}
                />
              ))}
            </ul>
          </div>
          <div className="border-line flex justify-end border-t px-4 py-3">
            <Button kind="strong" onClick={onClose}>
              Done
            </Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

function Row({ found, busy, onAdd }: { found: Schemas['Nearby']; busy: boolean; onAdd: () => void }) {
  const { line } = found;
  const fine = line.coordination === 'coordinated' || line.coordination === 'by permission';
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2 md:flex-nowrap">
      <span className="w-28 shrink-0 font-mono whitespace-nowrap">
        {found.distanceKm !== null ? `${found.distanceKm.toFixed(1)} km` : ''}{' '}
        <span className="text-soft font-sans">{found.direction}</span>
      </span>
      <span className="min-w-0 grow basis-52">
        <span className="font-semibold">{line.place}</span>{' '}
        <span className="text-soft text-second font-mono">{line.callSign}</span>
        <span className={`text-second block ${fine ? 'text-soft' : 'text-query'}`}>
          {line.band}, {line.coordination}, {line.updated}
          {line.note && `; ${line.note}`}
        </span>
      </span>
      <span className="w-72 shrink-0 font-mono">
        {line.outputMhz} <span className="text-soft">{line.offsetMhz.replace('-', '−')}</span>{' '}
        {line.access || <span className="text-soft font-sans">no tone</span>}{' '}
        <span className="text-soft text-second font-sans">{line.mode}</span>
      </span>
      <span className="w-44 shrink-0 text-right">
        {found.inList !== null ? (
          <span className="text-second text-soft">in the list: {found.inList}</span>
        ) : (
          <Button disabled={busy} onClick={onAdd} aria-label={`Add ${line.place}`}>
            Add
          </Button>
        )}
      </span>
    </li>
  );
}
