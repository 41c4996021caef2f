import { keepPreviousData } from '@tanstack/react-query';
import { useAddress } from '../ui/useAddress';
import { Server } from '../api/client';
import { Chip } from '../ui/Chip';
import { INPUT } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { usePaper } from '../ui/paper';
import { PaperChoice } from '../ui/PaperChoice';
import { SideScroll } from '../ui/SideScroll';
import { ChartView } from './ChartView';
import { SheetDrawing } from './SheetDrawing';
import { SheetTable } from './SheetTable';

const START = '2 m';

const WAYS: [string, string][] = [
  ['sheet', 'Sheet'],
  ['table', 'Table'],
  ['classes', 'All classes'],
];

const LINK = 'text-accent underline-offset-2 hover:underline';

/** A band: its law and its plan on one sheet for a class, as a table, or for all classes side by side. */
export function BandsView({ group, rulebook }: { group?: number; rulebook: string }) {
  const [params, setParams] = useAddress();
  const [paper, setPaper] = usePaper();
  const own = Server.useQuery(
    'get',
    '/api/groups/{group}/own',
    { params: { path: { group: group ?? 0 } } },
    { enabled: group !== undefined, retry: false },
  );
  const way = params.get('as') ?? 'sheet';
  const asked = params.get('band');
  const mine = own.data?.amateurClass ? `amateur:${own.data.amateurClass}` : undefined;
  const holder = params.get('for') ?? mine ?? 'nobody';
  const waits = group !== undefined && own.isLoading;
  const first = Server.useQuery(
    'get',
    '/api/rulebook/bands',
    { params: { query: { rulebook } } },
    { staleTime: Infinity },
  );
  const bands = first.data?.bands ?? [];
  const band = bands.find((each) => each === asked) ?? bands.find((each) => each === START) ?? bands[0];
  const known = first.data?.holders.some((each) => each.as === holder) ? holder : 'nobody';
  const query = { rulebook, band: band ?? '', as: known, group, paper };
  const sheet = Server.useQuery(
    'get',
    '/api/rulebook/sheet',
    { params: { query } },
    { enabled: band !== undefined && !waits && way !== 'classes', placeholderData: keepPreviousData },
  );
  const go = (more: Record<string, string>) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        for (const [key, value] of Object.entries(more)) next.set(key, value);
        return next;
      },
      { replace: true },
    );
  const file = new URLSearchParams({
    rulebook,
    as: known,
    paper,
    ...(group === undefined ? {} : { group: String(group) }),
  }).toString();
  const error = first.error ?? sheet.error;
  if (error) return <Notice message={error.message} />;
  if (!band) return null;
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2 print:hidden">
        <div role="group" aria-label="Shown as" className="flex gap-1.5">
          {WAYS.map(([key, label]) => (
            <Chip key={key} on={way === key} label={label} onPress={() => go({ as: key })} />
          ))}
        </div>
        {way !== 'classes' && (
          <>
            <select
              aria-label="Band"
              className={`${INPUT} lg:hidden`}
              value={band}
              onChange={(event) => go({ band: event.target.value })}
            >
              {bands.map((each) => (
                <option key={each}>{each}</option>
              ))}
            </select>
            <select
              aria-label="For whom"
              className={INPUT}
              value={known}
              onChange={(event) => go({ for: event.target.value })}
            >
              {first.data?.holders.map((each) => (
                <option key={each.as} value={each.as}>
                  {each.words}
                </option>
              ))}
            </select>
            <span className="grow" />
            <span className="flex flex-wrap items-center gap-3">
              <PaperChoice paper={paper} onChange={setPaper} />
              <a
                className={LINK}
                target="_blank"
                rel="noreferrer"
                href={`/api/rulebook/sheet.pdf?${file}&band=${encodeURIComponent(band)}`}
              >
                Sheet (PDF)
              </a>
              <a
                className={LINK}
                target="_blank"
                rel="noreferrer"
                href={`/api/rulebook/sheet.svg?${file}&band=${encodeURIComponent(band)}`}
              >
                Sheet (SVG)
              </a>
              <a className={LINK} target="_blank" rel="noreferrer" href={`/api/rulebook/booklet.pdf?${file}`}>
                Booklet of all bands
              </a>
            </span>
          </>
        )}
      </div>
      {way === 'classes' ? (
        <ChartView group={group} rulebook={rulebook} />
      ) : (
        <div className="flex flex-col gap-4 lg:flex-row">
          <div
            role="group"
            aria-label="Band"
            className="hidden flex-wrap content-start gap-1.5 lg:flex lg:w-40 lg:shrink-0 print:hidden"
          >
            {bands.map((each) => (
              <Chip key={each} on={each === band} label={each} onPress={() => go({ band: each })} />
            ))}
          </div>
          {sheet.data &&
            (way === 'table' ? (
              <div className="flex min-w-0 grow flex-col gap-3">
                <h2 className="text-title font-semibold">
                  {sheet.data.sheet.band}{' '}
                  <span className="text-soft font-normal">{sheet.data.sheet.holder}</span>
                </h2>
                <SheetTable key={band} sheet={sheet.data.sheet} />
              </div>
            ) : (
              <SideScroll label="The sheet" className="w-full max-w-4xl min-w-0">
                <div className="min-w-[40rem]">
                  <SheetDrawing
                    drawing={sheet.data.drawing}
                    title={`${sheet.data.sheet.band}, ${sheet.data.sheet.holder}: the law and the plan as a drawing. The table says the same in words.`}
                  />
                </div>
              </SideScroll>
            ))}
        </div>
      )}
    </div>
  );
}
