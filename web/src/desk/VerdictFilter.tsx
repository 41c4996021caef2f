import type { Schemas } from '../api/client';
import { VERDICTS, VerdictMark, verdictText, verdictWord } from '../ui/VerdictMark';

interface Props {
  counts: Schemas['Counts'];
  chosen: string[];
  onChoose: (verdict: string) => void;
}

/** How many entries came to each verdict; pressing one shows only those. */
export function VerdictFilter({ counts, chosen, onChoose }: Props) {
  return (
    <div role="group" aria-label="Show only" className="flex flex-wrap gap-1">
      {VERDICTS.map((verdict) => {
        const on = chosen.includes(verdict);
        return (
          <button
            key={verdict}
            type="button"
            aria-pressed={on}
            onClick={() => onChoose(verdict)}
            className={`inline-flex items-center gap-1.5 rounded border px-2 py-0.5 max-sm:gap-1 max-sm:px-1 ${on ? 'border-current' : 'hover:border-edge border-transparent'} ${verdictText[verdict] ?? ''}`}
          >
            <VerdictMark verdict={verdict} size={14} />
            <span className="font-mono font-semibold">{counts[verdict]}</span>
            <span className="text-second">{verdictWord(verdict)}</span>
          </button>
        );
      })}
    </div>
  );
}
