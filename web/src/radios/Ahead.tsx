import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { VerdictMark } from '../ui/VerdictMark';

interface Props {
  unit: Schemas['UnitView'];
  party: string;
  name: string;
  prospect: Schemas['Prospect'];
  knowing: boolean;
  onKnowing: (knowing: boolean) => void;
}

/** How it would be if somebody got the radio: what they may do with it, or why they cannot have it. */
export function Ahead({ unit, party, name, prospect, knowing, onKnowing }: Props) {
  const { refused, asks, talks, listens, notTheirs } = prospect;
  const bench = `/bench?units=${unit.id}&for=${party}${unit.load ? `&list=${unit.load.list}` : ''}`;
  return (
    <div role="status" className="flex items-start gap-2">
      <span className="mt-[3px]">
        <VerdictMark verdict={refused !== null ? 'hold' : asks !== null ? 'query' : 'clear'} size={15} />
      </span>
      <div className="text-second flex min-w-0 flex-col gap-1">
        <p>
          {refused ??
            asks ??
            (talks === 0
              ? `${name} only listens with it: on ${listens} entries.`
              : `${name} may talk on ${talks} of its entries and listens on ${listens}.`)}
        </p>
        {(notTheirs.length > 0 || asks !== null) && (
          <Link to={bench} className="text-accent self-start underline underline-offset-2">
            Write it for {name} on the bench
          </Link>
        )}
        {refused === null && asks !== null && (
          <label className="flex items-center gap-2">
            <input type="checkbox" checked={knowing} onChange={(event) => onKnowing(event.target.checked)} />I
            know what is in it, and {name} may key all of that
          </label>
        )}
      </div>
    </div>
  );
}
