import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { useAddress } from '../ui/useAddress';
import { type Schemas, Server } from '../api/client';
import { deskQuery } from '../desk/useDesk';
import { ListHeader } from '../desk/ListHeader';
import { useRulebooks } from '../rulebooks/rulebooks';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Megahertz } from '../ui/Megahertz';
import { Notice } from '../ui/Notice';
import { VerdictMark, verdictWord } from '../ui/VerdictMark';

const FATES: [string, string, string][] = [
  ['dies', 'May not be keyed there', 'clear or asked at home, on hold there'],
  ['asked', 'Asked about there', 'clear at home'],
  ['same', 'As at home', ''],
  ['easier', 'Easier than at home', ''],
  ['held', 'On hold in both', ''],
];

const classWords = (as: string) => (as === 'nobody' ? 'no licence' : as.replace(/^[^:]*:/, ''));

/** "May I take this radio along?": the list under the rules of another country. */
export function AbroadPage() {
  const list = Number(useParams().list);
  const [params, setParams] = useAddress();
  const rulebooks = useRulebooks();
  const as = params.get('as') ?? '';
  const on = params.get('on') ?? '';
  const desk = useQuery({
    ...deskQuery(list),
  });
  const others = (rulebooks.data ?? []).filter((each) => each.id !== desk.data?.rulebook);
  const there = params.get('to') ?? others[0]?.id ?? '';
  const abroad = Server.useQuery(
    'get',
    '/api/lists/{list}/abroad',
    {
      params: { path: { list }, query: { rulebook: there, as: as || undefined, on: on || undefined } },
      asOf: desk.data?.version,
    },
    { enabled: there !== '' && desk.data !== undefined, placeholderData: keepPreviousData },
  );
  const set = (change: Record<string, string>) => {
    const next = { to: there, as, on, ...change };
    setParams(Object.fromEntries(Object.entries(next).filter(([, value]) => value !== '')), {
      replace: true,
    });
  };
  const judged = abroad.data;
  return (
    <div className="flex h-full flex-col">
      <title>{`Abroad · ${desk.data?.name ?? ''} · Wache`}</title>
      <ListHeader list={list} name={desk.data?.name} />
      <section
        aria-label="Where to"
        className="border-line flex flex-wrap items-end gap-x-4 gap-y-1 border-b px-3 py-1.5"
      >
        <Choice
          label="May I take this along to"
          value={there}
          options={others.map((each) => [each.id, each.title] as const)}
          onChange={(to) => set({ to, as: '' })}
        />
        <Choice
          label="Licence there"
          value={as}
          options={[
            ['', 'what our licences count as'],
            ...(judged?.rulebook === there ? judged.classes : []).map(
              (each) => [each, classWords(each)] as const,
            ),
          ]}
          onChange={(next) => set({ as: next })}
        />
        <Field label="On" type="date" value={on} onChange={(next) => set({ on: next })} />
        {judged && (
          <p className="text-second text-soft pb-1">
            {judged.law}, edition {judged.edition}. From memory: ask the regulator there before you go.
          </p>
        )}
      </section>
      {(abroad.error ?? desk.error) && (
        <div className="p-3">
          <Notice message={(abroad.error ?? desk.error)!.message} />
        </div>
      )}
      {judged && (
        <div className="flex min-h-0 grow max-lg:flex-col max-lg:overflow-y-auto">
          <main className="min-w-0 grow overflow-y-auto max-lg:overflow-visible">
            <p className="px-4 pt-3 pb-2 text-[17px]">{summary(judged)}</p>
            {FATES.map(([fate, title, words]) => (
              <Fate
                key={fate}
                list={list}
                title={title}
                words={words}
                entries={judged.entries.filter((each) => each.fate === fate)}
              />
            ))}
          </main>
          <aside
            aria-label="Licences there"
            className="border-line flex w-full shrink-0 flex-col gap-3 overflow-y-auto border-l p-3 max-lg:border-t max-lg:border-l-0 lg:w-[340px]"
          >
            <h2 className="font-semibold">What the licences count as there</h2>
            {judged.as ? (
              <p>
                Taken as chosen: everyone has{' '}
                {judged.as === 'nobody' ? 'no licence' : `the class ${classWords(judged.as)}`} there.
              </p>
            ) : judged.counted.length === 0 ? (
              <p className="text-soft">
                Nobody who carries the list has a licence. Only what is open to all counts.
              </p>
            ) : (
              <ul className="flex flex-col gap-2">
                {grouped(judged.counted).map((each) => (
                  <li key={each.licence + each.words} className="border-line border-b pb-2">
                    <span className="font-semibold">{each.licence}</span>{' '}
                    {each.countsAs ? (
                      <>
                        counts as <span className="font-semibold">{each.countsAs}</span>
                      </>
                    ) : (
                      <span className="text-hold">does not count</span>
                    )}
                    <span className="text-second text-soft block">
                      {each.words}
                      {each.source && ` (${each.source})`}. {each.holders.join(', ')}.
                    </span>
                  </li>
                ))}
              </ul>
            )}
            <p className="text-second text-soft">
              The place, the raster and the group’s own band plan belong to home and do not count there.
              Radios are held against what they are certified for; customs and insurance are not judged here.
            </p>
          </aside>
        </div>
      )}
    </div>
  );
}

