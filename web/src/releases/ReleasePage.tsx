import { Link, useParams } from 'react-router';
import { type Schemas, Server } from '../api/client';
import { day, moment } from '../ui/dates';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { VerdictMark } from '../ui/VerdictMark';
import { Against, Recall } from './Against';
import { Papers } from './Papers';
import { OutList } from './OutList';
import { PartList } from './PartList';

/** One release: what it froze, its papers, who has it, and what speaks against it. */
export function ReleasePage() {
  const release = Number(useParams().release);
  const view = Server.useQuery('get', '/api/releases/{release}', { params: { path: { release } } });
  return (
    <div className="flex min-h-full flex-col">
      <title>{`Release ${view.data?.line.number ?? ''} · ${view.data?.line.name ?? ''} · Wache`}</title>
      <PageHeader />
      {view.error && (
        <div className="p-4">
          <Notice message={view.error.message} />
        </div>
      )}
      {view.data && <Shown view={view.data} />}
    </div>
  );
}

function Shown({ view }: { view: Schemas['ReleaseView'] }) {
  const { line } = view;
  const entries = Server.useQuery('get', '/api/releases/{release}/entries', {
    params: { path: { release: line.id } },
  });
  return (
    <main className="mx-auto flex w-full max-w-6xl flex-col gap-5 px-5 pt-4 pb-8">
      <div>
        <p className="text-second">
          <Link to="/releases" className="text-accent underline underline-offset-2">
            Releases
          </Link>
        </p>
        <h1 className="text-title flex flex-wrap items-center gap-x-3 font-semibold">
          {line.name}, release {line.number}
          <span className="text-body flex items-center gap-1.5 font-normal">
            <VerdictMark verdict={line.recalled ? 'hold' : view.current ? 'clear' : ''} size={14} />
            {line.recalled ? 'recalled' : view.current ? 'in use' : 'replaced by a later one'}
          </span>
        </h1>
        <p className="text-soft">
          Version {line.version} of the list, released {moment(line.at)} by {line.by}, signed by{' '}
          {line.signedBy}. Judged for {day(view.on)} under rulebook {view.rulebook}, edition{' '}
          {day(view.edition)}
          {view.overlayVersion > 0 && `, with version ${view.overlayVersion} of the group’s own plan`}.
        </p>
        <p className="text-second text-soft pt-1 font-mono break-words">
          SHA-256 {line.sha256.replace(/(.{8})(?=.)/g, '$1 ')}
        </p>
      </div>
      {line.recalled && (
        <Notice
          message={`Recalled by ${line.recalled.by}, ${moment(line.recalled.at)}: ${line.recalled.reason}`}
        />
      )}
      {view.against.length > 0 && <Against line={line} against={view.against} />}
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <Papers view={view} />
        <div className="flex flex-col gap-5">
          <section aria-label="What went out">
            <h2 className="text-second text-soft pb-1">What went out</h2>
            <PartList list={line.name} parts={view.parts} />
            <ul className="flex flex-col gap-1.5 pt-1.5">
              {view.models.map((model) => (
                <li key={model.name} className="text-second">
                  {model.name}:{' '}
                  {model.leftOut.length === 0
                    ? 'every entry'
                    : `without ${model.leftOut.length === 1 ? 'entry' : 'entries'} ${model.leftOut.join(', ')}`}
                </li>
              ))}
            </ul>
          </section>
          <section aria-label="In which radios">
            <h2 className="text-second text-soft pb-1">In these radios</h2>
            {view.radios.length === 0 ? (
              <p className="text-soft">
                In none.{' '}
                {view.current && (
                  <Link to={`/bench?list=${line.list}`} className="text-accent underline underline-offset-2">
                    Put it into radios
                  </Link>
                )}
              </p>
            ) : (
              <ul className="columns-2 gap-6">
                {view.radios.map((radio) => (
                  <li key={radio.unit} className="break-inside-avoid">
                    <Link to={`/radios?unit=${radio.unit}`} className="hover:text-accent">
                      {radio.label}
                    </Link>{' '}
                    <span className="text-second text-soft">{radio.carrier ?? 'not handed out'}</span>
                  </li>
                ))}
              </ul>
            )}
          </section>
          {view.waivers.length > 0 && <Waivers waivers={view.waivers} />}
          {view.current && view.against.length === 0 && <Recall line={line} proposed={false} first="" />}
        </div>
      </div>
      <section aria-label="The entries as they went out" className="flex min-w-0 flex-col gap-1">
        <h2 className="text-second text-soft">The entries as they went out</h2>
        {entries.data && <OutList list={line.name} parts={entries.data} />}
        {entries.error && <Notice message={entries.error.message} />}
      </section>
    </main>
  );
}

function Waivers({ waivers }: { waivers: Schemas['ReleasedWaiver'][] }) {
  const reasons = new Map<string, Schemas['ReleasedWaiver'][]>();
  for (const each of waivers) {
    const key = `${each.waiver.reason} ${each.waiver.by} ${each.waiver.until ?? ''} ${each.model}`;
    reasons.set(key, [...(reasons.get(key) ?? []), each]);
  }
  return (
    <section aria-label="Let stand">
      <h2 className="text-second text-soft pb-1">Let stand, by name</h2>
      <ul className="flex flex-col gap-1.5">
        {[...reasons.values()].map((of) => (
          <li key={of[0]!.number + of[0]!.waiver.reason + of[0]!.model}>
            {of[0]!.waiver.reason}
            <span className="text-second text-soft block">
              {of[0]!.model && `${of[0]!.model}: `}
              {of.length === 1
                ? `entry ${of[0]!.number}. ${of[0]!.message}`
                : `entries ${of.map((each) => each.number).join(', ')}`}
              {' · '}
              {of[0]!.waiver.by}, {day(of[0]!.waiver.on)}
              {of[0]!.waiver.until && `, until ${day(of[0]!.waiver.until)}`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
