import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, data, Server } from '../api/client';
import { ListHeader } from '../desk/ListHeader';
import { useDesk } from '../desk/useDesk';
import { Button } from '../ui/Button';
import { moment } from '../ui/dates';
import { Field } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { Compare } from './Compare';
import { MergeView } from './MergeView';

/** What is looked at: a version of this list, or another list. */
type Looked = { version: number } | { list: number; merge: boolean };

/** The versions of a list, what differs between any two, copies of it, and merges. */
export function VersionsPage() {
  const list = Number(useParams().list);
  const go = useNavigate();
  const work = useDesk(list);
  const desk = work.desk.data;
  const [chosen, setLooked] = useState<Looked>();
  const [copyName, setCopyName] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const history = Server.useQuery(
    'get',
    '/api/lists/{list}/versions',
    { params: { path: { list } }, asOf: desk?.version },
    { enabled: desk !== undefined },
  );
  const lists = Server.useQuery(
    'get',
    '/api/groups/{group}/lists',
    { params: { path: { group: desk?.groupId ?? 0 } } },
    { enabled: desk !== undefined },
  );
  const past = history.data?.versions ?? [];
  // It opens on what changed since the last release, or with the last change.
  const since = past.slice(1).find((each) => each.release !== null && !each.recalled) ?? past[1];
  const looked: Looked | undefined = chosen ?? (since && { version: since.version });
  const others = (lists.data ?? []).filter((each) => each.id !== list);
  const copy = async () => {
    try {
      const made = await data(
        api.POST('/api/lists/{list}/copies', { params: { path: { list } }, body: { name: copyName ?? '' } }),
      );
      void go(`/lists/${made.id}`);
    } catch (cause) {
      setProblem((cause as Error).message);
    }
  };
  const origin = history.data?.origin;
  const originName = lists.data?.find((each) => each.id === origin?.list)?.name;
  return (
    <div className="flex h-full flex-col">
      <title>{`Versions of ${desk?.name ?? 'a list'} · Wache`}</title>
      <ListHeader list={list} name={desk?.name} />
      {(work.desk.error ?? history.error) && (
        <div className="p-4">
          <Notice message={(work.desk.error ?? history.error)!.message} />
        </div>
      )}
      <div className="flex min-h-0 grow flex-col md:flex-row">
        <nav
          aria-label="Versions"
          className="border-line flex shrink-0 flex-col overflow-y-auto border-b max-md:max-h-[40%] md:w-80 md:border-r md:border-b-0"
        >
          <section className="border-line flex flex-col gap-2 border-b px-4 py-3">
            <h2 className="font-semibold">Compare with another list</h2>
            <select
              aria-label="Another list"
              className="border-edge bg-sheet rounded border px-2 py-1"
              value={looked && 'list' in looked ? looked.list : ''}
              onChange={(event) =>
                setLooked(event.target.value ? { list: Number(event.target.value), merge: false } : undefined)
              }
            >
              <option value="">choose one …</option>
              {others.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.name}
                </option>
              ))}
            </select>
            {origin && (
              <p className="text-second">
                A copy of {originName ?? 'another list'}, version {origin.version}.{' '}
                <Button
                  kind="quiet"
                  className="text-second"
                  onClick={() => setLooked({ list: origin.list, merge: true })}
                >
                  Bring in what changed there
                </Button>
              </p>
            )}
            {copyName === undefined ? (
              <Button className="self-start" onClick={() => setCopyName(`${desk?.name ?? 'List'}, copy`)}>
                Make a copy to change by itself
              </Button>
            ) : (
              <div className="flex items-end gap-2">
                <Field label="Name of the copy" value={copyName} className="grow" onChange={setCopyName} />
                <Button kind="strong" disabled={!copyName.trim()} onClick={() => void copy()}>
                  Copy
                </Button>
              </div>
            )}
            {problem && <Notice message={problem} />}
          </section>
          <ol className="flex flex-col">
            {(history.data?.versions ?? []).map((each, index) => {
              const open = looked && 'version' in looked && looked.version === each.version;
              return (
                <li key={each.version}>
                  <button
                    type="button"
                    aria-pressed={open}
                    disabled={index === 0}
                    onClick={() => setLooked({ version: each.version })}
                    className={`border-line w-full border-b px-4 py-2 text-left ${open ? 'bg-accent-wash' : index === 0 ? '' : 'hover:bg-sunk'}`}
                  >
                    <span className="flex gap-2">
                      <span className="text-soft font-mono">{each.version}</span>
                      <span className="min-w-0 grow">{each.words}</span>
                      {each.release !== null && (
                        <span
                          className={`text-second shrink-0 ${each.recalled ? 'text-hold' : 'text-accent'}`}
                        >
                          release {each.release}
                          {each.recalled && ', recalled'}
                        </span>
                      )}
                      {index === 0 && <span className="text-second text-soft">now</span>}
                    </span>
                    <span className="text-second text-soft block">
                      {moment(each.at)}, {each.by}
                    </span>
                  </button>
                </li>
              );
            })}
          </ol>
        </nav>
        <main className="min-w-0 grow overflow-y-auto px-5 py-4">
          {work.problem && (
            <Notice message={work.problem}>
              <Button onClick={work.dismiss}>Understood</Button>
            </Notice>
          )}
          {!looked && (
            <p className="text-soft max-w-prose">
              Choose an earlier version or another list: what differs is told in radio terms, and an earlier
              version can be brought back. A copy can be changed by somebody else, or for other carriers, and
              merged back: what only one side changed is taken, what both changed is yours to settle.
            </p>
          )}
          {desk && looked && 'version' in looked && (
            <Compare
              desk={desk}
              otherVersion={looked.version}
              versions={(history.data?.versions ?? []).map((each) => each.version)}
              fixed={work.fixed}
              onBack={work.act}
            />
          )}
          {desk && looked && 'list' in looked && !looked.merge && (
            <Compare
              desk={desk}
              other={looked.list}
              fixed={work.fixed}
              onBack={work.act}
              onMerge={desk.parent ? undefined : () => setLooked({ list: looked.list, merge: true })}
            />
          )}
          {desk && looked && 'list' in looked && looked.merge && (
            <MergeView desk={desk} other={looked.list} onTake={work.act} onDone={() => void work.reload()} />
          )}
        </main>
      </div>
    </div>
  );
}
