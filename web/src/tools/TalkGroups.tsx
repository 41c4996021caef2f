import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';

/** A talk group as it is typed. */
export interface TypedTalkGroup {
  number: string;
  name: string;
  slot: string;
  forWhom: string;
}

interface Props {
  groups: TypedTalkGroup[];
  onChange: (groups: TypedTalkGroup[]) => void;
}

/** The talk groups that the group has agreed on: what is called, what it is called, its slot, and for whom it is. */
export function TalkGroups({ groups, onChange }: Props) {
  const set = (at: number, change: Partial<TypedTalkGroup>) =>
    onChange(groups.map((each, index) => (index === at ? { ...each, ...change } : each)));
  return (
    <section className="flex flex-col gap-1.5">
      <h3 className="font-semibold">Talk groups (DMR)</h3>
      <p className="text-second text-soft">
        An entry that calls another number, or the same by another name or on another slot, is asked about.
        Type “tg valley” to add one by its name.
      </p>
      {groups.map((each, index) => (
        <div key={index} className="flex flex-wrap gap-2">
          <input
            aria-label="Talk group"
            placeholder="number"
            inputMode="numeric"
            className={`${INPUT} w-28 font-mono`}
            value={each.number}
            onChange={(event) => set(index, { number: event.target.value.replace(/\D/g, '').slice(0, 8) })}
          />
          <input
            aria-label="What it is called"
            placeholder="name"
            className={`${INPUT} grow basis-40`}
            maxLength={40}
            value={each.name}
            onChange={(event) => set(index, { name: event.target.value })}
          />
          <select
            aria-label="Slot"
            className={`${INPUT} w-28`}
            value={each.slot}
            onChange={(event) => set(index, { slot: event.target.value })}
          >
            <option value="">any slot</option>
            <option value="1">slot 1</option>
            <option value="2">slot 2</option>
          </select>
          <input
            aria-label="For whom"
            placeholder="for everybody"
            className={`${INPUT} basis-40`}
            maxLength={120}
            value={each.forWhom}
            onChange={(event) => set(index, { forWhom: event.target.value })}
          />
          <Button
            kind="quiet"
            aria-label={`Remove ${each.name || 'this talk group'}`}
            onClick={() => onChange(groups.filter((_, at) => at !== index))}
          >
            ×
          </Button>
        </div>
      ))}
      <Button
        className="text-second self-start"
        onClick={() => onChange([...groups, { number: '', name: '', slot: '', forWhom: '' }])}
      >
        Add one
      </Button>
    </section>
  );
}
