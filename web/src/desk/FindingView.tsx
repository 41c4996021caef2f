import type { Cure, Finding, Slip } from '../api/client';
import { Button } from '../ui/Button';
import { some } from '../ui/people';
import { VerdictMark, verdictEdge } from '../ui/VerdictMark';
import { CureButton } from './CureButton';
import { EdgeDrawing } from './EdgeDrawing';
import { SumView } from './SumView';

interface Props {
  finding: Finding;
  slip: Slip;
  everyone: number;
  cures: { cure: Cure; key: number }[];
  onCure: (cure: Cure) => void;
  /** Takes the entry out; a copy of another entry is cured so. */
  onDrop?: () => void;
}

/** One finding: what is, the sum, the source with the rule behind it, and what to press. */
export function FindingView({ finding, slip, everyone, cures, onCure, onDrop }: Props) {
  return (
    <section
      className={`border-line bg-sheet rounded border border-l-[3px] px-3 py-1.5 ${verdictEdge[finding.severity] ?? ''}`}
    >
      <h3 className="flex items-start gap-2 text-[15px] leading-tight">
        <span className="mt-[2px]">
          <VerdictMark verdict={finding.severity} size={14} />
        </span>
        <span>
          <span className="font-semibold">{finding.message}</span>
          {finding.holders.length < everyone && (
            <span className="text-soft" title={finding.holders.join(', ')}>
              {' '}
              For {some(finding.holders)}.
            </span>
          )}
        </span>
      </h3>
      <div className="flex flex-col gap-1 pt-1 pl-[22px]">
        {finding.rule === 'edge-overrun' && <EdgeDrawing slip={slip} />}
        {finding.sum.length > 0 && <SumView lines={finding.sum} />}
        {finding.advice.map((advice) => (
          <p key={advice} className="text-second">
            {advice}
          </p>
        ))}
        {finding.rule === 'duplicate-channel' && onDrop && (
          <div>
            <Button onClick={onDrop} className="text-second">
              Delete this copy
            </Button>
          </div>
        )}
        <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
          {cures.map(({ cure, key }) => (
            <CureButton key={cure.label} cure={cure} digit={key} onPress={() => onCure(cure)} />
          ))}
          <details className="text-second text-soft open:basis-full">
            <summary className="marker:text-edge hover:text-accent cursor-pointer">{finding.source}</summary>
            <p className="py-1">
              <span className="font-semibold">{finding.title}.</span> {finding.meaning}
            </p>
          </details>
        </div>
      </div>
    </section>
  );
}
