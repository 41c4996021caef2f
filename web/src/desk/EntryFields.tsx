import { useTerms } from '../rulebooks/rulebooks';
import { FIELDS, type FieldSpec } from './fields';

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

/** The entry's fields. Each keystroke is judged; leaving the field or Enter saves, Escape takes it back. */
export function EntryFields({ rulebook, fields, draft, fixed, onType, onSave, onDrop }: Props) {
  const services = useTerms(rulebook).data?.services ?? [];
  return (
    <form
      aria-label="Entry"
      className="grid grid-cols-4 gap-x-2 gap-y-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        onSave();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') {
          onDrop();
          (event.target as HTMLElement).blur();
        }
      }}
    >
      {FIELDS.map((field) => (
        <label key={field.key} className={`flex min-w-0 flex-col ${field.wide ? 'col-span-2' : ''}`}>
          <span className="text-soft text-[12px] leading-tight">{field.label}</span>
          <Input
            field={
              field.key === 'service'
                ? { ...field, options: ['', ...services.map((each) => each.id)] }
                : field
            }
            words={
              field.key === 'service' ? Object.fromEntries(services.map((each) => [each.id, each.title])) : {}
            }
            text={draft[field.key] ?? fields[field.key] ?? ''}
            touched={field.key in draft}
            fixed={fixed}
            onType={(text) => onType(field.key, text)}
            onSave={onSave}
          />
        </label>
      ))}
      <button type="submit" className="sr-only" tabIndex={-1}>
        Save
      </button>
    </form>
  );
}

interface InputProps {
  field: FieldSpec;
  /** What an option is called, where that is not how it is written. */
  words: Record<string, string>;
  text: string;
  touched: boolean;
  fixed: boolean;
  onType: (text: string) => void;
  onSave: () => void;
}

function Input({ field, words, text, touched, fixed, onType, onSave }: InputProps) {
  const look = `w-full min-w-0 rounded border px-1.5 py-0.5 text-[14px] ${touched ? 'border-accent bg-accent-wash' : 'border-line bg-sheet hover:border-edge'}`;
  if (field.options) {
    const options = field.options.includes(text) ? field.options : [...field.options, text];
    return (
      <select
        className={look}
        disabled={fixed}
        value={text}
        title={field.hint}
        onChange={(e) => onType(e.target.value)}
        onBlur={onSave}
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
      className={`${look} ${field.key === 'name' || field.key === 'note' ? '' : 'font-mono'}`}
      value={text}
      placeholder={field.hint}
      data-field={field.key}
      readOnly={fixed}
      autoComplete="off"
      spellCheck={false}
      onChange={(event) => onType(event.target.value)}
      onBlur={onSave}
    />
  );
}
