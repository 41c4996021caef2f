import { INPUT } from './Field';
import type { PaperSize } from './paper';

/** On which paper: kept for the next time. */
export function PaperChoice({ paper, onChange }: { paper: PaperSize; onChange: (next: PaperSize) => void }) {
  return (
    <select
      aria-label="Paper"
      className={INPUT}
      value={paper}
      onChange={(event) => onChange(event.target.value as PaperSize)}
    >
      <option value="a4">A4</option>
      <option value="letter">Letter</option>
    </select>
  );
}
