import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { Field, INPUT, Labelled } from '../ui/Field';
import { type Form, type Sheet, withoutList } from './plan';

interface Props {
  form: Form;
  sheet: Sheet | undefined;
  lists: Schemas['ListSummary'][];
  disabled: boolean;
  onChange: (form: Form) => void;
}

/** What an operation is: its name, place, hours and purpose, and the lists that are used. */
export function Frame({ form, sheet, lists, disabled, onChange }: Props) {
  const own = lists.filter((list) => list.parent === null);
  const gone = form.lists.filter((id) => !own.some((list) => list.id === id));
  return (
    <fieldset disabled={disabled} className="flex flex-col gap-3">
      <div className="flex flex-wrap gap-3">
        <Field
          label="Name"
          className="grow basis-48"
          value={form.name}
          onChange={(name) => onChange({ ...form, name })}
        />
        <Field
          label="Place"
          className="grow basis-48"
          value={form.place}
          onChange={(place) => onChange({ ...form, place })}
        />
        <Labelled label="Begins">
          <input
            type="datetime-local"
            className={INPUT}
            value={form.from.slice(0, 16)}
            onChange={(event) => onChange({ ...form, from: event.target.value })}
          />
        </Labelled>
        <Labelled label="Ends">
          <input
            type="datetime-local"
            className={INPUT}
            value={form.until.slice(0, 16)}
            onChange={(event) => onChange({ ...form, until: event.target.value })}
          />
        </Labelled>
      </div>
      <Labelled label="What it is for">
        <textarea
          className={INPUT}
          rows={2}
          maxLength={2000}
          value={form.purpose}
          onChange={(event) => onChange({ ...form, purpose: event.target.value })}
        />
      </Labelled>
      <fieldset>
        <legend className="text-second text-soft pb-1">Lists that are used</legend>
        <ul className="border-line bg-sheet grid gap-x-4 rounded border px-3 py-1.5 sm:grid-cols-2">
          {own.map((list) => {
            const used = form.lists.includes(list.id);
            const seen = sheet?.lists.find((each) => each.id === list.id);
            return (
              <li key={list.id} className="flex min-h-7 items-center gap-2">
                <label className="flex min-w-0 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5 shrink-0"
                    checked={used}
                    onChange={() =>
                      onChange(
                        used ? withoutList(form, list.id) : { ...form, lists: [...form.lists, list.id] },
                      )
                    }
                  />
                  <span className="min-w-0 truncate">{list.name}</span>
                </label>
                {used && seen && (
                  <Link
                    to={`/lists/${list.id}/release`}
                    className="text-second text-soft hover:text-accent shrink-0 underline-offset-2 hover:underline"
                  >
                    {seen.release === null
                      ? 'not out'
                      : `release ${seen.release}${seen.changed ? ', changed since' : ''}`}
                  </Link>
                )}
              </li>
            );
          })}
          {gone.map((id) => (
            <li key={id} className="flex min-h-7 items-center gap-2">
              <label className="flex items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5"
                  checked
                  onChange={() => onChange(withoutList(form, id))}
                />
                {sheet?.lists.find((each) => each.id === id)?.name ?? 'A list that is not in use'}
              </label>
            </li>
          ))}
        </ul>
      </fieldset>
    </fieldset>
  );
}
