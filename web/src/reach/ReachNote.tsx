import { Link } from 'react-router';
import { type Desk, Server } from '../api/client';
import { VerdictMark } from '../ui/VerdictMark';

/** Of longer lists nobody waits for it at every change; the gate tells of it. */
const LONGEST = 600;

/** What of who reaches whom with a list needs an answer before it goes out. */
export function ReachNote({ desk }: { desk: Desk }) {
  const concerns = Server.useQuery(
    'get',
    '/api/lists/{list}/reach/concerns',
    { params: { path: { list: desk.id } } },
    { enabled: desk.holders.length > 1 && desk.slips.length <= LONGEST && desk.on === desk.today },
  );
  if (!concerns.data || concerns.data.length === 0) return null;
  const [first] = concerns.data;
  return (
    <p className="border-line text-second flex items-start gap-2 border-t px-3 py-2">
      <span className="mt-[2px]">
        <VerdictMark verdict="query" size={13} />
      </span>
      <span>
        {first!.entry === null ? first!.message : `${first!.subject}: ${first!.message}`}{' '}
        <Link to={`/lists/${desk.id}/reach`} className="text-accent underline underline-offset-2">
          {concerns.data.length === 1
            ? 'Who reaches whom'
            : `${concerns.data.length} questions of who reaches whom`}
        </Link>
      </span>
    </p>
  );
}
