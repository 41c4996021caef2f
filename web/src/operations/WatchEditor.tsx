import { useState } from 'react';
import { Button } from '../ui/Button';
import { Field, INPUT, Labelled } from '../ui/Field';
import { EntryChoice } from './EntryChoice';
import { type Entry, entryKey, type Form, found, type Sheet, type Watch, whoKey, whoOf } from './plan';
import { Troubles } from './Troubles';
import { WhoOptions } from './WhoOptions';
import type { Schemas } from '../api/client';

interface Props {
  form: Form;
  sheet: Sheet;
  at: number;
  roster: Schemas['Roster'] | undefined;
  disabled: boolean;
  onChange: (watch: Watch | null) => void;
  onClose: () => void;
}

const MOST_ALSO = 8;

/** One watch: who, what they do, from when to when, on which entries; and what is wrong with it. */
export function WatchEditor({ form, sheet, at, roster, disabled, onChange, onClose }: Props) {
  const watch = form.watches[at]!;
  const seen = sheet.watches[at];
  const set = (change: Partial<Watch>) => onChange({ ...watch, ...change });
  const [next, setNext] = useState<Entry | null>(null);
  const troubles = sheet.troubles.filter((each) => each.watch === at);
  return (
    <section aria-label={seen?.name ?? 'Watch'} className="border-line bg-sheet rounded border">
      <div className="border-line flex items-center gap-2 border-b px-3 py-1.5">
        <h2 className="min-w-0 grow truncate font-semibold">{seen?.name ?? 'Somebody new'}</h2>
        <Button kind="quiet" onClick={onClose}>
          Close
        </Button>
      </div>
      <Troubles troubles={troubles} of={seen?.name} />
      <fieldset disabled={disabled} className="flex min-w-0 flex-col gap-2.5 px-3 py-2.5">
        <Labelled label="Who">
          <select
            className={INPUT}
            value={whoKey(watch.who)}
            onChange={(event) => set({ who: whoOf(event.target.value) })}
          >
            <WhoOptions roster={roster} kept={watch.who} name={seen?.name} />
          </select>
        </Labelled>
        {seen && seen.people.length > 0 && (
          <details className="text-second">
            <summary className="text-soft min-h-6 cursor-pointer">
              {seen.people.length === 1 ? seen.people[0] : `${seen.people.length} people`}
            </summary>
            {seen.people.join(', ')}
          </details>
        )}
        <Field label="Task, and where" value={watch.task} onChange={(task) => set({ task })} />
        <div className="flex flex-wrap gap-2.5">
          <Hour
            label="From"
            usual={form.from}
            value={watch.from}
            form={form}
            onChange={(from) => set({ from })}
          />
          <Hour
            label="Until"
            usual={form.until}
            value={watch.until}
            form={form}
            onChange={(until) => set({ until })}
          />
        </div>
        <EntryChoice
          label="Talks on"
          sheet={sheet}
          value={watch.talk}
          none="nothing yet"
          onChange={(talk) => set({ talk })}
        />
        <EntryChoice
          label="If that fails"
          sheet={sheet}
          value={watch.fallback}
          none="no other entry"
          onChange={(fallback) => set({ fallback })}
        />
        <Field
          label="When nothing gets through"
          placeholder="a runner, a telephone"
          value={watch.instead}
          onChange={(instead) => set({ instead })}
        />
        {watch.also.length > 0 && (
          <ul aria-label="Listens to, too">
            {watch.also.map((each, i) => (
              <li key={entryKey(each)} className="flex items-center gap-2">
                <span className="min-w-0 grow truncate">{named(sheet, each)}</span>
                <Button kind="quiet" onClick={() => set({ also: watch.also.filter((_, k) => k !== i) })}>
                  Take out
                </Button>
              </li>
            ))}
          </ul>
        )}
        {watch.also.length < MOST_ALSO && (
          <div className="flex items-end gap-2">
            <div className="min-w-0 grow">
              <EntryChoice
                label={watch.also.length === 0 ? 'Listens to, too' : 'And to'}
                sheet={sheet}
                value={next}
                none="nothing more"
                listening
                onChange={setNext}
              />
            </div>
            <Button
              disabled={!next || watch.also.some((each) => entryKey(each) === entryKey(next))}
              onClick={() => {
                if (next) set({ also: [...watch.also, next] });
                setNext(null);
              }}
            >
              Add
            </Button>
          </div>
        )}
        <div>
          <Button onClick={() => onChange(null)}>Take it off the plan</Button>
        </div>
      </fieldset>
    </section>
  );
}

function named(sheet: Sheet, each: Entry) {
  const entry = found(sheet, each);
  return entry ? `${entry.number} ${entry.name}: ${entry.words}` : 'an entry that is not there any more';
}

function Hour({
  label,
  usual,
  value,
  form,
  onChange,
}: {
  label: string;
  usual: string;
  value: string | null;
  form: Form;
  onChange: (value: string | null) => void;
}) {
  return (
    <Labelled label={value === null ? `${label} (as the operation)` : label}>
      <input
        type="datetime-local"
        className={`${INPUT} w-full`}
        min={form.from.slice(0, 16)}
        max={form.until.slice(0, 16)}
        value={(value ?? usual).slice(0, 16)}
        onChange={(event) => onChange(event.target.value || null)}
      />
    </Labelled>
  );
}
