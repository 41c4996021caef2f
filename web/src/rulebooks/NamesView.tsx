import { useState } from 'react';
import { Server } from '../api/client';
import { INPUT } from '../ui/Field';
import { Megahertz } from '../ui/Megahertz';
import { Notice } from '../ui/Notice';
import { SideScroll } from '../ui/SideScroll';

/** Personal-radio channels in every naming scheme side by side. */
export function NamesView({ rulebook }: { rulebook: string }) {
  const [find, setFind] = useState('');
  const names = Server.useQuery(
    'get',
    '/api/rulebook/channel-names',
    { params: { query: { rulebook } } },
    { staleTime: Infinity },
  );
  if (names.error) return <Notice message={names.error.message} />;
  if (!names.data) return null;
  const wanted = find.trim().toLowerCase();
  const hit = (channel: { names: string[] }) =>
    wanted !== '' && channel.names.some((name) => name.toLowerCase() === wanted);
  const found = names.data.channels.filter(hit);
  const shown = wanted === '' || found.length === 0 ? names.data.channels : found;
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-center gap-3">
        <input
          type="search"
          className={`${INPUT} w-64`}
          aria-label="Find a channel by any of its names"
          placeholder="Any name: R2, 24, RPT16, 575 pair"
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
        <span className="text-soft">
          {wanted !== '' && found.length === 0
            ? 'No channel has that name.'
            : 'One channel has many names. These are FRS and GMRS.'}
        </span>
      </div>
      <SideScroll label="The names, as a table">
        <table className="w-full text-left">
          <thead className="text-second text-soft">
            <tr className="align-bottom">
              <th className="font-normal">Hears (RX), MHz</th>
              <th className="font-normal">Talks on (TX), MHz</th>
              {names.data.schemes.map((scheme) => (
                <th key={scheme.id} className="font-normal" title={scheme.words}>
                  {scheme.title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((channel) => (
              <tr
                key={`${channel.rxHz} ${channel.txHz}`}
                className={`border-line border-t ${hit(channel) ? 'bg-accent-wash' : ''}`}
              >
                <td className="py-1">
                  <Megahertz hertz={channel.rxHz} />
                </td>
                <td>
                  {channel.txHz === channel.rxHz ? (
                    <span className="text-soft">the same</span>
                  ) : (
                    <Megahertz hertz={channel.txHz} />
                  )}
                </td>
                {channel.names.map((name, index) => (
                  <td key={index} className="font-mono">
                    {name || <span className="text-soft">–</span>}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </SideScroll>
    </div>
  );
}
