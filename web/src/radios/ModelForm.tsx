import { useRef, useState } from 'react';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { changed, inWords, LINES, plain, type ModelBody } from './modelBody';

interface Props {
  body: ModelBody;
  title: string;
  problem?: string;
  busy: boolean;
  onSave: (body: ModelBody) => void;
  onLeave: () => void;
}

const KINDS = [
  ['hand-held', 'Hand-held'],
  ['mobile', 'Mobile'],
  ['base station', 'Base station'],
  ['transceiver', 'Transceiver'],
] as const;

/** The data sheet of a model; what is left empty is not judged. */
export function ModelForm({ body, title, problem, busy, onSave, onLeave }: Props) {
  const [draft, setDraft] = useState(body);
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [unread, setUnread] = useState<string>();
  const file = useRef<HTMLInputElement>(null);
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    try {
      setDraft(JSON.parse(await chosen.text()) as ModelBody);
      setTyped({});
      setUnread(undefined);
    } catch {
      setUnread(`${chosen.name} is no model file: expected JSON with "format": "wache-radio/1".`);
    }
  };
  return (
    <form
      aria-label={title}
      className="flex flex-col gap-3 p-5"
      onSubmit={(event) => {
        event.preventDefault();
        onSave(draft);
      }}
    >
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="text-title grow font-semibold">{title}</h2>
        <Button onClick={() => file.current?.click()}>From a file</Button>
        <input
          ref={file}
          type="file"
          accept=".json,application/json"
          className="hidden"
          aria-label="Model file"
          onChange={(event) => void take(event.target.files?.[0])}
        />
        <Button onClick={onLeave}>Cancel</Button>
        <Button kind="strong" type="submit" disabled={busy || plain(draft.model) === ''}>
          Save
        </Button>
      </div>
      {(unread ?? problem) && <Notice message={unread ?? inWords(problem!)} />}
      <p className="text-second text-soft">What is left empty is not known, and not judged.</p>
      <Choice
        label="Kind"
        value={plain(draft.kind)}
        options={KINDS}
        onChange={(kind) => setDraft({ ...draft, kind })}
      />
      {LINES.map((line) => (
        <Field
          key={line.key}
          label={line.label}
          placeholder={line.hint}
          value={typed[line.key] ?? line.show(draft[line.key])}
          onChange={(text) => {
            setTyped({ ...typed, [line.key]: text });
            setDraft(changed(draft, line, text));
          }}
        />
      ))}
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={draft.busyLockout === true}
          onChange={(event) => setDraft({ ...draft, busyLockout: event.target.checked })}
        />
        It can refuse to key on a busy channel
      </label>
      {draft.keypad !== undefined && (
        <p className="text-second text-soft">Its keypad is kept as it is in its file.</p>
      )}
    </form>
  );
}
