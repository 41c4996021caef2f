import type { Schemas } from '../api/client';
import { capital } from '../desk/Carriers';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { NEW_LINE, type Licence } from './drafts';
import { LineFields } from './LineFields';
import { days, state, STATE_EDGE } from './time';

interface Props {
  licence: Licence;
  services: Schemas['Licensable'][];
  today: string;
  notes: string[];
  onChange: (licence: Licence) => void;
  onRemove: () => void;
}

/** One licence: class, call sign, dates, and for a business its lines. */
export function LicenceFields({ licence, services, today, notes, onChange, onRemove }: Props) {
  const service = services.find((each) => each.id === licence.service);
  const set = (change: Partial<Licence>) => onChange({ ...licence, ...change });
  const left = licence.expires ? days(today, licence.expires) : undefined;
  return (
    <section
      aria-label={`${service?.title ?? licence.service} licence`}
      className={`border-line bg-sheet flex flex-col gap-3 rounded border border-l-[3px] px-4 py-3 ${STATE_EDGE[state([licence], today)]}`}
    >
      <header className="flex items-baseline justify-between gap-3">
        <h3 className="font-semibold">{service?.title ?? licence.service}</h3>
        <span className="text-second grow">
          {left !== undefined && left < 0 && (
            <span className="text-hold">ended: nothing may be keyed under it</span>
          )}
          {left !== undefined && left >= 0 && left <= 90 && (
            <span className="text-query">ends in {left} days</span>
          )}
        </span>
        <Button kind="quiet" className="text-second" onClick={onRemove}>
          Remove
        </Button>
      </header>
      <div className="grid grid-cols-4 gap-3 max-sm:grid-cols-2">
        {service && service.classes.length > 0 && (
          <Choice
            label="Class"
            value={licence.licenceClass ?? ''}
            options={service.classes.map((each) => [each, capital(each)] as const)}
            onChange={(licenceClass) => set({ licenceClass })}
          />
        )}
        <Field
          label="Call sign"
          mono
          value={licence.callSign ?? ''}
          title={service?.callSigns}
          onChange={(text) => set({ callSign: text.toUpperCase() || null })}
        />
        <Field
          label="Granted"
          type="date"
          value={licence.granted ?? ''}
          onChange={(granted) => set({ granted: granted || null })}
        />
        <Field
          label="Expires"
          type="date"
          value={licence.expires ?? ''}
          onChange={(expires) => set({ expires: expires || null })}
        />
      </div>
      {notes.map((note) => (
        <p key={note} className="text-second text-query">
          {note}
        </p>
      ))}
      {service?.byLine && (
        <div className="flex flex-col gap-2">
          {licence.lines.map((line, index) => (
            <LineFields
              key={index}
              line={line}
              onChange={(next) => set({ lines: licence.lines.map((each, i) => (i === index ? next : each)) })}
              onRemove={() => set({ lines: licence.lines.filter((_, i) => i !== index) })}
            />
          ))}
          <div>
            <Button
              className="text-second"
              onClick={() =>
                set({ lines: [...licence.lines, { ...(licence.lines.at(-1) ?? NEW_LINE), mhz: '' }] })
              }
            >
              Add a line
            </Button>
          </div>
          <p className="text-second text-soft">
            An entry is legal only where one line covers frequency, emission, power, place and units together.
          </p>
        </div>
      )}
    </section>
  );
}
