import { useState } from 'react';
import { Server } from '../api/client';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';

/** A tone in hertz, as a consumer code, and in the numbers of the group's radio models. */
export function Translate({ group, models }: { group: number; models: string[] }) {
  const [of, setOf] = useState('');
  const [model, setModel] = useState('');
  const asked = Server.useQuery(
    'get',
    '/api/groups/{group}/tones/translation',
    { params: { path: { group }, query: { of, model: model || undefined } } },
    { enabled: of.trim() !== '', retry: false },
  );
  const found = of.trim() ? asked.data : undefined;
  return (
    <fieldset className="border-line flex flex-col gap-2 border-t pt-3">
      <legend className="float-left font-semibold">Translate a tone</legend>
      <Choice
        label="Counted in"
        value={model}
        options={[
          ['', 'hertz, DCS or code 12'],
          ...models.map((each) => [each, `numbers of ${each}`] as const),
        ]}
        onChange={setModel}
      />
      <Field label={model ? 'Number' : 'Tone'} mono value={of} onChange={setOf} />
      <div aria-live="polite" className="text-second">
        {of.trim() && asked.error && <p className="text-hold">{asked.error.message}</p>}
        {found && (
          <ul>
            <li className="font-semibold">{found.words}</li>
            {found.sameSound && <li>the same as {found.sameSound}</li>}
            <li>{found.code === null ? 'no consumer code' : `consumer code ${found.code}`}</li>
            {found.models.map((each) => (
              <li key={each.model}>
                {each.model}: {each.number === null ? 'cannot do it' : `number ${each.number}`}
              </li>
            ))}
          </ul>
        )}
      </div>
    </fieldset>
  );
}
