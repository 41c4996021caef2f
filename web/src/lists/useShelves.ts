import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';

type Shelf = Schemas['ListSummary']['shelf'];

/** What was done to a list as a whole, and the shelf from which it came. */
export interface Moved {
  list: number;
  words: string;
  from: Shelf;
  to: Shelf;
  /** The shelf to which it goes back, when this only undoes what was done. */
  undoes?: Shelf;
}

const WORDS: Record<Shelf, string> = {
  'in-use': 'is back among the lists',
  archived: 'is in the archive',
  deleted: 'is deleted',
};

/** Archives lists, deletes them and brings them back; what was done last can be undone. */
export function useShelves() {
  const caughtUp = useCaughtUp();
  const [done, setDone] = useState<Moved>();
  const [last, setLast] = useState<number>();
  const put = useMutation({
    mutationFn: ({ list, from, to }: Moved) =>
      data(
        api.PUT('/api/lists/{list}/shelf', {
          params: { path: { list } },
          body: { before: from, after: to },
        }),
      ),
    onMutate: () => setDone(undefined),
    // Said at once: the pages catch up after it, and what is said next must not be overtaken by it.
    onSuccess: (_, moved) => {
      setDone(moved.undoes ? undefined : moved);
      setLast(moved.list);
      void caughtUp();
    },
  });
  return {
    done,
    /** The list that was moved last: what was just brought back must be seen. */
    last,
    error: put.error,
    busy: put.isPending,
    move: (list: { id: number; name: string }, from: Shelf, to: Shelf) =>
      put.mutate({ list: list.id, words: `${list.name} ${WORDS[to]}`, from, to }),
    undo: () => done && put.mutate({ ...done, from: done.to, to: done.from, undoes: done.from }),
  };
}
