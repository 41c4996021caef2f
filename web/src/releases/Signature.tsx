import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { moment } from '../ui/dates';
import { Field } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { Station } from './Station';

/** The word of a second person: who signed, or who cannot and why, and the press. */
export function Signature({ gate, next }: { gate: Schemas['GateView']; next: boolean }) {
  const caughtUp = useCaughtUp();
  const may = useMay('edit');
  const [note, setNote] = useState('');
  const settled = { onSettled: caughtUp };
  const path = { params: { path: { list: gate.list } } };
  const sign = useMutation({
    mutationFn: () =>
      data(api.POST('/api/lists/{list}/signature', { ...path, body: { state: gate.state, note } })),
    ...settled,
  });
  const unsign = useMutation({
    mutationFn: () => data(api.DELETE('/api/lists/{list}/signature', path)),
    ...settled,
  });
  const problem = sign.error ?? unsign.error;
  return (
    <Station
      next={next}
      title="A second person signs"
      verdict={gate.signature ? 'clear' : 'query'}
      words={
        gate.signature
          ? `Signed by ${gate.signature.by}, ${moment(gate.signature.at)}`
          : `The last change was made by ${gate.lastChange.by}, ${moment(gate.lastChange.at)}`
      }
      press={
        gate.signature && may ? (
          <Button
            kind="quiet"
            className="text-second"
            disabled={unsign.isPending}
            onClick={() => unsign.mutate()}
          >
            Take it back
          </Button>
        ) : undefined
      }
    >
      {gate.signature?.note && <p className="text-soft">“{gate.signature.note}”</p>}
      {gate.signatureOutdated && (
        <p className="text-query">
          Somebody signed before something of it was changed. It has to be signed again.
        </p>
      )}
      {!gate.signature && may && gate.cannotSign && <p className="text-soft">{gate.cannotSign}</p>}
      {!gate.signature && may && !gate.cannotSign && (
        <form
          className="flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            sign.mutate();
          }}
        >
          <Field label="A note, if you like" className="min-w-64 grow" value={note} onChange={setNote} />
          <Button kind="strong" type="submit" data-gate="sign" disabled={sign.isPending}>
            I have looked at it: sign
          </Button>
        </form>
      )}
      {problem && <Notice message={problem.message} />}
    </Station>
  );
}
