import { Link } from 'react-router';
import type { Schemas, Verdict } from '../api/client';
import { Button } from '../ui/Button';
import { VerdictMark } from '../ui/VerdictMark';
import type { Order } from './orders';

type Planned = Schemas['PlannedUnit'];

interface Props {
  plan: Planned;
  onPut: (orders: Order[]) => void;
  onLeave: (units: number[]) => void;
}

const SHOWN = 2;

/** What would happen to a radio that is chosen, and what is to be decided before. */
export function PlannedRow({ plan, onPut, onLeave }: Props) {
  const decide = (part: string, choice: string | null) =>
    onPut([{ unit: plan.unit, party: plan.custody ? null : plan.party, part, choice }]);
  if (plan.blocked !== null && !plan.open)
    return (
      <span className="flex items-start gap-1.5">
        <Mark verdict="hold" />
        {plan.blocked}
      </span>
    );
  return (
    <span className="flex flex-col gap-1">
      <span className="flex items-start gap-1.5">
        <Mark
          verdict={plan.open ? 'hold' : plan.leftOut.length + plan.notTheirs.length > 0 ? 'query' : 'clear'}
        />
        <span>
          <span className="font-semibold">{plan.partName}</span>
          {plan.person !== null && ` for ${plan.person}`}
          {plan.open ? openWords(plan) : `: ${goesIn(plan)}`}
        </span>
      </span>
      <Entries
        entries={plan.notTheirs}
        words={plan.open ? 'not theirs to key' : plan.choice === 'listen' ? 'only listens' : 'stays out'}
      />
      {plan.open && (
        <span role="group" aria-label={`What ${plan.label} gets`} className="flex flex-wrap gap-1.5 py-0.5">
          {plan.fits.map((each) => (
            <Button key={each.part} onClick={() => decide(each.part, null)}>
              Give {each.name} {each.talks === 0 ? '(only listens)' : `(talks on ${each.talks})`}
            </Button>
          ))}
          <Button
            disabled={plan.cannotListen !== null}
            title={plan.cannotListen ?? undefined}
            onClick={() => decide(plan.part, 'listen')}
          >
            {plan.notTheirs.length === 1 ? 'Make it listen only' : 'Make these listen only'}
          </Button>
          <Button onClick={() => decide(plan.part, 'leave-out')}>
            Leave {plan.notTheirs.length === 1 ? 'it' : 'these'} out
          </Button>
          <Button kind="quiet" onClick={() => onLeave([plan.unit])}>
            Not this radio
          </Button>
          {plan.cannotListen !== null && <span className="text-soft basis-full">{plan.cannotListen}</span>}
        </span>
      )}
      {!plan.open && (plan.choice !== '' || plan.custody) && plan.notTheirs.length > 0 && (
        <button
          type="button"
          className="text-accent self-start underline underline-offset-2"
          onClick={() => decide(plan.part, null)}
        >
          Decide otherwise
        </button>
      )}
      <Entries entries={plan.leftOut} words="stays out" />
      {plan.profile !== null && !plan.open && (
        <span className="text-soft block pl-[18px]">
          and {plan.settings} settings of “{plan.profile}”
          {plan.cannotBeSet.length > 0 && `; not these: ${plan.cannotBeSet.join(' ')}`}
        </span>
      )}
      {plan.leftOut.some((entry) => entry.reason.includes('set to')) && (
        <Link
          to={`/radios?unit=${plan.unit}`}
          className="text-accent self-start underline underline-offset-2"
        >
          Set {plan.label} otherwise
        </Link>
      )}
    </span>
  );
}

const Mark = ({ verdict }: { verdict: Verdict }) => (
  <span className="mt-[3px]">
    <VerdictMark verdict={verdict} size={12} />
  </span>
);

function openWords(plan: Planned): string {
  return plan.talks === 0
    ? ', who may key nothing of it.'
    : `, who may key ${plan.talks} of it and ${plan.notTheirs.length} not.`;
}

/** How many entries go in, and on how many of them it talks. */
function goesIn(plan: Planned): string {
  const many = plan.entries === 1 ? 'one entry goes in' : `${plan.entries} entries go in`;
  if (plan.talks === 0) return `${many}; it talks on none of them.`;
  return `${many}; it talks on ${plan.talks}${plan.person === null ? ', for nobody in particular' : ''}.`;
}

function Entries({ entries, words }: { entries: Schemas['StaysOut'][]; words: string }) {
  return (
    <>
      {entries.slice(0, SHOWN).map((entry, index) => (
        <span key={index} className="text-soft block pl-[18px]">
          {entry.number} {entry.name}, {words}: {entry.reason}
        </span>
      ))}
      {entries.length > SHOWN && (
        <details className="text-soft pl-[18px]">
          <summary className="hover:text-accent cursor-pointer">and {entries.length - SHOWN} more</summary>
          {entries.slice(SHOWN).map((entry, index) => (
            <span key={index} className="block">
              {entry.number} {entry.name}, {words}: {entry.reason}
            </span>
          ))}
        </details>
      )}
    </>
  );
}
