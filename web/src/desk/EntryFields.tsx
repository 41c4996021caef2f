import { useState } from 'react';
import { useTerms } from '../rulebooks/rulebooks';
import { Button } from '../ui/Button';
import { oddPower } from './follow';
import { heading, useFields, type FieldView } from '../lists/fields';

interface Props {
  /** Whose services an entry may be meant as. */
  rulebook: string;
  fields: Record<string, string>;
  draft: Record<string, string>;
  /** Whether nothing may be typed: the list follows another, or is seen as of another day. */
  fixed: boolean;
  onType: (key: string, text: string) => void;
  onSave: () => void;
  onDrop: () => void;
}

/** The entry's fields. Each keystroke is judged; Enter or the button saves, Escape takes it back. What is odd is asked about first. */
export function EntryFields({ rulebook, fields, draft, fixed, onType, onSave, onDrop }: Props) {
  const services = useTerms(rulebook).data?.services ?? [];
  const all = useFields();
  const [meant, setMeant] = useState('');
  const touched = Object.keys(draft).length > 0;
  const odd = 'powerW' in draft && draft.powerW !== meant ? oddPower(draft.powerW ?? '') : undefined;
  const moved = 'rxMhz' in draft && 'txMhz' in draft;
  const mode = draft.mode ?? fields.mode;
  // What only digital channels have is asked for where there is one, and shown where something stands in it.
  const has = ({ key, modes }: FieldView) =>
    modes.length === 0 ||
    Boolean(draft[key] ?? fields[key]) ||
    modes.some((each) => each === mode?.toLowerCase());
  const save = () => {
    if (odd !== undefined) setMeant(draft.powerW ?? '');
    else onSave();
  };
  return (
    <form
      aria-label="Entry"
      className="grid grid-cols-3 gap-x-2 gap-y-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        if (odd === undefined) onSave();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') {
          onDrop();
          (event.target as HTMLElement).blur();
        }
      }}
    >
      {all.filter(has).map((field) => (
        <label
          key={field.key}
          className={`flex min-w-0 flex-col ${field.shape === 'words' ? 'col-span-2' : ''}`}
        >
          <span className="text-soft text-[12px] leading-tight">{heading(field)}</span>
          <Input
            field={field}
            choices={field.shape === 'service' ? services.map((each) => each.id) : field.choices}
            words={
              field.shape === 'service'
                ? Object.fromEntries(services.map((each) => [each.id, each.title]))
                : {}
            }
            text={draft[field.key] ?? fields[field.key] ?? ''}
            touched={field.key in draft}
            fixed={fixed}
            onType={(text) => onType(field.key, text)}
          />
        </label>
      ))}
      {touched && (
        <div className="col-span-3 flex flex-wrap items-center gap-2 pt-0.5">
          <Button
            kind="strong"
            type={odd === undefined ? 'submit' : 'button'}
            className="text-second"
            onClick={odd === undefined ? undefined : save}
          >
            {odd === undefined ? 'Save' : 'It is meant'}
          </Button>
          <Button kind="quiet" className="text-second" onClick={onDrop}>
            Discard changes
          </Button>
          {odd !== undefined && (
            <span role="alert" className="text-query text-second">
              {odd} Is that meant?
            </span>
          )}
          {moved && odd === undefined && (
            <Button kind="quiet" className="text-second" onClick={() => onType('txMhz', fields.txMhz ?? '')}>
              Let it talk where it did
            </Button>
          )}
        </div>
      )}
    </form>
  );
}

interface InputProps {
  field: FieldView;
  /** What may be chosen; empty where it is typed. */
  choices: string[];
  /** What an option is called, where that is not how it is written. */
  words: Record<string, string>;
  text: string;
  touched: boolean;
  fixed: boolean;
  onType: (text: string) => void;
}

function Input({ field, choices, words, text, touched, fixed, onType }: InputProps) {
  const look = `w-full min-w-0 rounded border px-1.5 py-0.5 text-[14px] ${touched ? 'border-accent bg-accent-wash' : 'border-line bg-sheet hover:border-edge'}`;
  if (choices.length > 0) {
    const options = ['', ...choices, ...(choices.includes(text) || text === '' ? [] : [text])];
    return (
      <select
        className={look}
        disabled={fixed}
        value={text}
        title={field.hint}
        onChange={(e) => onType(e.target.value)}
      >
        {options.map((option) => (
          <option key={option} value={option}>
            {words[option] ?? (option || '–')}
          </option>
        ))}
      </select>
    );
  }
  return (
    <input
      className={`${look} ${field.shape === 'words' ? '' : 'font-mono placeholder:font-sans placeholder:text-[13px]'}`}
      value={text}
      placeholder={field.hint}
      data-field={field.key}
      readOnly={fixed}
      autoComplete="off"
      spellCheck={false}
      onChange={(event) => onType(event.target.value)}
    />
  );
}
