import { keepPreviousData, useMutation } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Effect } from '../plans/Effect';
import { Button } from '../ui/Button';
import { day, moment } from '../ui/dates';
import { Field } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { useRulebooks } from '../rulebooks/rulebooks';
import { EDITION, SERVICE } from './examples';
import { TextEditor } from './TextEditor';

const LARGEST = 200_000;

/** Editions and private services added to the rulebooks: checked as they are typed, tried on lists, put in force, taken back. */
export function AdditionsPage() {
  const caughtUp = useCaughtUp();
  const [text, setText] = useState('');
  const [note, setNote] = useState('');
  const [unread, setUnread] = useState<string>();
  const asked = useDeferredValue(text);
  const rulebooks = useRulebooks();
  const country = (id: string | null | undefined) =>
    rulebooks.data?.find((each) => each.id === id)?.title ?? id;
  const all = Server.useQuery('get', '/api/installation/rulebook-additions', {}, { retry: false });
  const trial = Server.useQuery(
    'post',
    '/api/installation/rulebook-additions/trial',
    { body: { text: asked } },
    { enabled: asked.trim() !== '', placeholderData: keepPreviousData, gcTime: 30_000 },
  );
  const put = useMutation({
    mutationFn: () => data(api.POST('/api/installation/rulebook-additions', { body: { text, note } })),
    onSuccess: () => {
      setText('');
      setNote('');
      return caughtUp();
    },
  });
  const checked = text.trim() === '' ? undefined : trial.data;
  const current = asked === text && !trial.isPlaceholderData;
  const take = (file: File) => {
    setUnread(undefined);
    if (file.size > LARGEST) {
      setUnread(`${file.name} is larger than 200 kB: it is no addition to a rulebook.`);
      return;
    }
    void file.text().then(setText, () => setUnread(`${file.name} could not be read. Try again.`));
  };
  return (
    <div className="flex min-h-full flex-col">
      <title>Additions to the rulebooks · Wache</title>
      <PageHeader />
      <main className="mx-auto grid w-full max-w-7xl gap-x-8 gap-y-5 px-5 pt-4 pb-8 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <div className="flex min-w-0 flex-col gap-3">
          <h1 className="text-title font-semibold">
            <Link to="/installation" className="text-accent font-normal underline underline-offset-2">
              Installation
            </Link>{' '}
            · Additions to the rulebooks
          </h1>
          <p className="text-soft max-w-prose">
            A new edition of a rulebook, or a service of your own, as a YAML text. It is checked as you type
            and tried on the lists of your groups; it counts for all groups once it is put in force, and can
            be taken back.
          </p>
          {all.error && <Notice message={all.error.message} />}
          {!all.error && (
            <>
              <div
                className="flex flex-col gap-2"
                onDragOver={(event) => event.preventDefault()}
                onDrop={(event) => {
                  event.preventDefault();
                  const file = event.dataTransfer.files[0];
                  if (file) take(file);
                }}
              >
                <div className="flex flex-wrap items-center gap-2">
                  <label className="border-edge bg-sheet hover:border-accent hover:text-accent has-focus-visible:outline-accent cursor-pointer rounded border px-2.5 py-1 leading-tight has-focus-visible:outline-2">
                    Open a file …
                    <input
                      type="file"
                      accept=".yaml,.yml,text/yaml"
                      className="sr-only"
                      onChange={(event) => {
                        const file = event.target.files?.[0];
                        if (file) take(file);
                        event.target.value = '';
                      }}
                    />
                  </label>
                  <span className="text-soft">or drop one here, or begin with</span>
                  <Button onClick={() => setText(EDITION)}>an edition</Button>
                  <Button onClick={() => setText(SERVICE)}>a private service</Button>
                </div>
                {unread && <Notice message={unread} />}
                <TextEditor value={text} line={checked?.line ?? 0} onChange={setText} />
              </div>
              {checked?.problem && <Notice message={checked.problem} />}
              {(trial.error ?? put.error) && <Notice message={(trial.error ?? put.error)!.message} />}
              {checked && !checked.problem && (
                <form
                  className="flex flex-wrap items-end gap-3"
                  onSubmit={(event) => {
                    event.preventDefault();
                    put.mutate();
                  }}
                >
                  <Field label="Why" className="w-80" value={note} maxLength={300} onChange={setNote} />
                  <Button type="submit" kind="strong" disabled={!current || put.isPending}>
                    Put it in force
                  </Button>
                  <span className="text-soft pb-1">
                    {checked.kind === 'edition'
                      ? `${country(checked.rulebook)}: the edition ${checked.name}, “${checked.title}”, counts from ${day(checked.from!)}.`
                      : `${country(checked.rulebook)}: the service “${checked.title}” (${checked.name}) counts at once.`}
                  </span>
                </form>
              )}
            </>
          )}
          {all.data && <InForce additions={all.data} onOpen={setText} />}
        </div>
        <aside aria-label="What it does" className="flex flex-col gap-4">
          <h2 className="font-semibold">What it does</h2>
          {!checked && <p className="text-soft">Nothing is typed yet.</p>}
          {checked?.problem && <p className="text-soft">It is tried as soon as it can be read.</p>}
          {checked && !checked.problem && (
            <>
              {checked.notices.length > 0 && (
                <ul className="text-query flex flex-col gap-1">
                  {checked.notices.map((notice) => (
                    <li key={notice}>{notice}</li>
                  ))}
                </ul>
              )}
              <Difference title="Ends" lines={checked.gone} />
              <Difference title="Begins" lines={checked.come} />
              {checked.effects.map((group) => (
                <section key={group.group} aria-label={group.name}>
                  <h3 className="text-second text-soft pb-1">{group.name}</h3>
                  <Effect effects={group.lists} pending={false} />
                </section>
              ))}
            </>
          )}
        </aside>
      </main>
    </div>
  );
}

