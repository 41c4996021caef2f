import { keepPreviousData } from '@tanstack/react-query';
import { useState } from 'react';
import { useGroup } from '../accounts/group';
import { type Schemas, Server } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { GroupSelect } from '../ui/GroupSelect';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { Exercise } from './Exercise';
import { Once, SettingSteps, Steps } from './Steps';

/** For whoever has a radio: its paper, practice on its keys, how long its antenna is. */
export function OwnRadioPage() {
  const { group } = useGroup();
  const own = Server.useQuery(
    'get',
    '/api/groups/{group}/own-radios',
    { params: { path: { group: group?.id ?? 0 } } },
    { enabled: group !== undefined },
  );
  return (
    <div className="flex min-h-full flex-col">
      <title>Your radio · Wache</title>
      <PageHeader />
      <main className="mx-auto flex w-full max-w-4xl flex-col gap-6 px-4 pt-3 pb-10">
        <GroupSelect />
        {own.error && <Notice message={own.error.message} />}
        {own.data && group && (
          <>
            <section aria-label="Your radio" className="flex flex-col gap-2">
              <h1 className="text-title font-semibold">Your radio</h1>
              {!own.data.known && (
                <p className="text-soft">
                  Nobody has said yet which entry of the roster is you: ask your coordinator.
                </p>
              )}
              {own.data.known && own.data.radios.length === 0 && (
                <p className="text-soft">No radio of the group is in your hands.</p>
              )}
              {own.data.radios.map((radio) => (
                <OneRadio key={radio.unit} group={group.id} radio={radio} />
              ))}
            </section>
            {own.data.models.length > 0 && (
              <Practise
                group={group.id}
                models={own.data.models}
                first={own.data.models.find((each) => each.name === own.data.radios[0]?.modelName)}
              />
            )}
            <Antenna />
          </>
        )}
      </main>
    </div>
  );
}

function OneRadio({ group, radio }: { group: number; radio: Schemas['OwnRadio'] }) {
  const [open, setOpen] = useState(false);
  const paper = Server.useQuery(
    'get',
    '/api/groups/{group}/own-radios/{unit}/paper',
    { params: { path: { group, unit: radio.unit } } },
    { enabled: open, retry: false },
  );
  return (
    <div className="border-line bg-sheet flex flex-col gap-2 rounded border px-4 py-3">
      <p>
        <span className="font-semibold">{radio.label}</span>, {radio.modelName}:{' '}
        {radio.inside ?? 'nothing was put into it yet'}
      </p>
      {radio.inside && (
        <Button className="self-start" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Hide how it is typed in' : 'How it is typed in'}
        </Button>
      )}
      {open && paper.error && <Notice message={paper.error.message} />}
      {open && paper.data && (
        <div className="flex flex-col gap-4">
          <p className="text-second">{paper.data.method} Never key without an antenna or a dummy load.</p>
          {paper.data.tables.map((table) => (
            <p key={table.title} className="text-second">
              <span className="font-semibold">{table.title}:</span>{' '}
              <span className="font-mono">{table.rows.join(', ')}</span>
            </p>
          ))}
          {paper.data.profiles.map((profile) => (
            <SettingSteps key={profile.team} profile={profile} many={false} />
          ))}
          <Once title="Before the first entry" steps={paper.data.before} />
          {paper.data.entries.map((entry) => (
            <section key={entry.entry} aria-label={entry.name}>
              <h2 className="font-semibold">
                {entry.name}{' '}
                <span className="text-soft font-normal">
                  {entry.impossible ? 'not by hand' : `into memory ${entry.memory}`}
                </span>
              </h2>
              {entry.impossible ? (
                <p className="text-second">{entry.impossible}</p>
              ) : (
                <Steps steps={entry.steps} />
              )}
            </section>
          ))}
          <Once title="After the last entry" steps={paper.data.after} />
        </div>
      )}
    </div>
  );
}

function Practise({
  group,
  models,
  first,
}: {
  group: number;
  models: Schemas['PracticeModel'][];
  /** The model of the radio in their hands, to begin with. */
  first: Schemas['PracticeModel'] | undefined;
}) {
  const [model, setModel] = useState((first ?? models[0]!).id);
  const [line, setLine] = useState('146.52 direct');
  const [begun, setBegun] = useState<{ model: number; line: string }>();
  return (
    <section aria-label="Practise" className="border-line flex flex-col gap-3 border-t pt-4">
      <h2 className="text-title font-semibold">Practise</h2>
      <form
        className="flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          setBegun({ model, line });
        }}
      >
        <Choice
          label="On a simulated"
          value={String(model)}
          options={models.map((each) => [String(each.id), each.name] as const)}
          onChange={(id) => setModel(Number(id))}
        />
        <Field
          label="An entry, as you would write it"
          value={line}
          placeholder="146.94 - 100 Ridge"
          onChange={setLine}
        />
        <Button type="submit" disabled={line.trim() === ''}>
          Begin
        </Button>
      </form>
      {begun && <FreeExercise key={`${begun.model} ${begun.line}`} group={group} {...begun} />}
    </section>
  );
}

function FreeExercise({ group, model, line }: { group: number; model: number; line: string }) {
  const [presses, setPresses] = useState<string[]>([]);
  const standing = Server.useQuery(
    'post',
    '/api/groups/{group}/own-radios/practice',
    { params: { path: { group } }, body: { model, line, presses } },
    { placeholderData: keepPreviousData, retry: false },
  );
  return (
    <Exercise
      standing={standing.data}
      error={standing.error?.message}
      presses={presses}
      setPresses={setPresses}
    />
  );
}

function Antenna() {
  const [mhz, setMhz] = useState('146.52');
  const lengths = Server.useQuery(
    'get',
    '/api/antenna-lengths',
    { params: { query: { mhz } } },
    { enabled: /\d/.test(mhz), placeholderData: keepPreviousData, retry: false },
  );
  const rows = lengths.data && [
    ['Quarter-wave whip', lengths.data.quarterWaveM, lengths.data.quarterWaveFt],
    ['Half-wave dipole, in all', lengths.data.halfWaveM, lengths.data.halfWaveFt],
    ['Each leg of it', lengths.data.legM, lengths.data.legFt],
  ];
  return (
    <section aria-label="Antenna lengths" className="border-line flex flex-col gap-2 border-t pt-4">
      <h2 className="text-title font-semibold">Antenna lengths</h2>
      <Field label="For, MHz" mono className="w-32" value={mhz} onChange={setMhz} maxLength={12} />
      {lengths.error && <Notice message={lengths.error.message} />}
      {!lengths.error && rows && (
        <table className="max-w-md">
          <tbody>
            {rows.map(([name, metres, feet]) => (
              <tr key={name} className="border-line border-b">
                <th scope="row" className="py-1 pr-4 text-left font-normal">
                  {name}
                </th>
                <td className="pr-4 text-right font-mono">{metres} m</td>
                <td className="text-right font-mono">{feet}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="text-second text-soft">
        Common practice: 468 and 234 feet divided by the frequency. Cut long and trim; keep clear of power
        lines.
      </p>
    </section>
  );
}
