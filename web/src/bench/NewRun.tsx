import { keepPreviousData, useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { MeantButton } from '../meant/MeantButton';
import { unitsOf, useMeant } from '../meant/useMeant';
import { useRadios } from '../radios/useRadios';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Notice } from '../ui/Notice';
import { useKept } from '../ui/useKept';
import { callSign, CallSign } from './CallSign';
import { fitting, kept, missing, order, type Order, type Orders } from './orders';
import { ModelRows } from './ModelRows';

interface Props {
  group: number;
  list?: string;
  units?: string;
  whom?: string;
  onStarted: (run: number) => void;
}

/** Which release goes into which radios, for whom, and what would stay out of each, before anything is written. */
export function NewRun({ group, list: given, units: asked, whom, onStarted }: Props) {
  const caughtUp = useCaughtUp();
  const [keptList, setList] = useKept(`wache-bench-list-${group}`, '');
  const [keptOrders, setOrders] = useKept<Orders>(`wache-bench-radios-${group}`, {});
  const [takenOver, setTakenOver] = useState(given === undefined && asked === undefined);
  const list = takenOver ? keptList : (given ?? keptList);
  const orders = takenOver ? keptOrders : asked ? wanted(asked, whom) : keptOrders;
  const change = (nextList: string, next: Orders) => {
    setTakenOver(true);
    setList(nextList);
    setOrders(next);
  };
  const [sign, setSign] = useState(callSign());
  const lists = Server.useQuery('get', '/api/groups/{group}/bench-lists', { params: { path: { group } } });
  const roster = Server.useQuery('get', '/api/groups/{group}/roster', { params: { path: { group } } });
  const radios = useRadios(group);
  const meant = useMeant(Number(list), list !== '');
  const chosen = Object.values(orders).filter(
    (each) => radios.data?.units.some((unit) => unit.id === each.unit) ?? false,
  );
  const released = lists.data?.some((each) => String(each.list) === list) ?? false;
  const plan = Server.useQuery(
    'post',
    '/api/lists/{list}/bench-plan',
    { params: { path: { list: Number(list) } }, body: { units: chosen } },
    { enabled: released && chosen.length > 0, placeholderData: keepPreviousData, retry: false },
  );
  const start = useMutation({
    mutationFn: () =>
      data(
        api.POST('/api/lists/{list}/runs', {
          params: { path: { list: Number(list) } },
          body: { release: plan.data!.release, units: chosen, callSign: sign },
        }),
      ),
    onSuccess: async (made) => {
      change(list, {});
      await caughtUp();
      onStarted(made.id);
    },
  });
  const put = (next: Order[]) =>
    change(list, { ...orders, ...Object.fromEntries(next.map((each) => [each.unit, each])) });
  const leave = (units: number[]) =>
    change(
      list,
      Object.fromEntries(Object.entries(orders).filter(([unit]) => !units.includes(Number(unit)))),
    );
  const shown = plan.data && chosen.length > 0 && released ? plan.data : undefined;
  const planned = new Map(shown?.units.filter((unit) => orders[unit.unit]).map((unit) => [unit.unit, unit]));
  const current = shown && !plan.isPlaceholderData ? shown : undefined;
  const open = [...planned.values()].filter((unit) => unit.open);
  const blocked = [...planned.values()].filter((unit) => unit.blocked !== null && !unit.open);
  const why = missing(list, chosen, current?.units, sign);
  const its = new Set(meant.data ? unitsOf(meant.data.settings, meant.data.meant) : []);
  const itsRadios = (radios.data?.units ?? []).filter((unit) => its.has(unit.id) && kept(unit) === undefined);
  const models = new Map<string, Schemas['UnitView'][]>();
  for (const unit of radios.data?.units ?? [])
    models.set(unit.modelName, [...(models.get(unit.modelName) ?? []), unit]);
  return (
    <div className="flex flex-col gap-4 p-5">
      <h2 className="text-title font-semibold">Put a release into radios</h2>
      <p className="max-w-prose">
        Each radio is read first, and what was in it is kept for good. Then the list is written, read back,
        compared entry by entry, and every key is tried into a dummy load. A radio gets what whoever has it
        may key; one on the shelf is written for nobody, and held against whoever it is handed to.
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <Choice
          label="The list, as it was released"
          className="min-w-72"
          value={released ? list : ''}
          options={[
            ['', 'Choose the list'] as const,
            ...(lists.data ?? []).map(
              (each) => [String(each.list), `${each.name}, release ${each.number}`] as const,
            ),
          ]}
          onChange={(next) => change(next, orders)}
        />
        <CallSign value={sign} onChange={setSign} />
        <Button
          kind="strong"
          data-next
          disabled={why !== undefined || start.isPending}
          aria-describedby="bench-missing"
          onClick={() => start.mutate()}
        >
          {chosen.length > 1 ? `Write ${chosen.length} radios` : 'Write one radio'}
        </Button>
        <span id="bench-missing" className="text-second text-soft pb-1.5">
          {why}
        </span>
      </div>
      {released && meant.data && (
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <MeantButton list={meant.data.list} />
          {itsRadios.length > 0 && (
            <Button
              kind="quiet"
              onClick={() => put(itsRadios.map((each) => orders[each.id] ?? order(each.id)))}
            >
              {itsRadios.length === 1 ? 'Choose the radio' : `Choose the ${itsRadios.length} radios`} that it
              is for
            </Button>
          )}
        </div>
      )}
      {lists.data?.length === 0 && (
        <p className="text-soft">
          Nothing is released yet, so nothing may go into a radio.{' '}
          <Link to="/lists" className="text-accent underline underline-offset-2">
            Choose a list and take it through its gate
          </Link>
          .
        </p>
      )}
      {given && lists.data && !takenOver && !lists.data.some((each) => String(each.list) === given) && (
        <Notice message="This list has no release in use. Only what passed the gate goes into a radio.">
          <Link
            to={`/lists/${given}/release`}
            className="text-accent whitespace-nowrap underline underline-offset-2"
          >
            To the gate
          </Link>
        </Notice>
      )}
      {start.error && <Notice message={start.error.message} />}
      {plan.error && shown === undefined && chosen.length > 0 && <Notice message={plan.error.message} />}
      {open.length > 0 && (
        <Notice
          message={
            open.length === 1
              ? `${open[0]!.person} has ${open[0]!.label} and may not key all of it. Decide below what goes in.`
              : `${open.length} radios are in hands that may not key all of it. Decide below what goes into each.`
          }
        >
          <Button onClick={() => put(open.map(fitting))}>
            {open.length === 1 ? 'Give what fits' : 'Give each what fits'}
          </Button>
        </Notice>
      )}
      {blocked.length > 0 && (
        <Notice message={blocked.map((unit) => `${unit.label}: ${unit.blocked}`).join(' ')}>
          <Button onClick={() => leave(blocked.map((unit) => unit.unit))}>
            Leave {blocked.length === 1 ? 'it' : 'them'} out
          </Button>
        </Notice>
      )}
      {radios.data?.units.length === 0 && (
        <p className="text-soft">
          There is no radio yet.{' '}
          <Link to="/radios" className="text-accent underline underline-offset-2">
            Enter the radios
          </Link>{' '}
          first.
        </p>
      )}
      {[...models].map(([model, units]) => (
        <ModelRows
          key={model}
          model={model}
          units={units}
          orders={orders}
          planned={planned}
          parties={roster.data?.parties ?? []}
          onPut={put}
          onLeave={leave}
        />
      ))}
    </div>
  );
}

/** Radios that an address names, for one of the roster when it says for whom. */
const wanted = (units: string, whom?: string): Orders =>
  Object.fromEntries(
    units
      .split(',')
      .map(Number)
      .filter((unit) => unit > 0)
      .map((unit) => [unit, { ...order(unit), party: whom ? Number(whom) : null }]),
  );
