import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { useMay } from '../accounts/rights';
import { useExamples } from '../rulebooks/rulebooks';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { bring } from './bring';

/** What a group without a list sees: what may be brought in, and an example that goes the same way and can be deleted. */
export function FirstList({ group }: { group: number }) {
  const edits = useMay('edit');
  const examples = useExamples(group);
  const go = useNavigate();
  const send = useMutation({
    mutationFn: () => bring(group, new Blob([examples.join('\n')]), 'An example', '', () => undefined),
    onSuccess: (brought) => go(`/intake/${brought.id}`),
  });
  if (!edits) return <p>There is no list yet.</p>;
  return (
    <section
      aria-label="The first list"
      className="border-line bg-sheet flex flex-col gap-2 rounded border px-4 py-3"
    >
      <p>There is no list yet. Drop any table with frequencies in it, or paste lines as people write them:</p>
      <pre className="bg-sunk text-second overflow-x-auto rounded p-2 font-mono">{examples.join('\n')}</pre>
      <div className="flex flex-wrap items-center gap-3">
        <Button disabled={send.isPending || examples.length === 0} onClick={() => send.mutate()}>
          Try it with these lines
        </Button>
        <span className="text-second text-soft">
          Each line is shown with what it is taken for before anything becomes a list. Delete the list when
          you have seen enough: its menu is at its right.
        </span>
      </div>
      {send.error && <Notice message={send.error.message} />}
    </section>
  );
}
