import type { Cure } from '../api/client';
import { Button } from '../ui/Button';
import { VerdictMark, verdictWord } from '../ui/VerdictMark';

interface Props {
  cure: Cure;
  /** The digit that presses it, where one does. */
  digit: number;
  disabled?: boolean;
  onPress: () => void;
}

/** A proved cure: what it does, and the verdict it ends in. */
export function CureButton({ cure, digit, disabled, onPress }: Props) {
  return (
    <Button onClick={onPress} disabled={disabled} className="text-second max-w-full">
      <kbd className="text-soft font-mono">{digit > 0 && digit < 10 ? digit : ''}</kbd>
      <span className="truncate">{cure.label}</span>
      <span
        className="text-soft inline-flex items-center gap-1"
        title={verdictWord(cure.verdictAfter).toLowerCase()}
      >
        → <VerdictMark verdict={cure.verdictAfter} size={11} />
        <span className="sr-only">{verdictWord(cure.verdictAfter).toLowerCase()}</span>
        {cure.stillHeld.length > 0 && (
          <span className="text-hold" title={`Stays on hold for ${cure.stillHeld.join(', ')}`}>
            , not for {cure.stillHeld.length === 1 ? cure.stillHeld[0] : `${cure.stillHeld.length} others`}
          </span>
        )}
      </span>
    </Button>
  );
}
