import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useNavigate, useParams } from 'react-router';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { deskQuery } from '../desk/useDesk';
import { ListHeader } from '../desk/ListHeader';
import { MeantButton } from '../meant/MeantButton';
import { Button } from '../ui/Button';
import { moment } from '../ui/dates';
import { elsewhere } from '../ui/elsewhere';
import { Notice } from '../ui/Notice';
import { some } from '../ui/people';
import { Matters } from './Matters';
import { OutList } from './OutList';
import { Signature } from './Signature';
import { Since } from './Since';
import { PartList } from './PartList';
import { ReachStation } from './ReachStation';
import { VerdictMark } from '../ui/VerdictMark';
import { Station } from './Station';

type Gate = Schemas['GateView'];
type Matter = Schemas['GateMatter'];

const LINK = 'text-accent whitespace-nowrap underline underline-offset-2';

/** Keys that bring the focus to a press of the gate: the press itself stays one of its own. */
function useGateKeys() {
  const options = { useKey: true, ignoreEventWhen: elsewhere, preventDefault: true };
  const to = (what: string) => document.querySelector<HTMLElement>(`[data-gate="${what}"]`)?.focus();
  useHotkeys('w', () => to('settle'), options);
  useHotkeys('s', () => to('sign'), options);
  useHotkeys('o', () => to('out'), options);
}

/** What a list needs before it goes out, in the order in which it is done, and the release. */
export function GatePage() {
  const list = Number(useParams().list);
  const gate = Server.useQuery(
    'get',
    '/api/lists/{list}/gate',
    { params: { path: { list } } },
    { retry: false },
  );
  useGateKeys();
  const name = useQuery({
    ...deskQuery(list),
    enabled: gate.isError,
  });
  const parent = name.data?.parent;
  const next = gate.data && firstOpen(gate.data);
  return (
    <div className="flex min-h-full flex-col">
      <title>{`Release · ${gate.data?.name ?? name.data?.name ?? ''} · Wache`}</title>
      <ListHeader list={list} name={gate.data?.name ?? name.data?.name} />
      {gate.error && (
        <div className="p-4">
          <Notice message={gate.error.message}>
            {parent && (
              <Link to={`/lists/${parent.id}/release`} className={LINK}>
                To the release of {parent.name}
              </Link>
            )}
          </Notice>
        </div>
      )}
      {gate.isPending && <p className="text-soft p-6">Holding the list against the gate …</p>}
      {gate.data && (
        <div className="mx-auto flex w-full max-w-6xl grow gap-8 px-5 pt-4 pb-8 max-lg:flex-col">
          <main className="min-w-0 grow">
            <p className="text-title pb-4 font-semibold">{summary(gate.data)}</p>
            <ol className="flex flex-col">
              <Holds gate={gate.data} next={next === 'holds'} />
              <Queries gate={gate.data} next={next === 'queries'} />
              <ReachStation gate={gate.data} next={next === 'reach'} />
              <Radios gate={gate.data} next={next === 'radios'} />
              <Read gate={gate.data} />
              <Signature gate={gate.data} next={next === 'signature'} />
              <Out gate={gate.data} next={next === 'out'} />
            </ol>
          </main>
          <aside aria-label="What goes out" className="flex w-full shrink-0 flex-col gap-5 lg:w-72">
            <GoesOut gate={gate.data} />
          </aside>
        </div>
      )}
    </div>
  );
}

function summary(gate: Gate): string {
  if (gate.inUse) return `Release ${gate.newest?.number ?? ''} is this list as it is now, and is in use.`;
  if (gate.missing.length === 0) return 'Nothing is in the way. It can go out.';
  return `In the way: ${gate.missing.join('; ')}.`;
}

/** The first station that is not passed. */
function firstOpen(gate: Gate): 'holds' | 'queries' | 'reach' | 'radios' | 'signature' | 'out' {
  const open = (kind: string) => of(gate, kind).some((each) => each.waiver === null);
  if (open('hold')) return 'holds';
  if (open('query')) return 'queries';
  if (gate.reach.some((each) => each.waiver === null)) return 'reach';
  if (gate.models.length === 0 || open('misfit') || gate.settingHolds.length > 0) return 'radios';
  return gate.signature ? 'out' : 'signature';
}

const of = (gate: Gate, kind: string) => gate.matters.filter((each) => each.kind === kind);

