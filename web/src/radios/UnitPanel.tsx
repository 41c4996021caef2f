import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { useAddress } from '../ui/useAddress';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { moment } from '../ui/dates';
import { Notice } from '../ui/Notice';
import { VerdictMark } from '../ui/VerdictMark';
import { Checks } from './Checks';
import { DeclaredLoads } from './DeclaredLoads';
import { EdgeSlots } from './EdgeSlots';
import { Handing } from './Handing';
import { Measuring } from './Measuring';
import { NotTheirs } from './NotTheirs';
import { Section } from './Section';
import { DECLARED, standing } from './state';
import { UnitForm } from './UnitForm';
import { UnitSettings } from '../settings/UnitSettings';

interface Props {
  group: number;
  unit: Schemas['UnitView'];
  radios: Schemas['Radios'];
  onDone: (key: string | undefined) => void;
}

/** Everything about one radio. */
export function UnitPanel({ group, unit, radios, onDone }: Props) {
  const caughtUp = useCaughtUp();
  const may = useMay('bench');
  const [params] = useAddress();
  const [editing, setEditing] = useState(may && params.has('change'));
  const history = Server.useQuery('get', '/api/units/{unit}', { params: { path: { unit: unit.id } } });
  const bench = Server.useQuery('get', '/api/units/{unit}/bench', { params: { path: { unit: unit.id } } });
  const remove = useMutation({
    mutationFn: () =>
      data(
        api.DELETE('/api/units/{unit}', {
          params: { path: { unit: unit.id }, query: { version: unit.version } },
        }),
      ),
    onSuccess: async () => {
      await caughtUp();
      onDone(undefined);
    },
  });
  if (editing)
    return (
      <UnitForm
        group={group}
        models={radios.models}
        unit={unit}
        onDone={(key) => {
          setEditing(false);
          onDone(key);
        }}
      />
    );
  const { verdict, words } = standing(unit);
  const others = unit.facts.filter((fact) => fact.text !== words);
  return (
    <div className="flex flex-col gap-5 p-5">
      <div className="flex flex-col gap-1">
        <div className="flex items-center gap-2">
          <h2 className="text-title grow font-semibold">{unit.label}</h2>
          {may && <Button onClick={() => setEditing(true)}>Change it</Button>}
        </div>
        <p className="text-second text-soft">
          {unit.modelName} <span className="font-mono">{unit.serial}</span>
          {unit.lock && `, set to “${unit.lock}”`}
          {unit.owner && `. Owner: ${unit.owner}`}
        </p>
        <p className="flex items-start gap-2 pt-1">
          {verdict && (
            <span className="mt-[3px]">
              <VerdictMark verdict={verdict} size={15} />
            </span>
          )}
          <span>{words}</span>
        </p>
        <NotTheirs unit={unit} />
        {others.map((fact) => (
          <p key={fact.text} className="flex items-start gap-2">
            <span className="mt-[3px]">
              <VerdictMark verdict={fact.warning ? 'query' : 'listen'} size={15} />
            </span>
            <span>{fact.text}</span>
          </p>
        ))}
      </div>
      <Handing group={group} unit={unit} past={history.data?.custody ?? []} />
      <Section title="What is in it">
        {history.data?.loads.length === 0 && (
          <p className="text-soft">Nothing was written into it from here.</p>
        )}
        {may && (
          <Link
            to={`/radios/${unit.id}/by-hand`}
            className="text-accent self-start underline-offset-2 hover:underline"
          >
            Typed by hand or loaded elsewhere? Note it
          </Link>
        )}
        <DeclaredLoads unit={unit.id} />
        <ul className="text-second flex flex-col gap-0.5">
          {history.data?.loads.map((load, index) => (
            <li key={load.at} className={index === 0 ? '' : 'text-soft'}>
              {load.name}, {load.number ? `release ${load.number}` : `version ${load.version}`}
              {load.recalled && ' (recalled)'}, for {load.whom ?? 'nobody in particular'}: {load.entries}{' '}
              entries since {moment(load.at)}, by {load.by}
              {load.declared
                ? `, ${DECLARED[load.declared].toLowerCase()}`
                : load.verified
                  ? ', read back and tried'
                  : ', not verified'}
            </li>
          ))}
        </ul>
        {(bench.data?.saved.length ?? 0) > 0 && (
          <details className="text-second">
            <summary className="marker:text-edge hover:text-accent cursor-pointer">
              What was in it before, saved{' '}
              {bench.data!.saved.length === 1 ? 'once' : `${bench.data!.saved.length} times`}
            </summary>
            <ul className="flex flex-col gap-0.5 py-1 pl-4">
              {bench.data!.saved.map((saved) => (
                <li key={saved.id}>
                  <a
                    className="text-accent underline-offset-2 hover:underline"
                    href={`/api/images/${saved.id}/list.csv`}
                  >
                    {moment(saved.at)}
                  </a>
                  : {saved.entries} entries{saved.lock && `, set to “${saved.lock}”`}{' '}
                  <span className="text-soft font-mono">{saved.sha256.slice(0, 8)}</span>
                </li>
              ))}
            </ul>
          </details>
        )}
      </Section>
      <UnitSettings unit={unit.id} />
      {typeof radios.models.find((each) => each.id === unit.model)?.body.edgeSlots === 'number' && (
        <EdgeSlots unit={unit.id} />
      )}
      <Checks unit={unit} units={radios.units} checks={bench.data?.checks ?? []} />
      <Measuring unit={unit.id} />
      {remove.error && <Notice message={remove.error.message} />}
      <button
        type="button"
        className="text-second text-soft hover:text-hold self-start underline-offset-2 hover:underline"
        onClick={() => remove.mutate()}
      >
        Remove {unit.label}
      </button>
    </div>
  );
}
