import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, data, type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { Field, INPUT, Labelled } from '../ui/Field';
import { Refused } from '../ui/Refused';
import { weekLater } from './plan';

/** The same again on another day: its hours move along. */
export function Copy({ kept }: { kept: Schemas['OperationKept'] }) {
  const go = useNavigate();
  const caughtUp = useCaughtUp();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [from, setFrom] = useState(() => weekLater(kept.form.from));
  const copy = useMutation({
    mutationFn: () =>
      data(
        api.POST('/api/operations/{operation}/copy', {
          params: { path: { operation: kept.id } },
          body: { name: name.trim(), from },
        }),
      ),
    onSuccess: async ({ id }) => {
      await caughtUp();
      void go(`/operations/${id}`);
    },
  });
  if (!open)
    return (
      <div>
        <Button onClick={() => setOpen(true)}>Copy it for the next</Button>
      </div>
    );
  return (
    <form
      aria-label="Copy it for the next"
      className="border-line bg-sheet flex flex-col gap-2.5 rounded border px-3 py-2.5"
      onSubmit={(event) => {
        event.preventDefault();
        copy.mutate();
      }}
    >
      <Field label="Name of the next" value={name} autoFocus onChange={setName} />
      <Labelled label="Begins; all hours move along">
        <input
          type="datetime-local"
          className={INPUT}
          value={from}
          onChange={(event) => setFrom(event.target.value)}
        />
      </Labelled>
      <Refused by={[copy]} />
      <div className="flex gap-2">
        <Button kind="strong" type="submit" disabled={!name.trim() || !from || copy.isPending}>
          Copy
        </Button>
        <Button onClick={() => setOpen(false)}>Leave it</Button>
      </div>
    </form>
  );
}