/** A country in a sentence: the United Kingdom. */
const inText = (country: string) => (country.startsWith('United') ? `the ${country}` : country);

function summary(judged: Schemas['AbroadView']): string {
  const many = (fate: string) => judged.entries.filter((each) => each.fate === fate).length;
  const dies = many('dies');
  const asked = many('asked');
  const all = judged.entries.length;
  if (all === 0) return 'The list is empty.';
  const parts = [
    dies === 0
      ? `Nothing that may be keyed at home is lost in ${inText(judged.country)}`
      : `${dies} of ${all} entries may not be keyed in ${inText(judged.country)}`,
    asked > 0 ? `${asked} ${asked === 1 ? 'becomes a query' : 'become queries'}` : '',
    judged.after.clear === 0
      ? 'none is clear there'
      : `${judged.after.clear} ${judged.after.clear === 1 ? 'is' : 'are'} clear there`,
  ];
  return parts.filter(Boolean).join('; ') + '.';
}

function grouped(counted: Schemas['CountedLicence'][]) {
  const all = new Map<string, Schemas['CountedLicence'] & { holders: string[] }>();
  counted.forEach((each) => {
    const key = `${each.licence} ${each.countsAs} ${each.words}`;
    const known = all.get(key);
    if (known) known.holders.push(each.holder);
    else all.set(key, { ...each, holders: [each.holder] });
  });
  return [...all.values()];
}

interface FateProps {
  list: number;
  title: string;
  words: string;
  entries: Schemas['AbroadEntry'][];
}

function Fate({ list, title, words, entries }: FateProps) {
  if (entries.length === 0) return null;
  return (
    <section aria-label={title}>
      <h2 className="bg-paper text-second text-soft border-line sticky top-0 border-b px-4 py-1">
        {title}, {entries.length}
        {words && <span className="font-normal"> · {words}</span>}
      </h2>
      <ul>
        {entries.map((entry) => (
          <li
            key={entry.id}
            className="border-line grid grid-cols-[5.5rem_minmax(0,1fr)] items-baseline gap-x-3 border-b px-4 py-1.5"
          >
            <span className="text-right">
              {entry.txHz !== null ? (
                <Megahertz hertz={entry.txHz} />
              ) : (
                entry.rxHz !== null && <Megahertz hertz={entry.rxHz} />
              )}
            </span>
            <span className="min-w-0">
              <span className="inline-flex items-center gap-1 pr-2 align-[-2px]">
                <VerdictMark verdict={entry.home} size={12} />
                <span aria-hidden="true">→</span>
                <VerdictMark verdict={entry.there} size={12} />
                <span className="sr-only">
                  {verdictWord(entry.home)} at home, {verdictWord(entry.there)} there
                </span>
              </span>
              <Link to={`/lists/${list}?entry=${entry.id}`} className="hover:text-accent font-semibold">
                {entry.name || `Number ${entry.number}`}
              </Link>{' '}
              {entry.reason}
              {entry.more > 0 && <span className="text-soft"> And {entry.more} more.</span>}
              {entry.source && <span className="text-second text-soft block">{entry.source}</span>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
