import { Server } from '../api/client';
import { moment } from '../ui/dates';
import { VerdictMark } from '../ui/VerdictMark';
import { DECLARED } from './state';

/** What somebody says is in a radio, which entries were looked at, and the files that show it. */
export function DeclaredLoads({ unit }: { unit: number }) {
  const declared = Server.useQuery('get', '/api/units/{unit}/declarations', { params: { path: { unit } } });
  if (!declared.data?.length) return null;
  return (
    <ul className="text-second flex flex-col gap-1">
      {declared.data.map((load) => {
        const wrong = load.checked.filter((entry) => !entry.good);
        return (
          <li key={load.id} className="border-line rounded border px-3 py-2">
            <p>
              {DECLARED[load.how]}: {load.name}
              {load.release !== null && `, release ${load.release}`}, {moment(load.at)}, {load.by}.{' '}
              {load.checked.length} of {load.entries} entries looked at
              {wrong.length > 0 && `, ${wrong.length} of them wrong`}.
              {load.note && <span className="text-soft"> {load.note}</span>}
            </p>
            {wrong.map((entry) => (
              <p key={entry.memory} className="flex items-baseline gap-2">
                <span className="translate-y-[2px]">
                  <VerdictMark verdict="hold" size={11} />
                </span>
                Memory {entry.memory}
                {entry.note && `: ${entry.note}`}
              </p>
            ))}
            {load.files.map((file) => (
              <p key={file.id}>
                <a
                  className="text-accent underline-offset-2 hover:underline"
                  href={`/api/units/${unit}/files/${file.id}`}
                >
                  {file.name}
                </a>{' '}
                <span className="text-soft">{file.by}, </span>
                {file.compared
                  ? file.compared.differs.length === 0
                    ? `all ${file.compared.entries} entries as they should be`
                    : `${file.compared.differs.length} differ:`
                  : file.picture
                    ? 'a photograph'
                    : 'kept as it came; it cannot be read here'}
                {file.compared?.differs.slice(0, 20).map((row, index) => (
                  <span key={index} className="block pl-4">
                    {row.number} {row.name}: {row.what}
                  </span>
                ))}
              </p>
            ))}
          </li>
        );
      })}
    </ul>
  );
}
