import { useQuery } from '@tanstack/react-query';
import { api, data } from '../api/client';
import { Notice } from '../ui/Notice';

const COLUMNS: [string, string][] = [
  ['number', 'No.'],
  ['name', 'Name'],
  ['rxMhz', 'Hears'],
  ['txMhz', 'Talks on'],
  ['mode', 'Mode'],
  ['powerW', 'Power, W'],
  ['txTone', 'Sends'],
  ['rxTone', 'Opens with'],
  ['note', 'Note'],
];
const FIGURES = new Set(['number', 'rxMhz', 'txMhz', 'powerW', 'txTone', 'rxTone']);

/** An earlier version of a list as a whole, as it was. */
export function Whole({ list, version }: { list: number; version: number }) {
  const whole = useQuery({
    queryKey: ['version', list, version],
    queryFn: () =>
      data(api.GET('/api/lists/{list}/versions/{version}', { params: { path: { list, version } } })),
  });
  if (whole.error) return <Notice message={whole.error.message} />;
  if (!whole.data) return <p className="text-soft">Fetching it …</p>;
  return (
    <div className="overflow-x-auto">
      <table className="border-line bg-sheet w-full border text-left" aria-label={`Version ${version}`}>
        <thead className="text-second text-soft">
          <tr>
            {COLUMNS.map(([key, label]) => (
              <th key={key} scope="col" className="px-2 py-1 font-normal whitespace-nowrap">
                {label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {whole.data.entries.map((entry, index) => (
            <tr key={index} className="border-line border-t">
              {COLUMNS.map(([key]) => (
                <td
                  key={key}
                  className={`px-2 py-0.5 ${FIGURES.has(key) ? 'font-mono whitespace-nowrap' : key === 'name' ? 'font-semibold' : ''}`}
                >
                  {entry[key]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
