import { memo } from 'react';
import type { Cure, Slip } from '../api/client';
import { digital } from '../lists/digital';
import { Button } from '../ui/Button';
import { Megahertz, offset } from '../ui/Megahertz';
import { VerdictMark, verdictEdge, verdictText, verdictWord } from '../ui/VerdictMark';

interface Props {
  slip: Slip;
  selected: boolean;
  onSelect: (slip: Slip) => void;
  /** The cure that is offered here. */
  cure: Cure | null;
  onCure?: (slip: Slip, cure: Cure) => void;
}

/** One entry on two lines: what it comes to and why; then the radio's facts. */
export const SlipRow = memo(function SlipRow({ slip, selected, onSelect, cure, onCure }: Props) {
  return (
    <div
      className={`border-line relative flex h-full items-stretch border-b border-l-[3px] ${verdictEdge[slip.verdict] ?? ''} ${selected ? 'bg-accent-wash' : 'bg-sheet hover:bg-sunk'}`}
    >
      <button
        type="button"
        data-entry={slip.id}
        aria-current={selected}
        tabIndex={selected ? 0 : -1}
        onClick={() => onSelect(slip)}
        className="flex min-w-0 grow flex-col justify-center gap-px overflow-hidden py-1 pr-2 pl-3 text-left focus-visible:-outline-offset-2"
      >
        <span className="flex w-full items-center gap-2">
          <VerdictMark verdict={slip.verdict} size={15} />
          <span className={`text-second w-11 shrink-0 font-semibold ${verdictText[slip.verdict] ?? ''}`}>
            {verdictWord(slip.verdict)}
          </span>
          <span className="max-w-44 shrink-0 truncate font-semibold">{slip.fields.name ?? '(no name)'}</span>
          <span className="text-second min-w-0 truncate">
            {slip.reason || (
              <span className="text-soft">{slip.verdict === 'listen' && slip.fields.note}</span>
            )}
          </span>
          {slip.more > 0 && (
            <span className="text-second text-soft shrink-0" title={`and ${slip.more} more`}>
              +{slip.more}
            </span>
          )}
        </span>
        <Facts slip={slip} />
      </button>
      {cure && onCure && (
        <span className="hidden shrink-0 items-center pr-3 sm:flex">
          <Button
            kind="quiet"
            className="text-second max-w-52"
            tabIndex={-1}
            onClick={() => onCure(slip, cure)}
            title={cure.label}
          >
            <span className="truncate">{cure.label}</span>
            <VerdictMark verdict={cure.verdictAfter} size={11} />
            <span className="sr-only">for {slip.fields.name ?? 'this entry'}</span>
          </Button>
        </span>
      )}
    </div>
  );
});

function Facts({ slip }: { slip: Slip }) {
  const { fields } = slip;
  return (
    <span className="text-second text-soft flex w-full items-baseline gap-2 overflow-hidden pl-[23px] whitespace-nowrap">
      <span className="w-11 shrink-0 font-mono">{fields.number}</span>
      <span className="w-[8.7rem] shrink-0">
        hears{' '}
        <span className="text-ink">
          {slip.rxHz === null ? (fields.rxMhz ?? '?') : <Megahertz hertz={slip.rxHz} />}
        </span>
      </span>
      <span className="w-[12.4rem] shrink-0 truncate">
        <Talks slip={slip} />
      </span>
      <span className="w-12 shrink-0">{fields.emission ?? fields.mode}</span>
      <span className="w-12 shrink-0 text-right">{fields.powerW ? `${fields.powerW} W` : ''}</span>
      <span className="truncate pl-1">
        {[tones(fields.txTone, fields.rxTone), digital(fields)].filter(Boolean).join(', ')}
      </span>
    </span>
  );
}

function tones(sends: string | undefined, opens: string | undefined): string {
  if (sends && sends === opens) return `${sends} both ways`;
  return [sends && `sends ${sends}`, opens && `opens with ${opens}`].filter(Boolean).join(', ');
}

function Talks({ slip }: { slip: Slip }) {
  if (slip.txHz === null) return slip.fields.txMhz ? <>talks on {slip.fields.txMhz}?</> : <>never talks</>;
  if (slip.txHz === slip.rxHz) return <>talks direct</>;
  return (
    <>
      talks on{' '}
      <span className="text-ink">
        <Megahertz hertz={slip.txHz} />
      </span>
      {slip.rxHz !== null && <> ({offset(slip.txHz - slip.rxHz)})</>}
    </>
  );
}
