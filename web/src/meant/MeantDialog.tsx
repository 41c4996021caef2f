import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { TakesFocus } from '../ui/TakesFocus';
import { useMutation } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { alike, type Choosable, type Meant, withSetting } from './useMeant';

interface Props {
  meant: Schemas['MeantFor'];
  onClose: () => void;
}

/** This list is for: models as they are set, or single radios. The Desk, the fit and the gate hold it against these. */
export function MeantDialog({ meant, onClose }: Props) {
  const may = useMay('edit');
  const [chosen, setChosen] = useState<Meant>(meant.meant);
  const [before] = useState(meant.meant);
  const save = useMutation({
    mutationFn: () =>
      data(
        api.PUT('/api/lists/{list}/radios', {
          params: { path: { list: meant.list } },
          body: { before, after: chosen },
        }),
      ),
    onSuccess: onClose,
  });
  const models = new Map<string, Choosable[]>();
  for (const each of meant.settings) models.set(each.model, [...(models.get(each.model) ?? []), each]);
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <DialogBackdrop className="bg-ink/40 fixed inset-0" />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel
          as="form"
          onSubmit={(event: FormEvent) => {
            event.preventDefault();
            save.mutate();
          }}
          className="border-edge bg-sheet flex max-h-[92vh] w-full max-w-2xl flex-col rounded border"
        >
          <TakesFocus />
          <div className="border-line border-b px-4 py-3">
            <DialogTitle className="text-title font-semibold">This list is for</DialogTitle>
            <p className="text-second text-soft">
              Each entry is held against every radio chosen here, on the Desk and at the gate. Choose models
              as they are set, or single radios.
            </p>
          </div>
          <div className="min-h-32 grow overflow-y-auto px-4 py-2">
            {meant.settings.length === 0 && (
              <p className="text-soft py-2">
                There is no radio yet.{' '}
                <Link to="/radios?show=models" className="text-accent underline underline-offset-2">
                  Enter the radios
                </Link>{' '}
                first.
              </p>
            )}
            {[...models].map(([model, settings]) => (
              <fieldset key={model} className="border-line border-b py-1.5 last:border-0">
                <legend className="contents font-semibold">{model}</legend>
                {settings.map((each) => (
                  <SettingRow
                    key={each.words}
                    each={each}
                    chosen={chosen}
                    onChange={setChosen}
                    disabled={!may}
                  />
                ))}
              </fieldset>
            ))}
          </div>
          {save.error && (
            <div className="px-4 pb-2">
              <Notice message={save.error.message} />
            </div>
          )}
          <div className="border-line flex items-center gap-3 border-t px-4 py-3">
            <span className="text-second text-soft grow">
              {chosen.settings.length + chosen.units.length === 0
                ? 'For no radio: it cannot go out like that.'
                : may
                  ? ''
                  : 'Coordinators and reviewers choose.'}
            </span>
            <Button onClick={onClose}>Cancel</Button>
            <Button kind="strong" type="submit" disabled={!may || save.isPending}>
              Save
            </Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

function SettingRow({
  each,
  chosen,
  disabled,
  onChange,
}: {
  each: Choosable;
  chosen: Meant;
  disabled: boolean;
  onChange: (meant: Meant) => void;
}) {
  const on = chosen.settings.some((setting) => alike(setting, each.setting));
  const single = each.units.filter((unit) => chosen.units.includes(unit.id)).length;
  const how = each.setting.inhibited
    ? 'transmitter off'
    : each.setting.lock
      ? `set to “${each.setting.lock}”`
      : 'as it is';
  return (
    <div className="pl-1">
      <label className="flex items-center gap-2 py-0.5">
        <input
          type="checkbox"
          checked={on}
          disabled={disabled}
          aria-label={each.words}
          onChange={(event) => onChange(withSetting(chosen, each.setting, event.target.checked))}
        />
        {how}
        <span className="text-second text-soft">
          {each.units.length === 0
            ? 'no radio is set like that'
            : each.units.length === 1
              ? 'one radio'
              : `${each.units.length} radios`}
        </span>
      </label>
      {!on && each.units.length > 1 && (
        <details className="text-second pl-6" open={single > 0}>
          <summary className="text-soft hover:text-accent cursor-pointer">
            Only some of them{single > 0 && `: ${single}`}
          </summary>
          <div className="grid grid-cols-2 gap-x-4 sm:grid-cols-3">
            {each.units.map((unit) => (
              <label key={unit.id} className="flex items-center gap-1.5 py-0.5">
                <input
                  type="checkbox"
                  disabled={disabled}
                  checked={chosen.units.includes(unit.id)}
                  onChange={(event) =>
                    onChange({
                      ...chosen,
                      units: event.target.checked
                        ? [...chosen.units, unit.id]
                        : chosen.units.filter((id) => id !== unit.id),
                    })
                  }
                />
                {unit.label}
              </label>
            ))}
          </div>
        </details>
      )}
    </div>
  );
}