function Difference({ title, lines }: { title: string; lines: Schemas['Line'][] }) {
  if (lines.length === 0) return null;
  return (
    <section aria-label={title}>
      <h3 className="text-second text-soft">{title}</h3>
      <ul>
        {lines.slice(0, 12).map((line, index) => (
          <li key={index} className="py-0.5">
            {Object.values(line)
              .filter((each) => typeof each === 'string')
              .join(' · ')}
          </li>
        ))}
        {lines.length > 12 && <li className="text-soft">and {lines.length - 12} more</li>}
      </ul>
    </section>
  );
}

function InForce({
  additions,
  onOpen,
}: {
  additions: Schemas['AdditionView'][];
  onOpen: (text: string) => void;
}) {
  if (additions.length === 0) return <p className="text-soft pt-2">The rulebooks are as they ship.</p>;
  return (
    <section aria-label="Additions" className="pt-3">
      <h2 className="pb-1 font-semibold">What was added</h2>
      <ul className="border-line bg-sheet divide-line divide-y rounded border">
        {additions.map((each) => (
          <Added key={each.id} addition={each} onOpen={onOpen} />
        ))}
      </ul>
    </section>
  );
}

function Added({ addition, onOpen }: { addition: Schemas['AdditionView']; onOpen: (text: string) => void }) {
  const caughtUp = useCaughtUp();
  const [asking, setAsking] = useState(false);
  const [note, setNote] = useState('');
  const without = Server.useQuery(
    'get',
    '/api/installation/rulebook-additions/{addition}/without',
    { params: { path: { addition: addition.id } } },
    { enabled: asking && addition.takenAt === null },
  );
  const takeBack = useMutation({
    mutationFn: () =>
      data(
        api.POST('/api/installation/rulebook-additions/{addition}/taken-back', {
          params: { path: { addition: addition.id } },
          body: { note },
        }),
      ),
    onSuccess: () => {
      setAsking(false);
      return caughtUp();
    },
  });
  const problem = without.error ?? takeBack.error;
  return (
    <li className="px-4 py-2">
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <span className={`font-semibold ${addition.takenAt ? 'text-soft line-through' : ''}`}>
          {addition.title}
        </span>
        <span className="text-soft">
          {addition.kind} {addition.name}, {addition.rulebook}
        </span>
        <span className="grow" />
        <Button className="text-second" onClick={() => onOpen(addition.body)}>
          Look at its text
        </Button>
        {!addition.takenAt && (
          <Button className="text-second" aria-expanded={asking} onClick={() => setAsking(!asking)}>
            Take it back …
          </Button>
        )}
      </div>
      <p className="text-second text-soft">
        Put in force by {addition.putBy}, {moment(addition.putAt)}
        {addition.note && `: ${addition.note}`}
        {addition.takenAt &&
          `. Taken back by ${addition.takenBy}, ${moment(addition.takenAt)}${addition.takenNote ? `: ${addition.takenNote}` : ''}`}
        .
      </p>
      {problem && !addition.takenAt && <Notice message={problem.message} />}
      {asking && !addition.takenAt && without.data && (
        <div className="flex flex-col gap-2 pt-2">
          {without.data.map((group) => (
            <div key={group.group}>
              <h3 className="text-second text-soft">{group.name}, without it</h3>
              <Effect effects={group.lists} pending={false} />
            </div>
          ))}
          <form
            className="flex flex-wrap items-end gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              takeBack.mutate();
            }}
          >
            <Field label="Why" className="w-72" value={note} maxLength={300} onChange={setNote} />
            <Button type="submit" kind="strong" disabled={takeBack.isPending}>
              Take it back
            </Button>
          </form>
        </div>
      )}
    </li>
  );
}