/** Matters of one kind, by what they are about, those with most open first. */
function grouped(matters: Matter[], by: (each: Matter) => string): [string, Matter[]][] {
  const groups = new Map<string, Matter[]>();
  for (const each of matters) groups.set(by(each), [...(groups.get(by(each)) ?? []), each]);
  const open = (of: Matter[]) => of.filter((each) => each.waiver === null).length;
  return [...groups].sort((a, b) => open(b[1]) - open(a[1]));
}

const entries = (matters: Matter[]) => {
  const count = new Set(matters.map((each) => each.entry)).size;
  return count === 1 ? 'One entry' : `${count} entries`;
};

function Holds({ gate, next }: { gate: Gate; next: boolean }) {
  const holds = of(gate, 'hold');
  return (
    <Station
      next={next}
      title="Nothing on hold"
      verdict={holds.length > 0 ? 'hold' : 'clear'}
      words={
        holds.length > 0
          ? `${entries(holds)} may not be keyed by everyone who carries it. A hold is cured, never waived.`
          : 'Everyone who carries it may key what it lets them key.'
      }
      press={
        holds.length > 0 ? (
          <Link to={`/lists/${gate.list}?show=hold`} className={LINK}>
            Cure them on the Desk
          </Link>
        ) : undefined
      }
    >
      {grouped(holds, (each) => each.title).map(([title, matters]) => (
        <Matters key={title} list={gate.list} heading={title} matters={matters} />
      ))}
    </Station>
  );
}

function Queries({ gate, next }: { gate: Gate; next: boolean }) {
  const queries = of(gate, 'query');
  const open = queries.filter((each) => each.waiver === null);
  return (
    <Station
      next={next}
      title="Every query cured or waived"
      verdict={open.length > 0 ? 'query' : 'clear'}
      words={
        open.length > 0
          ? `${entries(open)} with a question that nobody has answered.`
          : queries.length > 0
            ? 'Each was waived by name.'
            : 'There is none.'
      }
      press={
        open.length > 0 ? (
          <Link to={`/lists/${gate.list}?show=query`} className={LINK}>
            Cure them on the Desk
          </Link>
        ) : undefined
      }
    >
      {grouped(queries, (each) => each.title).map(([title, matters]) => (
        <Matters key={title} list={gate.list} heading={title} matters={matters} settle="Waive" />
      ))}
    </Station>
  );
}

function Radios({ gate, next }: { gate: Gate; next: boolean }) {
  const misfits = of(gate, 'misfit');
  const open = misfits.filter((each) => each.waiver === null);
  const none = gate.models.length === 0;
  return (
    <Station
      next={next}
      title="Fit for the radios"
      verdict={none ? 'query' : open.length + gate.settingHolds.length > 0 ? 'hold' : 'clear'}
      words={
        none
          ? 'Nobody has said which radios it is for.'
          : open.length > 0
            ? `${entries(open)} cannot go into a radio that it is for.`
            : `For ${some(gate.models.map((each) => each.name))}.`
      }
      press={
        <span className="flex items-center gap-2">
          <MeantButton list={gate.list} words={none ? 'Choose the radios' : 'This list is for …'} />
          {!none && (
            <Link to={`/lists/${gate.list}/fit`} className={LINK}>
              Look at the fit
            </Link>
          )}
        </span>
      }
    >
      {grouped(misfits, (each) => each.title).map(([title, matters]) => (
        <Matters key={title} list={gate.list} heading={title} matters={matters} settle="Leave out of them" />
      ))}
      {open.length > 0 && <SetOtherwise gate={gate} open={open} />}
      <Settings gate={gate} />
    </Station>
  );
}

/** How the radios are set besides their channels, which goes out with the list. */
function Settings({ gate }: { gate: Gate }) {
  if (gate.profiles.length === 0) return null;
  return (
    <div className="text-second flex flex-col gap-1">
      {gate.settingHolds.map((each) => (
        <p key={each} className="flex items-start gap-2">
          <span className="mt-[2px]">
            <VerdictMark verdict="hold" size={13} />
          </span>
          <span>{each.charAt(0).toUpperCase() + each.slice(1)}</span>
        </p>
      ))}
      <p>
        With it go the settings{' '}
        {gate.profiles.map((each, index) => (
          <span key={each.team}>
            {index > 0 && ', '}“{each.name}” ({each.settings}
            {each.team && `, for ${each.team}`})
          </span>
        ))}
        .{' '}
        <Link to="/radios?show=settings" className={LINK}>
          Look at them
        </Link>
      </p>
    </div>
  );
}

