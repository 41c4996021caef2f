import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { ModelForm } from './ModelForm';
import { EMPTY_MODEL, type ModelBody } from './modelBody';

interface Props {
  group: number;
  model?: Schemas['ModelView'];
  onDone: (key: string | undefined) => void;
}

/** A model: what it can do in words, and the form to change it. */
export function ModelPanel({ group, model, onDone }: Props) {
  const caughtUp = useCaughtUp();
  const may = useMay('bench');
  const [editing, setEditing] = useState(!model);
  const [start, setStart] = useState<ModelBody>(model?.body ?? EMPTY_MODEL);
  const refresh = caughtUp;
  const save = useMutation({
    mutationFn: async (body: ModelBody) => {
      if (model && editing) {
        await data(
          api.PUT('/api/models/{model}', {
            params: { path: { model: model.id } },
            body: { version: model.version, body: body as never },
          }),
        );
        return model.id;
      }
      const made = await data(
        api.POST('/api/groups/{group}/models', {
          params: { path: { group } },
          body: { body: body as never },
        }),
      );
      return made.id;
    },
    onSuccess: async (id) => {
      await refresh();
      setEditing(false);
      onDone(String(id));
    },
  });
  const remove = useMutation({
    mutationFn: () =>
      data(
        api.DELETE('/api/models/{model}', {
          params: { path: { model: model!.id }, query: { version: model!.version } },
        }),
      ),
    onSuccess: async () => {
      await refresh();
      onDone(undefined);
    },
  });
  const problem = save.error ?? remove.error;
  if (editing)
    return (
      <ModelForm
        key={JSON.stringify(start)}
        body={start}
        title={model ? model.name : 'A new model'}
        problem={problem?.message}
        busy={save.isPending}
        onSave={(body) => save.mutate(body)}
        onLeave={() => (model ? setEditing(false) : onDone(undefined))}
      />
    );
  return (
    <div className="flex flex-col gap-4 p-5">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="text-title grow font-semibold">{model!.name}</h2>
        {may && <Button onClick={() => setEditing(true)}>Change it</Button>}
        <a
          className="text-accent underline-offset-2 hover:underline"
          download={`${model!.name}.json`}
          href={`data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(model!.body, null, 1))}`}
        >
          File
        </a>
      </div>
      {problem && <Notice message={problem.message} />}
      <p>{model!.note}</p>
      <dl className="text-second grid grid-cols-[10rem_1fr] gap-x-3 gap-y-1">
        {model!.abilities.map((ability) => (
          <div key={ability.what} className="contents">
            <dt className="text-soft">{ability.what}</dt>
            <dd>{ability.value}</dd>
          </div>
        ))}
      </dl>
      {model!.keypad && (
        <Link
          className="text-accent self-start underline-offset-2 hover:underline"
          to={`/trainer?model=${model!.id}`}
        >
          Practise entering a memory on its keypad
        </Link>
      )}
      {typeof model!.body.edgeSlots === 'number' && (
        <Link className="text-accent self-start underline-offset-2 hover:underline" to="/rulebook?view=edges">
          The band edges for its {String(model!.body.edgeSlots)} slots
        </Link>
      )}
      <div className="text-second flex flex-wrap gap-4">
        <button
          type="button"
          className="text-soft hover:text-accent underline-offset-2 hover:underline"
          onClick={() => {
            setStart({ ...model!.body, model: `${model!.name} copy` });
            save.mutate({ ...model!.body, model: `${model!.name} copy` });
          }}
        >
          Make another like it
        </button>
        <button
          type="button"
          className="text-soft hover:text-hold underline-offset-2 hover:underline"
          onClick={() => remove.mutate()}
        >
          Remove {model!.name}
        </button>
      </div>
    </div>
  );
}
