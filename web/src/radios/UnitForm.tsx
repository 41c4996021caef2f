import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Notice } from '../ui/Notice';

interface Props {
  group: number;
  models: Schemas['ModelView'][];
  unit?: Schemas['UnitView'];
  onDone: (key: string | undefined) => void;
}

/** Enters a radio, or changes what is known of it. */
export function UnitForm({ group, models, unit, onDone }: Props) {
  const caughtUp = useCaughtUp();
  const [draft, setDraft] = useState<Schemas['UnitDraft']>(
    unit
      ? {
          model: unit.model,
          serial: unit.serial,
          label: unit.label,
          lock: unit.lock,
          inhibited: unit.inhibited,
          owner: unit.owner,
        }
      : {
          model: models[0]?.id ?? 0,
          serial: '',
          label: '',
          lock: models[0]?.locks[0] ?? '',
          inhibited: false,
          owner: '',
        },
  );
  // Saving over what somebody else changed meanwhile is told, whatever is shown by then.
  const [version] = useState(unit?.version ?? 0);
  const set = (some: Partial<Schemas['UnitDraft']>) => setDraft({ ...draft, ...some });
  const locks = models.find((model) => model.id === draft.model)?.locks ?? [];
  const save = useMutation({
    mutationFn: async () => {
      if (unit) {
        await data(
          api.PUT('/api/units/{unit}', {
            params: { path: { unit: unit.id } },
            body: { version, unit: draft },
          }),
        );
        return unit.id;
      }
      return (await data(api.POST('/api/groups/{group}/units', { params: { path: { group } }, body: draft })))
        .id;
    },
    onSuccess: async (id) => {
      await caughtUp();
      onDone(String(id));
    },
  });
  if (models.length === 0)
    return <p className="text-soft p-5">Make the model first: a radio is one of a model.</p>;
  return (
    <form
      aria-label={unit ? unit.label : 'A new radio'}
      className="flex flex-col gap-3 p-5"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="text-title grow font-semibold">{unit ? unit.label : 'A new radio'}</h2>
        <Button onClick={() => onDone(unit ? String(unit.id) : undefined)}>Cancel</Button>
        <Button
          kind="strong"
          type="submit"
          disabled={save.isPending || draft.serial.trim() === '' || draft.label.trim() === ''}
        >
          Save
        </Button>
      </div>
      {save.error && <Notice message={save.error.message} />}
      <Choice
        label="Model"
        value={String(draft.model)}
        options={models.map((model) => [String(model.id), model.name] as const)}
        onChange={(model) =>
          set({
            model: Number(model),
            lock: models.find((each) => String(each.id) === model)?.locks[0] ?? '',
          })
        }
      />
      <Field
        label="What people call it"
        value={draft.label}
        onChange={(label) => set({ label })}
        maxLength={60}
      />
      <Field
        label="Serial number, as on its back"
        mono
        value={draft.serial}
        onChange={(serial) => set({ serial })}
        maxLength={60}
      />
      {locks.length > 0 && (
        <Choice
          label="Lock, as it is to be set"
          value={draft.lock}
          options={locks.map((lock) => [lock, lock] as const)}
          onChange={(lock) => set({ lock })}
        />
      )}
      <Field label="Whose it is" value={draft.owner} onChange={(owner) => set({ owner })} maxLength={120} />
      <label className="flex items-start gap-2">
        <input
          type="checkbox"
          className="mt-1"
          checked={draft.inhibited}
          onChange={(event) => set({ inhibited: event.target.checked })}
        />
        <span>
          Transmitter off: for a child or a listener.
          <span className="text-second text-soft block">
            Locking the keypad does not stop the key. The bench switches the transmitter off and tries every
            key; before that the radio cannot be handed out.
          </span>
        </span>
      </label>
    </form>
  );
}
