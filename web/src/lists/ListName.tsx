import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';

const LONGEST = 200;

/** The name of a list, being written anew: Enter saves, Escape leaves it. */
export function ListName({ list, name, onDone }: { list: number; name: string; onDone: () => void }) {
  const caughtUp = useCaughtUp();
  const [text, setText] = useState(name);
  const save = useMutation({
    mutationFn: () =>
      data(
        api.PUT('/api/lists/{list}/name', {
          params: { path: { list } },
          body: { before: name, name: text.trim() },
        }),
      ),
    onSuccess: async () => {
      await caughtUp();
      onDone();
    },
  });
  const same = text.trim() === name;
  return (
    <form
      className="flex min-w-0 grow flex-wrap items-center gap-2 px-4 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (same) onDone();
        else save.mutate();
      }}
    >
      <input
        autoFocus
        aria-label={`New name of ${name}`}
        className={`${INPUT} min-w-0 grow`}
        maxLength={LONGEST}
        value={text}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') onDone();
        }}
      />
      <Button kind="strong" type="submit" disabled={save.isPending || !text.trim()}>
        Rename
      </Button>
      <Button kind="quiet" onClick={onDone}>
        Cancel
      </Button>
      {save.error && (
        <p role="alert" className="text-hold text-second basis-full">
          {save.error.message}
        </p>
      )}
    </form>
  );
}
