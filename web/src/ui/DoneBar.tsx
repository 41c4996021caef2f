import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { Button } from './Button';

/** Something that was done to a list: in words, the version it made, and where it is seen. */
export interface Done {
  words: string;
  version: number;
  to?: string;
}

interface Props {
  done: Done;
  back: (again: boolean, version: number) => Promise<boolean>;
  onUndone: () => void;
}

/** What was just done to a list, and the way back; a way back that is refused is told where the page tells its problems. */
export function DoneBar({ done, back, onUndone }: Props) {
  const undo = useMutation({
    mutationFn: () => back(false, done.version),
    onSuccess: (undone) => {
      if (undone) onUndone();
    },
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
    </p>
  );
}
