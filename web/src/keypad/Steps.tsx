import type { Schemas } from '../api/client';
import { Keys } from './Keys';

/** Steps, numbered: what to do, what to press, what it then shows. */
export function Steps({ steps }: { steps: Schemas['PaperStep'][] }) {
  return (
    <ol className="text-second grid gap-x-8 gap-y-1 lg:grid-cols-2 print:grid-cols-2 print:gap-y-0 print:text-[10px]">
      {steps.map((step, index) => (
        <li key={index} className="flex gap-2">
          <span className="text-soft w-5 shrink-0 text-right font-mono">{index + 1}</span>
          <span className="min-w-0">
            <span>{step.what}</span>
            <Keys keys={step.keys} />
            {step.see && (
              <span className="text-soft block print:ml-1 print:inline">
                {step.see.startsWith('it ') ? '' : 'shows: '}
                {step.see}
              </span>
            )}
          </span>
        </li>
      ))}
    </ol>
  );
}

/** What comes once: unlocking and locking the keys. */
export function Once({ title, steps }: { title: string; steps: Schemas['PaperStep'][] }) {
  if (steps.length === 0) return null;
  return (
    <section
      aria-label={title}
      className="border-line rounded border px-4 py-2 print:border-black print:py-1"
    >
      <h2 className="font-semibold">{title}</h2>
      <Steps steps={steps} />
      {steps.map((step, index) => (
        <p key={index} className="text-second text-soft">
          {step.why}
        </p>
      ))}
    </section>
  );
}

/** How what belongs to no channel is set, each with its reason. */
export function SettingSteps({ profile, many }: { profile: Schemas['PaperProfile']; many: boolean }) {
  return (
    <section
      aria-label={`Settings: ${profile.name}`}
      className="border-line bg-sheet break-inside-avoid rounded border px-4 py-3 print:border-black print:py-1.5 print:text-[10px]"
    >
      <h2 className="pb-2 font-semibold">
        Settings: {profile.name}
        {many && <span className="text-soft font-normal"> for {profile.team || 'everybody else'}</span>}
      </h2>
      <ol className="text-second grid gap-x-8 gap-y-1 lg:grid-cols-2 print:grid-cols-2 print:gap-y-0 print:text-[10px]">
        {profile.steps.map((step, index) => (
          <li key={index} className="flex gap-2">
            <span className="text-soft w-5 shrink-0 text-right font-mono">{index + 1}</span>
            <span className="min-w-0">
              <span className="font-semibold">{step.what}</span>
              {step.keys.length > 0 ? <Keys keys={step.keys} /> : step.see && <span>, {step.see}</span>}
              {step.why && <span className="text-soft block">{step.why}</span>}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
