import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { day } from '../ui/dates';
import { Settle } from './Matters';
import { Station } from './Station';

type Concern = Schemas['GateConcern'];

interface Props {
  gate: Schemas['GateView'];
  next: boolean;
}

/** What of who reaches whom is still to be answered for: teams that reach nobody, entries that one alone may key. */
export function ReachStation({ gate, next }: Props) {
  const may = useMay('edit');
  const [settling, setSettling] = useState(false);
  const open = gate.reach.filter((each) => each.waiver === null);
  const many = open.length === 1 ? 'One question' : `${open.length} questions`;
  return (
    <Station
      next={next}
      title="Who reaches whom"
      verdict={open.length > 0 ? 'query' : 'clear'}
      words={
        open.length > 0
          ? `${many} that nobody has answered.`
          : gate.reach.length > 0
            ? 'Each was waived by name.'
            : 'No team is alone, and no channel has one speaker.'
      }
      press={
        <Link
          to={`/lists/${gate.list}/reach`}
          className="text-accent whitespace-nowrap underline underline-offset-2"
        >
          Look at it
        </Link>
      }
    >
      {gate.reach.length > 0 && (
        <section
          aria-label="Who reaches whom"
          className={`border-line bg-sheet rounded border border-l-[3px] ${open.length > 0 ? 'border-l-query' : 'border-l-clear'}`}
        >
          {may && open.length > 0 && !settling && (
            <div className="border-line flex items-baseline gap-x-3 border-b px-3 py-1.5">
              <h3 className="font-semibold">To be answered</h3>
              <span className="text-second text-soft grow">{open.length} open</span>
              <Button className="text-second" data-gate="settle" onClick={() => setSettling(true)}>
                Waive …
              </Button>
            </div>
          )}
          {settling ? (
            <Settle
              list={gate.list}
              open={open.map((each) => ({
                print: each.print,
                number: '',
                name: each.subject,
                message: each.message,
                model: '',
                kind: 'query',
              }))}
              word="Waive"
              onDone={() => setSettling(false)}
            />
          ) : (
            <ul className="divide-line divide-y">
              {gate.reach.map((each) => (
                <Row key={each.print} list={gate.list} concern={each} may={may} />
              ))}
            </ul>
          )}
        </section>
      )}
    </Station>
  );
}

function Row({ list, concern, may }: { list: number; concern: Concern; may: boolean }) {
  const caughtUp = useCaughtUp();
  const { waiver } = concern;
  const end = useMutation({
    mutationFn: (id: number) =>
      data(api.DELETE('/api/waivers/{waiver}', { params: { path: { waiver: id } } })),
    onSettled: caughtUp,
  });
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 px-3 py-1.5">
      {concern.entry === null ? (
        <span className="w-40 shrink-0 truncate font-semibold">{concern.subject}</span>
      ) : (
        <Link
          to={`/lists/${list}?entry=${concern.entry}`}
          className="hover:text-accent w-40 shrink-0 truncate font-semibold underline-offset-2 hover:underline"
        >
          {concern.subject}
        </Link>
      )}
      <span className="min-w-60 grow basis-80">
        {concern.message}
        {waiver && (
          <span className="text-second text-soft block">
            {waiver.reason} Waived by {waiver.by}, {day(waiver.on)}
            {waiver.until && `, until ${day(waiver.until)}`}.
          </span>
        )}
        {end.error && <span className="text-hold block">{end.error.message}</span>}
      </span>
      {may && waiver?.id != null && (
        <Button
          kind="quiet"
          className="text-second"
          disabled={end.isPending}
          onClick={() => end.mutate(waiver.id!)}
        >
          End it
        </Button>
      )}
    </li>
  );
}
