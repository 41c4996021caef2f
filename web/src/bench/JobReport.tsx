import { Link } from 'react-router';
import { Server } from '../api/client';
import { Notice } from '../ui/Notice';
import { VerdictMark } from '../ui/VerdictMark';

/** What came of the work on a radio: what stayed out, what differs after reading back, every press of the key. */
export function JobReport({ job }: { job: number }) {
  const report = Server.useQuery('get', '/api/jobs/{job}', { params: { path: { job } } });
  if (report.error)
    return (
      <div className="px-3 pb-3">
        <Notice message={report.error.message} />
      </div>
    );
  if (!report.data) return null;
  const { leftOut, differences, presses, job: work } = report.data;
  return (
    <div className="text-second border-line bg-paper grid gap-4 border-t px-4 py-3 lg:grid-cols-2">
      {leftOut.length > 0 && (
        <section>
          <h3 className="font-semibold">Stayed out</h3>
          <ul>
            {leftOut.map((entry, index) => (
              <li key={index} className="flex gap-2">
                <span className="text-soft w-7 shrink-0 text-right font-mono">{entry.number}</span>
                <span className="w-24 shrink-0 truncate font-semibold">{entry.name}</span>
                <span>{entry.reason}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {differences.length > 0 && (
        <section>
          <h3 className="font-semibold">Read back differs from what was written</h3>
          <table className="w-full">
            <thead>
              <tr className="text-soft text-left">
                <th className="font-normal">Memory</th>
                <th className="font-normal">What</th>
                <th className="font-normal">Written</th>
                <th className="font-normal">Read back</th>
              </tr>
            </thead>
            <tbody>
              {differences.map((difference, index) => (
                <tr key={index}>
                  <td>
                    <span className="font-mono">{difference.memory || ''}</span> {difference.name}
                  </td>
                  <td>{difference.what}</td>
                  <td className="font-mono">{difference.wanted || '–'}</td>
                  <td className="text-hold font-mono">{difference.found || '–'}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      {presses.length > 0 && (
        <section>
          <h3 className="font-semibold">The key, into a dummy load</h3>
          <ul className="sm:columns-2">
            {presses.map((press, index) => {
              const good = press.shouldKey === press.keyed;
              return (
                <li key={index} className="flex break-inside-avoid items-baseline gap-2">
                  <span className="translate-y-[2px]">
                    <VerdictMark verdict={good ? 'clear' : 'hold'} size={11} />
                  </span>
                  <span className="text-soft w-7 shrink-0 text-right font-mono">{press.memory || ''}</span>
                  <span className="truncate">
                    {press.memory > 0 ? press.name : <span className="font-mono">{press.mhz}</span>}
                  </span>
                  <span className="text-soft ml-auto shrink-0" title={press.why}>
                    {press.keyed ? 'keys' : 'refuses'}
                  </span>
                </li>
              );
            })}
          </ul>
        </section>
      )}
      {leftOut.length + differences.length + presses.length === 0 && (
        <p className="text-soft">
          {work.state === 'waiting' || work.state === 'running'
            ? 'Nothing to report yet.'
            : work.kept
              ? 'The new list is in the radio; it was not verified.'
              : 'Nothing was kept by the radio. What was in it before is saved and still in it.'}
        </p>
      )}
      <Link
        to={`/radios?unit=${work.unit}`}
        className="text-accent self-end underline-offset-2 hover:underline lg:col-span-2"
      >
        The page of {work.label}: try pairs and repeaters, measure, hand out
      </Link>
    </div>
  );
}
