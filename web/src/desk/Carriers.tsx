import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useState } from 'react';
import type { Carrier } from '../api/client';
import { Button } from '../ui/Button';

const CLASSES = ['technician', 'general', 'extra', 'advanced', 'novice'];

const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

const licence = (service: string, licenceClass: string | null): Carrier['licences'][number] => ({
  service,
  licenceClass,
  callSign: null,
  expires: null,
  lines: [],
});

/** What somebody holds, in a few words. */
export const holds = (carrier: Carrier) =>
  carrier.licences.length === 0
    ? 'no licence'
    : carrier.licences
        .map((each) => each.licenceClass ?? (each.service === 'gmrs' ? 'GMRS' : 'land mobile'))
        .join(' and ');

interface Props {
  carriers: Carrier[];
  onChange: (carriers: Carrier[]) => void;
}

/** Who carries the list: class by class. */
export function Carriers({ carriers, onChange }: Props) {
  const [amateur, setAmateur] = useState('');
  const [gmrs, setGmrs] = useState(false);
  const add = () => {
    const name = [amateur && capital(amateur), gmrs && 'GMRS'].filter(Boolean).join(' and ') || 'No licence';
    const licences = [
      ...(amateur ? [licence('amateur', amateur)] : []),
      ...(gmrs ? [licence('gmrs', null)] : []),
    ];
    if (!carriers.some((each) => each.name === name)) onChange([...carriers, { name, licences }]);
  };
  const names =
    carriers.length === 0 ? 'Nobody with a licence' : carriers.map((each) => each.name).join(', ');
  return (
    <Popover className="min-w-0">
      <PopoverButton className="hover:text-accent flex max-w-full items-baseline gap-1.5 rounded px-1.5 py-1">
        <span className="text-soft text-second shrink-0">Carried by</span>
        <span className="truncate font-semibold">{names}</span>
        <span aria-hidden="true" className="text-soft">
          ▾
        </span>
      </PopoverButton>
      <PopoverPanel
        anchor="bottom start"
        className="border-edge bg-sheet z-30 flex w-96 flex-col gap-3 rounded border p-3 shadow-lg"
      >
        <p className="text-second text-soft">
          An entry may go out only if everyone who carries the list may key it: the least privileged decides.
        </p>
        <ul className="flex flex-col gap-1">
          {carriers.map((each) => (
            <li key={each.name} className="flex items-center justify-between gap-3">
              <span>
                <span className="font-semibold">{each.name}</span>{' '}
                <span className="text-soft">{holds(each)}</span>
              </span>
              <Button
                kind="quiet"
                className="text-second"
                onClick={() => onChange(carriers.filter((other) => other !== each))}
              >
                Take away<span className="sr-only"> {each.name}</span>
              </Button>
            </li>
          ))}
          {carriers.length === 0 && <li className="text-soft">Only what needs no licence is open.</li>}
        </ul>
        <div className="border-line flex items-center gap-3 border-t pt-3">
          <select
            aria-label="Amateur class"
            className="border-edge bg-sheet rounded border px-2 py-1"
            value={amateur}
            onChange={(event) => setAmateur(event.target.value)}
          >
            <option value="">No amateur licence</option>
            {CLASSES.map((name) => (
              <option key={name} value={name}>
                {capital(name)}
              </option>
            ))}
          </select>
          <label className="flex items-center gap-1.5">
            <input type="checkbox" checked={gmrs} onChange={(event) => setGmrs(event.target.checked)} />
            GMRS
          </label>
          <Button onClick={add}>Add</Button>
        </div>
      </PopoverPanel>
    </Popover>
  );
}
