import type { Cure, Dossier as DossierData } from '../api/client';
import { inWords } from '../intake/words';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { some } from '../ui/people';
import { VerdictMark, VerdictWord, verdictWord } from '../ui/VerdictMark';
import { EntryFields } from './EntryFields';
import { companions } from './companion';
import { FindingView } from './FindingView';
import { numbered } from './cures';

interface Props {
  rulebook: string;
  dossier: DossierData;
  saved: Record<string, string>;
  draft: Record<string, string>;
  problem?: string;
  /** Whether its fields are open: the verdict comes first, and what is typed under it does not move. */
  opened: boolean;
  /** Whether it was moved to another frequency and nothing else is typed: then a line tells of it, and no form. */
  moved: boolean;
  onOpen: (open: boolean) => void;
  onType: (key: string, text: string) => void;
  onSave: () => void;
  onDrop: () => void;
  onCure: (cure: Cure) => void;
  onRemove?: () => void;
  /** Adds an entry that goes with this one. */
  onAdd: (label: string, fields: Record<string, string>) => void;
}

/** All that the audit says of one entry, its fields, and its cures. */
export function Dossier({
  rulebook,
  dossier,
  saved,
  draft,
  problem,
  opened,
  moved,
  onOpen,
  onType,
  onSave,
  onDrop,
  onCure,
  onRemove,
  onAdd,
}: Props) {
  const { slip } = dossier;
  const touched = Object.keys(draft).length > 0;
  const open = opened || (touched && !moved);
  const cures = numbered(dossier.findings);
  return (
    <div className="flex flex-col gap-2 px-3 py-2.5">
      <header className="flex items-baseline justify-between gap-3">
        <h2 className="text-title min-w-0 truncate font-semibold">{slip.fields.name ?? '(no name)'}</h2>
        <button
          type="button"
          aria-expanded={open}
          disabled={touched && !moved}
          onClick={() => onOpen(!open)}
          className="text-second text-accent disabled:text-soft min-h-6 shrink-0 grow text-left underline-offset-2 not-disabled:hover:underline"
        >
          {open ? 'Close its fields' : onRemove ? 'Change it' : 'All its fields'}
          {!open && onRemove && <kbd className="pl-1.5 font-mono text-[12px]">e</kbd>}
        </button>
        <span aria-live="polite" data-testid="verdict">
          <VerdictWord verdict={slip.verdict} />
        </span>
      </header>
      {open ? (
        <EntryFields
          rulebook={rulebook}
          fields={saved}
          draft={draft}
          fixed={!onRemove}
          onType={onType}
          onSave={onSave}
          onDrop={onDrop}
        />
      ) : (
        <p className="text-second">{inWords({ ...saved, ...draft })}</p>
      )}
      {touched && !open && (
        <div className="border-accent bg-accent-wash flex flex-wrap items-center gap-2 rounded border px-2 py-1">
          <span className="grow">
            Moved from <span className="font-mono">{saved.rxMhz}</span>.
          </span>
          <Button kind="strong" className="text-second" data-moved onClick={onSave}>
            Save ↵
          </Button>
          <Button kind="quiet" className="text-second" onClick={onDrop}>
            Put it back <kbd className="font-mono text-[12px]">Esc</kbd>
          </Button>
        </div>
      )}
      {problem && <Notice message={problem} />}
      {dossier.findings.map((finding) => (
        <FindingView
          key={finding.rule + finding.message}
          finding={finding}
          slip={slip}
          everyone={dossier.holders.reduce((sum, holder) => sum + holder.names.length, 0)}
          cures={onRemove ? (cures.get(finding) ?? []) : []}
          onCure={onCure}
          onDrop={onRemove}
        />
      ))}
      <Holders dossier={dossier} />
      {onRemove && (
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {companions(saved).map((each) => (
            <button
              key={each.label}
              type="button"
              className="text-second text-accent underline-offset-2 hover:underline"
              onClick={() => onAdd(each.label, each.fields)}
            >
              {each.label}
            </button>
          ))}
          <button
            type="button"
            className="text-second text-soft hover:text-hold underline-offset-2 hover:underline"
            onClick={onRemove}
          >
            Remove this entry
          </button>
        </div>
      )}
    </div>
  );
}

/** Who may key it, and by what right. */
function Holders({ dossier }: { dossier: DossierData }) {
  if (dossier.slip.txHz === null) return null;
  return (
    <section>
      <h3 className="text-second text-soft pb-1">Who may key it</h3>
      <ul className="text-second flex flex-col gap-1">
        {dossier.holders.map((holder) => (
          <li key={holder.names[0]} className="flex items-baseline gap-2">
            <span className="translate-y-[2px]">
              <VerdictMark verdict={holder.verdict} size={12} />
            </span>
            <span>
              <span className="font-semibold" title={holder.names.join(', ')}>
                {some(holder.names)}
              </span>
              :{' '}
              {holder.authority
                ? `${holder.authority}, ${holder.source}`
                : verdictWord(holder.verdict).toLowerCase()}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
