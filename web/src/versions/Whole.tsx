import { Server } from '../api/client';
import { heading, isFigure, useFields } from '../lists/fields';
import { Notice } from '../ui/Notice';
import { SideScroll } from '../ui/SideScroll';

/** An earlier version of a list as a whole, as it was. */
export function Whole({ list, version }: { list: number; version: number }) {
  const whole = Server.useQuery('get', '/api/lists/{list}/versions/{version}', {
    params: { path: { list, version } },
  });
  const fields = useFields();
  if (whole.error) return <Notice message={whole.error.message} />;
  if (!whole.data) return <p className="text-soft">Fetching it …</p>;
  const entries = whole.data.entries;
  const columns = fields.filter(({ key }) => entries.some((entry) => entry[key]));
  return (
    <SideScroll label="The whole version, as a table">
      <table className="border-line bg-sheet w-full border text-left" aria-label={`Version ${version}`}>
        <thead className="text-second text-soft">
          <tr>
            {columns.map((field) => (
              <th key={field.key} scope="col" className="px-2 py-1 font-normal whitespace-nowrap">
                {heading(field)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {entries.map((entry, index) => (
            <tr key={index} className="border-line border-t">
              {columns.map((field) => (
                <td
                  key={field.key}
                  className={`px-2 py-0.5 ${isFigure(field) ? 'font-mono whitespace-nowrap' : field.key === 'name' ? 'font-semibold' : ''}`}
                >
                  {entry[field.key]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </SideScroll>
  );
}
