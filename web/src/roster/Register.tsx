import { type Schemas, type Verdict, Server } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { VerdictMark } from '../ui/VerdictMark';
import type { Licence } from './drafts';

const MARK: Record<Schemas['Comparison']['against'], Verdict> = {
  same: 'clear',
  differs: 'query',
  unknown: 'query',
  down: 'listen',
  unsigned: 'listen',
};

interface Props {
  party: Schemas['Party'];
  /** Takes over what the register says into the licences that are being edited; saving is a press of its own. */
  onTake: (licences: Licence[]) => void;
}

/** The licences held against the licence register: what differs, in words. Nothing changes by itself. */
export function Register({ party, onTake }: Props) {
  const asked = Server.useQuery('get', '/api/parties/{party}/register', {
    params: { path: { party: party.id } },
    asOf: party.version,
  });
  const take = (comparison: Schemas['Comparison']) =>
    onTake(
      party.licences.map((licence, index) =>
        index === comparison.licence && comparison.record
          ? {
              ...licence,
              licenceClass: comparison.record.class ?? licence.licenceClass,
              granted: comparison.record.granted ?? licence.granted,
              expires: comparison.record.expires ?? licence.expires,
            }
          : licence,
      ),
    );
  return (
    <section aria-label="Licence register" className="flex flex-col gap-1.5">
      <h3 className="flex items-center gap-3">
        <span className="font-semibold">What the licence register says</span>
        <Button
          kind="quiet"
          className="text-second"
          disabled={asked.isFetching}
          onClick={() => void asked.refetch()}
        >
          {asked.isFetching ? 'Asking …' : 'Ask again'}
        </Button>
      </h3>
      {asked.error && <Notice message={asked.error.message} />}
      <ul className="flex flex-col gap-1">
        {asked.data?.map((each) => (
          <li key={each.licence} className="flex items-baseline gap-2">
            <span className="translate-y-[2px]">
              <VerdictMark verdict={MARK[each.against]} size={13} />
            </span>
            <span className="w-24 shrink-0 font-mono">{each.callSign || 'no sign'}</span>
            <span className="grow">
              {each.message} {each.differences.map((difference) => difference.words).join(' ')}
            </span>
            {each.differences.some(
              (difference) => difference.part === 'class' || difference.part === 'expires',
            ) && (
              <Button className="text-second" onClick={() => take(each)}>
                Use the register’s value
              </Button>
            )}
          </li>
        ))}
      </ul>
      <p className="text-second text-soft">
        The register never changes the roster by itself. Unless another is named, it is a stand-in with
        invented records.
      </p>
    </section>
  );
}