/** What a second person looks at: what differs from what is in use, and every entry. */
function Read({ gate }: { gate: Gate }) {
  const [open, setOpen] = useState(false);
  const entries = Server.useQuery(
    'get',
    '/api/lists/{list}/gate/entries',
    { params: { path: { list: gate.list } }, asOf: gate.state },
    { enabled: open },
  );
  const { since } = gate;
  return (
    <Station
      title="The entries are read"
      verdict={gate.signature ? 'clear' : ''}
      words={
        since === null
          ? `${gate.entries} entries, for the first time.`
          : since.entries.length === 0 && !since.moved
            ? `${gate.entries} entries, as in release ${since.number}.`
            : `${gate.entries} entries; ${since.entries.length === 0 ? 'their order' : since.entries.length === 1 ? 'one' : since.entries.length} otherwise than in release ${since.number}.`
      }
      press={
        <Button kind="quiet" className="text-second" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Close the entries' : 'Read the entries'}
        </Button>
      }
    >
      {since !== null && <Since since={since} />}
      {open && entries.data && <OutList list={gate.name} parts={entries.data} />}
      {entries.error && <Notice message={entries.error.message} />}
    </Station>
  );
}

/** Radios that are set so that entries do not go into them: the bench sets them otherwise, or the list is not for them. */
function SetOtherwise({ gate, open }: { gate: Gate; open: Matter[] }) {
  const concerned = gate.models.filter(
    (model) => model.units.length > 0 && open.some((each) => each.model === model.name) && model.locked,
  );
  if (concerned.length === 0) return null;
  return (
    <ul className="text-second flex flex-col gap-0.5">
      {concerned.map((model) => (
        <li key={model.name}>
          {model.name}: if that setting was not meant, set{' '}
          {model.units.map((unit, index) => (
            <span key={unit.id}>
              {index > 0 && ', '}
              <Link to={`/radios?unit=${unit.id}&change`} className={LINK}>
                {unit.label}
              </Link>
            </span>
          ))}{' '}
          otherwise, or take the setting off what this list is for.
        </li>
      ))}
    </ul>
  );
}

function Out({ gate, next }: { gate: Gate; next: boolean }) {
  const go = useNavigate();
  const caughtUp = useCaughtUp();
  const may = useMay('coordinate');
  const release = useMutation({
    mutationFn: () =>
      data(
        api.POST('/api/lists/{list}/releases', {
          params: { path: { list: gate.list } },
          body: { state: gate.state },
        }),
      ),
    onSuccess: async (made) => {
      await caughtUp();
      void go(`/releases/${made.id}`);
    },
  });
  const number = (gate.newest?.number ?? 0) + 1;
  return (
    <Station
      next={next}
      last
      title="Release"
      verdict={gate.missing.length === 0 ? 'clear' : ''}
      words={
        gate.inUse
          ? 'Nothing was changed since.'
          : may
            ? 'Frozen, numbered, with a sum over all of it.'
            : 'A coordinator releases it.'
      }
    >
      {may && !gate.inUse && (
        <Button
          kind="strong"
          data-gate="out"
          className="self-start px-4 py-1.5"
          disabled={gate.missing.length > 0 || release.isPending}
          onClick={() => release.mutate()}
        >
          {release.isPending ? 'Freezing it …' : `Release ${number}`}
        </Button>
      )}
      {release.error && <Notice message={release.error.message} />}
    </Station>
  );
}

/** What a release would hold, and the one before. */
function GoesOut({ gate }: { gate: Gate }) {
  return (
    <>
      <section aria-label="With it">
        <h2 className="text-second text-soft pb-1">What goes out</h2>
        <PartList list={gate.name} parts={gate.parts} />
        {gate.parts.length === 1 && (
          <p className="text-second text-soft pt-2">
            A class that may key less gets a variant:{' '}
            <Link to={`/lists/${gate.list}/who`} className={LINK}>
              make one
            </Link>
            .
          </p>
        )}
      </section>
      <section aria-label="Before it">
        <h2 className="text-second text-soft pb-1">Released before</h2>
        {gate.newest ? (
          <p>
            <Link to={`/releases/${gate.newest.id}`} className={LINK}>
              Release {gate.newest.number}
            </Link>
            , version {gate.newest.version}
            <span className="text-second text-soft block">
              {moment(gate.newest.at)}, by {gate.newest.by}
              {gate.newest.recalled && '; recalled'}
            </span>
            {gate.since && !gate.inUse && (
              <Link to={`/lists/${gate.list}/versions`} className={`${LINK} text-second block`}>
                What changed since
              </Link>
            )}
          </p>
        ) : (
          <p className="text-soft">Never.</p>
        )}
      </section>
    </>
  );
}
