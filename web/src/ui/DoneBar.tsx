import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, data } from '../api/client';
import { Button } from './Button';

/** Something that was done to a list: in words, the version it made, and where it is seen. */
export interface Done {
  words: string;
  version: number;
  to?: string;
}

/** What was just done to a list, and the way back. */
export function DoneBar({ list, done, onUndone }: { list: number; done: Done; onUndone: () => void }) {
  const undo = useMutation({
    mutationFn: () =>
      data(
        api.POST('/api/lists/{list}/undo', {
          params: { path: { list } },
          body: { again: false, version: done.version },
        }),
      ),
    onSuccess: onUndone,
  });
  return (
    <p
      role="status"
      className="border-line bg-accent-wash flex flex-wrap items-center gap-3 border-b px-3 py-1"
    >
      {done.words}.
      {done.to && (
        <Link to={done.to} className="text-accent underline underline-offset-2">
          See it in the list
        </Link>
      )}
      <Button disabled={undo.isPending} onClick={() => undo.mutate()}>
        Undo
      </Button>
      {undo.error && <span className="text-hold">{undo.error.message}</span>}
    </p>
  );
}
