import { VERDICTS, VerdictMark, verdictText, verdictWord } from '../ui/VerdictMark';
import type { Schemas } from '../api/client';
import type { Proposal, Proposed } from './proposal';

interface Props {
  proposal: Proposal;
  left: ReadonlySet<number>;
  onToggle: (index: number) => void;
}

/** A proposal as one difference: each entry in radio terms, with what it comes to before and after. */
export function ProposalView({ proposal, left, onToggle }: Props) {
  if (proposal.changes.length === 0 && !proposal.order)
    return <p className="text-soft py-3">Nothing would change: it is so already.</p>;
  return (
    <>
      {proposal.order && <p className="py-1.5">The entries stand in another order.</p>}
      <ul className="divide-line divide-y">
        {proposal.changes.map((change, index) => (
          <li key={index}>
            <label className="flex items-start gap-2.5 py-1">
              <input
                type="checkbox"
                className="mt-1"
                checked={!left.has(index)}
                onChange={() => onToggle(index)}
              />
              <span className="w-44 shrink-0 truncate max-sm:w-24" title={change.name}>
                <span className="text-soft font-mono">{change.number}</span>{' '}
                <span className="font-semibold">{change.name || '(no name)'}</span>
              </span>
              <span className="min-w-0 grow">
                {change.kind === 'add' && <span className="font-semibold">new: </span>}
                {change.differences.join('; ')}
                {change.why && <span className="text-soft text-second block">{change.why}</span>}
              </span>
              <Verdicts change={change} />
            </label>
          </li>
        ))}
      </ul>
    </>
  );
}

function Verdicts({ change }: { change: Proposed }) {
  const { verdictBefore: before, verdictAfter: after } = change;
  return (
    <span className="text-second flex w-28 shrink-0 items-center justify-end gap-1.5">
      {before && before !== after && (
        <>
          <VerdictMark verdict={before} size={13} />→
        </>
      )}
      {after ? (
        <>
          <VerdictMark verdict={after} size={13} />
          <span className="w-11">{verdictWord(after).toLowerCase()}</span>
        </>
      ) : (
        <span className="w-11">gone</span>
      )}
    </span>
  );
}

/** How the list would count with all of it. */
export function CountsChange({ before, after }: { before: Schemas['Counts']; after: Schemas['Counts'] }) {
  return (
    <p className="text-second flex flex-wrap gap-x-4">
      {VERDICTS.map((verdict) => (
        <span key={verdict} className={`flex items-center gap-1 ${verdictText[verdict]}`}>
          <VerdictMark verdict={verdict} size={12} />
          <span className="font-mono">
            {before[verdict]} → {after[verdict]}
          </span>
          {verdictWord(verdict).toLowerCase()}
        </span>
      ))}
    </p>
  );
}
