import { Link, useParams } from 'react-router';
import { useAddress } from '../ui/useAddress';
import { useGroup } from '../accounts/group';
import { type Schemas, Server } from '../api/client';
import { ListHeader } from '../desk/ListHeader';
import { useRadios } from '../radios/useRadios';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Notice } from '../ui/Notice';
import { Once, SettingSteps, Steps } from './Steps';

/** The paper on which a list is typed into a model by hand, to print. */
export function PaperPage() {
  const list = Number(useParams().list);
  const { group } = useGroup();
  const [params, setParams] = useAddress();
  const radios = useRadios(group?.id);
  const models = radios.data?.models ?? [];
  const model = Number(
    params.get('model') ?? [...models].sort((a, b) => b.units - a.units).find((each) => each.keypad)?.id ?? 0,
  );
  const paper = Server.useQuery(
    'get',
    '/api/lists/{list}/keypad/{model}',
    { params: { path: { list, model } } },
    { enabled: model > 0 },
  );
  const able = paper.data?.entries.filter((entry) => entry.impossible === null) ?? [];
  const unable = paper.data?.entries.filter((entry) => entry.impossible !== null) ?? [];
  return (
    <div className="flex h-full flex-col print:block">
      <title>{`By keypad · ${paper.data?.name ?? ''} · Wache`}</title>
      <div className="print:hidden">
        <ListHeader list={list} name={paper.data?.name} />
        <section
          aria-label="Which paper"
          className="border-line flex flex-wrap items-end gap-3 border-b px-5 py-2"
        >
          <Choice
            label="Typed into"
            value={String(model)}
            options={models.map((each) => [String(each.id), each.name] as const)}
            onChange={(id) => setParams({ model: id }, { replace: true })}
          />
          <Button onClick={() => window.print()} disabled={able.length === 0}>
            Print
          </Button>
          <span className="grow" />
          <Link to={`/lists/${list}/fit`} className="text-accent pb-1 underline-offset-2 hover:underline">
            Back to the fit
          </Link>
        </section>
      </div>
      <main className="min-h-0 grow overflow-y-auto px-5 py-4 print:overflow-visible print:p-0">
        {models.length === 0 && radios.data && <p className="text-soft">There is no model of radio yet.</p>}
        {paper.error && <Notice message={paper.error.message} />}
        {paper.data && (
          <div className="mx-auto flex max-w-5xl flex-col gap-4">
            <div>
              <h1 className="text-title font-semibold">
                {paper.data.name},{' '}
                {paper.data.release
                  ? `release ${paper.data.release}`
                  : `version ${paper.data.version}, not released`}
                : by hand into {paper.data.modelName}
              </h1>
              <p className="text-second">
                {paper.data.method} Read the radio and write down what is in it before you clear a memory.
                Never key without an antenna or a dummy load. Check against the current rules: this paper does
                not replace your licence terms.
              </p>
            </div>
            {paper.data.tables.map((table) => (
              <p key={table.title} className="text-second">
                <span className="font-semibold">{table.title}:</span>{' '}
                <span className="font-mono">{table.rows.join(', ')}</span>
              </p>
            ))}
            {paper.data.profiles.map((profile) => (
              <SettingSteps key={profile.team} profile={profile} many={paper.data.profiles.length > 1} />
            ))}
            {able.length > 0 && <Once title="Before the first entry" steps={paper.data.before} />}
            {able.map((entry) => (
              <Entry key={entry.entry} entry={entry} list={list} model={model} />
            ))}
            {able.length > 0 && <Once title="After the last entry" steps={paper.data.after} />}
            {unable.length > 0 && (
              <section aria-label="Not by hand">
                <h2 className="font-semibold">Not by hand</h2>
                <ul className="text-second">
                  {unable.map((entry) => (
                    <li key={entry.entry} className="flex gap-2">
                      <span className="text-soft w-8 shrink-0 text-right font-mono">{entry.number}</span>
                      <span className="w-36 shrink-0 truncate font-semibold">{entry.name}</span>
                      <span>
                        {entry.byNumber && <span className="font-semibold">{entry.byNumber}. </span>}
                        {entry.impossible}
                      </span>
                    </li>
                  ))}
                </ul>
              </section>
            )}
          </div>
        )}
      </main>
    </div>
  );
}

function Entry({ entry, list, model }: { entry: Schemas['PaperEntry']; list: number; model: number }) {
  return (
    <section
      aria-label={entry.name}
      className="border-line bg-sheet break-inside-avoid rounded border px-4 py-3 print:border-black print:py-1.5 print:text-[10px]"
    >
      <div className="flex flex-wrap items-baseline gap-x-4 pb-2">
        <h2 className="font-semibold">
          {entry.name} <span className="text-soft font-normal">into memory {entry.memory}</span>
        </h2>
        <span className="text-second font-mono">
          hears {entry.hears}, {entry.talks ? `talks on ${entry.talks}` : 'only listens'}
          {entry.sends && `, sends ${entry.sends}`}
          {entry.opensOn && `, opens with ${entry.opensOn}`}
        </span>
        <span className="grow" />
        <Link
          to={`/trainer?model=${model}&list=${list}&entry=${entry.entry}`}
          className="text-accent text-second underline-offset-2 hover:underline print:hidden"
        >
          Practise it
        </Link>
      </div>
      <Steps steps={entry.steps} />
      {entry.atOnce.length > 0 && (
        <details className="text-second pt-2 print:hidden">
          <summary className="text-accent cursor-pointer">Without a memory</summary>
          <Steps steps={entry.atOnce} />
        </details>
      )}
    </section>
  );
}
