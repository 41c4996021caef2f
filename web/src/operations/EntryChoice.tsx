import { INPUT, Labelled } from '../ui/Field';
import { type Entry, entryKey, entryOf, type Sheet } from './plan';

interface Props {
  label: string;
  sheet: Sheet;
  value: Entry | null;
  /** What stands for none. */
  none: string;
  /** Whether it is enough to hear. */
  listening?: boolean;
  onChange: (entry: Entry | null) => void;
}

/** An entry out of the lists of the operation. */
export function EntryChoice({ label, sheet, value, none, listening, onChange }: Props) {
  const there = sheet.lists.some(
    (list) => list.id === value?.list && list.entries.some((each) => each.id === value.entry),
  );
  return (
    <Labelled label={label}>
      <select
        className={INPUT}
        value={entryKey(value)}
        onChange={(event) => onChange(entryOf(event.target.value))}
      >
        <option value="">{none}</option>
        {value && !there && <option value={entryKey(value)}>an entry that is not there any more</option>}
        {sheet.lists.map((list) => (
          <optgroup key={list.id} label={list.name}>
            {list.entries
              .filter((each) => listening || each.talks || each.id === value?.entry)
              .map((each) => (
                <option key={each.id} value={entryKey({ list: list.id, entry: each.id })}>
                  {`${each.number} ${each.name}: ${each.words}`}
                </option>
              ))}
          </optgroup>
        ))}
      </select>
    </Labelled>
  );
}
