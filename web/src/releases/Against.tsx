import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { VerdictMark } from '../ui/VerdictMark';

interface Props {
  line: Schemas['ReleaseLine'];
  against: Schemas['AgainstIt'][];
}

/** What speaks against a release today, and the recall. */
export function Against({ line, against }: Props) {
  const recall = against.some((each) => each.recall);
  return (
    <section
      aria-label="Against it today"
      className={`border-line bg-sheet rounded border border-l-[3px] px-4 py-2.5 ${recall ? 'border-l-hold' : 'border-l-query'}`}
    >
      <h2 className="font-semibold">
        {recall
          ? `Release ${line.number} of ${line.name} no longer stands as it went out`
          : `Worth a look: release ${line.number} of ${line.name}`}
      </h2>
      <ul className="flex flex-col gap-1 py-1.5">
        {against.slice(0, 8).map((each, index) => (
          <li key={index} className="flex items-start gap-2">
            <span className="pt-0.5">
              <VerdictMark verdict={each.recall ? 'hold' : 'query'} size={13} />
            </span>
            <span>
              <span className="text-soft font-mono">{each.number}</span>{' '}
              <span className="font-semibold">{each.name}</span> {each.model && <>in {each.model}: </>}
              {each.message} <span className="text-second text-soft">{each.source}</span>
            </span>
          </li>
        ))}
        {against.length > 8 && <li className="text-second text-soft">and {against.length - 8} more</li>}
      </ul>
      <Recall line={line} proposed={recall} first={against.find((each) => each.recall)?.message ?? ''} />
    </section>
  );
}

/** Recalls a release: with a reason, for good. */
export function Recall({
  line,
  proposed,
  first,
}: {
  line: Schemas['ReleaseLine'];
  proposed: boolean;
  first: string;
}) {
  const caughtUp = useCaughtUp();
  const may = useMay('coordinate');
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState(first);
  const recall = useMutation({
    mutationFn: () =>
      data(
        api.POST('/api/releases/{release}/recall', {
          params: { path: { release: line.id } },
          body: { reason },
        }),
      ),
    onSuccess: caughtUp,
  });
  if (!may) return proposed ? <p className="text-soft">A coordinator recalls it.</p> : null;
  if (!open)
    return (
      <Button kind={proposed ? 'strong' : 'plain'} className="self-start" onClick={() => setOpen(true)}>
        Recall it …
      </Button>
    );
  return (
    <form
      className="flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        recall.mutate();
      }}
    >
      <p className="text-second">
        No radio is loaded with it again, and those that have it are told on every page until they have
        another. A recall is for good: release the list again once it is cured.
      </p>
      <div className="flex flex-wrap items-end gap-2">
        <Field
          label="Why"
          className="min-w-72 grow"
          value={reason}
          required
          maxLength={500}
          onChange={setReason}
        />
        <Button onClick={() => setOpen(false)}>Cancel</Button>
        <Button kind="strong" type="submit" disabled={reason.trim() === '' || recall.isPending}>
          Recall release {line.number}
        </Button>
      </div>
      {recall.error && <Notice message={recall.error.message} />}
    </form>
  );
}
