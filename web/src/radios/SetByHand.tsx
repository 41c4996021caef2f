import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';

interface Props {
  plan: Schemas['HoldPlan'];
  set: Record<string, string>;
  onSet: (set: Record<string, string>) => void;
}

/** How what belongs to no channel should be set, and how it was found, setting by setting. */
export function SetByHand({ plan, set, onSet }: Props) {
  if (plan.settings.length === 0) return null;
  const put = (id: string, value: string) =>
    onSet(
      Object.fromEntries([
        ...Object.entries(set).filter(([key]) => key !== id),
        ...(value === '' ? [] : [[id, value] as const]),
      ]),
    );
  return (
    <section aria-label="How it should be set" className="flex flex-col gap-1">
      <h2 className="font-semibold">
        Settings{plan.profile && <span className="text-soft font-normal">, “{plan.profile}”</span>}
      </h2>
      <ul className="divide-line border-line bg-sheet flex flex-col divide-y rounded border px-3">
        {plan.settings.map((each) => {
          const found = set[each.id] ?? '';
          const right = found === each.value;
          return (
            <li key={each.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
              <span className="min-w-0 grow max-sm:basis-full">
                {each.label}{' '}
                <span className="font-mono font-semibold">
                  {each.value}
                  {each.unit && /^[\d.]+$/.test(each.value) && ` ${each.unit}`}
                </span>
                <span className="text-second text-soft block">on the radio: {each.title}</span>
              </span>
              <Button
                aria-pressed={right}
                aria-label={`${each.label} is set so`}
                onClick={() => put(each.id, right ? '' : each.value)}
              >
                {right ? '✓ Set' : 'Set'}
              </Button>
              {each.values.length > 1 && (
                <select
                  aria-label={`${each.label} as found`}
                  className={`${INPUT} w-28 ${found !== '' && !right ? 'text-query font-semibold' : 'text-soft'}`}
                  value={right ? '' : found}
                  onChange={(event) => put(each.id, event.target.value)}
                >
                  <option value="">something else …</option>
                  {each.values
                    .filter((value) => value !== each.value)
                    .map((value) => (
                      <option key={value}>{value}</option>
                    ))}
                </select>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
