import type { Cure, Finding, Slip } from '../api/client';
import { Button } from '../ui/Button';
import { some } from '../ui/people';
import { VerdictMark, verdictEdge, verdictText } from '../ui/VerdictMark';
import { CureButton } from './CureButton';
import { EdgeDrawing } from './EdgeDrawing';
import { once } from './once';
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

/** One finding: what is, the sum, the source, and what to press. */
export function FindingView({ finding, slip, everyone, cures, onCure, onDrop }: Props) {
  const said = once(finding.title, finding.message);
  return (
    <section
      className={`border-line bg-sheet rounded border border-l-[3px] px-3 py-2 ${verdictEdge[finding.severity] ?? ''}`}
    >
      <h3 className="flex items-start gap-2 leading-snug">
        <span className="mt-[3px]">
          <VerdictMark verdict={finding.severity} size={14} />
        </span>
        <span>
          <span className={`font-semibold ${verdictText[finding.severity] ?? ''}`}>{said.title}</span>
          {said.rest}
          {finding.holders.length < everyone && (
            <span className="text-soft" title={finding.holders.join(', ')}>
              {' '}
              For {some(finding.holders)}.
            </span>
          )}
        </span>
      </h3>
      <div className="flex flex-col gap-1.5 pt-1.5 pl-[22px]">
        {finding.rule === 'edge-overrun' && <EdgeDrawing slip={slip} />}
        {finding.sum.length > 0 && <SumView lines={finding.sum} />}
        <details className="text-second text-soft">
          <summary className="marker:text-edge hover:text-accent cursor-pointer">{finding.source}</summary>
          <p className="py-1">{finding.meaning}</p>
        </details>
        {finding.advice.map((advice) => (
          <p key={advice} className="text-second">
            {advice}
          </p>
        ))}
        {finding.rule === 'duplicate-channel' && onDrop && (
          <div>
            <Button onClick={onDrop} className="text-second">
              Drop this copy
            </Button>
          </div>
        )}
        {cures.length > 0 && (
          <div className="flex flex-wrap gap-1.5 pb-1">
            {cures.map(({ cure, key }) => (
              <CureButton key={cure.label} cure={cure} digit={key} onPress={() => onCure(cure)} />
            ))}
          </div>
        )}
      </div>
    </section>
  );
}
