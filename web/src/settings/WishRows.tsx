import { useId } from 'react';
import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { type Wish, wish } from './profileDraft';

interface Props {
  kinds: Schemas['KindView'][];
  models: string[];
  wishes: Wish[];
  disabled: boolean;
  onChange: (wishes: Wish[]) => void;
}

/** The settings of a profile, one to a row: what, how, and why. */
export function WishRows({ kinds, models, wishes, disabled, onChange }: Props) {
  const change = (at: number, some: Partial<Wish>) =>
    onChange(wishes.map((each, index) => (index === at ? { ...each, ...some } : each)));
  const left = kinds.filter(
    (kind) => kind.which.length > 0 || wishes.every((each) => each.kind !== kind.kind),
  );
  return (
    <section aria-label="Settings of the profile" className="flex flex-col gap-2">
      <div className="text-soft hidden grid-cols-[minmax(8rem,12rem)_7.5rem_7rem_minmax(0,1fr)_1.75rem] gap-x-2 text-[12px] sm:grid">
        <span>Setting</span>
        <span>Where</span>
        <span>How</span>
        <span>Why</span>
      </div>
      <ul className="divide-line flex flex-col divide-y">
        {wishes.map((each, at) => (
          <Row
            key={`${at} ${each.kind}`}
            kind={kinds.find((kind) => kind.kind === each.kind)}
            models={models}
            wish={each}
            disabled={disabled}
            onChange={(some) => change(at, some)}
            onRemove={() => onChange(wishes.filter((_, index) => index !== at))}
          />
        ))}
        {wishes.length === 0 && <li className="text-soft py-1">No setting yet.</li>}
      </ul>
      {!disabled && (
        <label className="flex items-center gap-2">
          <span className="text-soft">Add</span>
          <select
            className={`${INPUT} w-64`}
            value=""
            onChange={(event) => {
              const kind = kinds.find((one) => one.kind === event.target.value);
              if (kind) onChange([...wishes, wish(kind.kind, kind.form === 'switch' ? 'off' : '')]);
            }}
          >
            <option value="">a setting …</option>
            {left.map((kind) => (
              <option key={kind.kind} value={kind.kind}>
                {kind.label}
              </option>
            ))}
          </select>
        </label>
      )}
    </section>
  );
}

interface RowProps {
  kind: Schemas['KindView'] | undefined;
  models: string[];
  wish: Wish;
  disabled: boolean;
  onChange: (some: Partial<Wish>) => void;
  onRemove: () => void;
}

function Row({ kind, models, wish: each, disabled, onChange, onRemove }: RowProps) {
  const values = useId();
  const label = `${kind?.label ?? each.kind}${each.which ? ` ${each.which}` : ''}`;
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_1.75rem] items-center gap-x-2 gap-y-1 py-1 sm:grid-cols-[minmax(8rem,12rem)_7.5rem_7rem_minmax(0,1fr)_1.75rem]">
      <span className="font-semibold max-sm:col-span-2">{kind?.label ?? each.kind}</span>
      <span className="flex min-w-0 flex-wrap items-center gap-1 max-sm:col-start-1 max-sm:row-start-2">
        {kind && kind.which.length > 0 && (
          <select
            aria-label={`Which ${kind.label}`}
            className={`${INPUT} text-second w-full py-0.5`}
            value={each.which}
            disabled={disabled}
            onChange={(event) => onChange({ which: event.target.value })}
          >
            <option value="">all of them</option>
            {kind.which.map((which) => (
              <option key={which}>{which}</option>
            ))}
          </select>
        )}
        {(each.model !== null || models.length > 1) && (
          <select
            aria-label={`For which model, ${label}`}
            className={`${INPUT} text-second w-full py-0.5 ${each.model === null ? 'text-soft' : ''}`}
            value={each.model ?? ''}
            disabled={disabled}
            onChange={(event) => onChange({ model: event.target.value || null })}
          >
            <option value="">every model</option>
            {models.map((model) => (
              <option key={model}>{model}</option>
            ))}
          </select>
        )}
      </span>
      <span className="max-sm:col-span-2 max-sm:col-start-2 max-sm:row-start-2">
        <input
          aria-label={label}
          className={`${INPUT} w-full font-mono`}
          list={kind && kind.values.length > 0 ? values : undefined}
          value={each.value}
          disabled={disabled}
          maxLength={80}
          autoComplete="off"
          onChange={(event) => onChange({ value: event.target.value })}
        />
        {kind && kind.values.length > 0 && (
          <datalist id={values}>
            {kind.values.map((value) => (
              <option key={value} value={value} />
            ))}
          </datalist>
        )}
      </span>
      <input
        aria-label={`Why, ${label}`}
        className={`${INPUT} text-second w-full max-sm:col-span-3 max-sm:row-start-3`}
        placeholder="why"
        value={each.why}
        disabled={disabled}
        maxLength={300}
        onChange={(event) => onChange({ why: event.target.value })}
      />
      {!disabled && (
        <Button
          kind="quiet"
          className="justify-center px-0"
          aria-label={`Remove ${label}`}
          onClick={onRemove}
        >
          ×
        </Button>
      )}
    </li>
  );
}
