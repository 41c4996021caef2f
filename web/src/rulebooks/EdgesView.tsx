import { keepPreviousData } from '@tanstack/react-query';
import { useState } from 'react';
import { Server } from '../api/client';
import { capital } from '../desk/Carriers';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Choice } from '../ui/Choice';
import { INPUT, Labelled } from '../ui/Field';
import { Megahertz } from '../ui/Megahertz';
import { Notice } from '../ui/Notice';

/** The band edges of a class as an ordered table for a transceiver with so many slots. */
export function EdgesView({ group, rulebook }: { group?: number; rulebook: string }) {
  const own = Server.useQuery(
    'get',
    '/api/groups/{group}/own',
    { params: { path: { group: group ?? 0 } } },
    { enabled: group !== undefined, retry: false },
  );
  const [picked, setHeld] = useState<string>();
  // The table begins with the class of whoever looks.
  const chosen = picked ?? own.data?.amateurClass ?? 'general';
  const [send, setSend] = useState<string[]>(['data', 'ssb']);
  const [bands, setBands] = useState<string[]>(['20 m']);
  const [slots, setSlots] = useState(10);
  const chart = Server.useQuery(
    'get',
    '/api/rulebook/chart',
    { params: { query: { rulebook } } },
    { staleTime: Infinity },
  );
  const classes = (chart.data?.bands[0]?.classes ?? []).map((each) => each.name.toLowerCase());
  const held = classes.length === 0 || classes.includes(chosen) ? chosen : classes[classes.length - 1]!;
  const query = { rulebook, class: held, send, bands, slots };
  const edges = Server.useQuery(
    'get',
    '/api/rulebook/edges',
    { params: { query } },
    { enabled: send.length > 0 && classes.length > 0, placeholderData: keepPreviousData },
  );
  const toggle = (all: string[], one: string) =>
    all.includes(one) ? all.filter((each) => each !== one) : [...all, one];
  const file = `/api/rulebook/edges.csv?${new URLSearchParams([
    ['rulebook', rulebook],
    ['class', held],
    ...send.map((each) => ['send', each] as [string, string]),
    ...bands.map((each) => ['bands', each] as [string, string]),
    ['slots', String(slots)],
  ]).toString()}`;
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-end gap-4 print:hidden">
        <Choice
          label="Class"
          value={held}
          options={classes.map((each) => [each, capital(each)] as const)}
          onChange={setHeld}
        />
        <fieldset className="flex flex-wrap items-center gap-3">
          <legend className="text-soft text-[12px]">What is sent</legend>
          {chart.data?.kinds.map((kind) => (
            <label key={kind.id} className="flex items-center gap-1.5">
              <input
                type="checkbox"
                checked={send.includes(kind.id)}
                onChange={() => setSend(toggle(send, kind.id))}
              />
              {kind.title}
            </label>
          ))}
        </fieldset>
        <Labelled label="Slots in the transceiver">
          <input
            type="number"
            min={1}
            max={200}
            className={`${INPUT} w-24 font-mono`}
            value={slots}
            onChange={(event) => setSlots(Math.max(1, Math.min(200, Number(event.target.value) || 1)))}
          />
        </Labelled>
      </div>
      <div role="group" aria-label="Bands" className="flex flex-wrap gap-1.5 print:hidden">
        <Chip on={bands.length === 0} label="All bands" onPress={() => setBands([])} />
        {chart.data?.bands.map((band) => (
          <Chip
            key={band.name}
            on={bands.includes(band.name)}
            label={band.name}
            onPress={() => setBands(toggle(bands, band.name))}
          />
        ))}
      </div>
      {edges.error && <Notice message={edges.error.message} />}
      {edges.data && (
        <>
          <h2 className="text-title font-semibold">
            Band edges, {capital(held)}{' '}
            <span className="text-soft font-normal">
              {chart.data?.kinds
                .filter((kind) => send.includes(kind.id))
                .map((kind) => kind.title)
                .join(', ')}{' '}
              · edition {edges.data.edition}
            </span>
          </h2>
          <table className="w-full max-w-3xl text-left">
            <thead className="text-second text-soft">
              <tr>
                <th className="w-14 font-normal">Slot</th>
                <th className="font-normal">Dial from, MHz</th>
                <th className="font-normal">Dial to, MHz</th>
                <th className="font-normal">Signal inside, MHz</th>
                <th className="font-normal">Band</th>
              </tr>
            </thead>
            <tbody>
              {edges.data.slots.map((slot) => (
                <tr key={slot.number} className="border-line border-t">
                  <td className="py-1 font-mono">{slot.number}</td>
                  <td>
                    <Megahertz hertz={slot.low} />
                  </td>
                  <td>
                    <Megahertz hertz={slot.high} />
                  </td>
                  <td className="text-soft">
                    <Megahertz hertz={slot.edgeLow} />–<Megahertz hertz={slot.edgeHigh} />
                  </td>
                  <td>{slot.band}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {edges.data.slots.length === 0 && (
            <p className="text-soft">Nothing of this may be sent there by this class.</p>
          )}
          {edges.data.left.length > 0 && (
            <p className="border-line border-l-query bg-sheet max-w-prose rounded border border-l-[3px] px-4 py-2">
              {edges.data.left.length} more {edges.data.left.length === 1 ? 'part finds' : 'parts find'} no
              slot:{' '}
              {edges.data.left
                .map((slot) => `${slot.low / 1e6}–${slot.high / 1e6} (${slot.band})`)
                .join(', ')}
              . Choose fewer bands; parts are never joined over what may not be used.
            </p>
          )}
          {edges.data.channelised.length > 0 && (
            <p className="text-soft">
              The channels of {edges.data.channelised.join(', ')} are not ranges: store them as memories.
            </p>
          )}
          <p className="text-second text-soft max-w-prose">
            The dial stays so far from the edges that the whole signal stays inside: the width of a sideband
            on its side of the dial, half the width of other signals on both.
          </p>
          <div className="flex gap-2 print:hidden">
            <Button onClick={() => void navigator.clipboard.writeText(edges.data.text)}>Copy as text</Button>
            <a
              href={file}
              download
              className="border-edge bg-sheet hover:border-accent hover:text-accent rounded border px-2.5 py-1 leading-tight"
            >
              CSV
            </a>
            <Button onClick={() => window.print()}>Print</Button>
          </div>
        </>
      )}
    </div>
  );
}
