import { type Way } from './KeyingChoice';
import { Link } from 'react-router';
import { type Schemas, Server } from '../api/client';
import { SumView } from '../desk/SumView';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { VerdictMark } from '../ui/VerdictMark';
import { counted, type Hit, isNear, KINDS, off } from './words';

interface Props {
  list: number;
  how: Way | undefined;
  site: number;
  version: number;
  entry: Schemas['SiteEntry'];
  /** Which of the hits is opened: its kind and place. */
  open?: string;
  may: boolean;
  busy: boolean;
  onOpen: (hit: Hit | undefined) => void;
  onChange: (change: Schemas['LeastChange']) => void;
}

export const keyOf = (hit: Hit) => `${hit.kind} ${hit.at}`;

/** What reaches one entry: each hit with its sum, and the least change that clears it. */
export function HitPanel({ list, how, site, version, entry, open, may, busy, onOpen, onChange }: Props) {
  const detail = Server.useQuery('get', '/api/lists/{list}/site/{entry}', {
    params: { path: { list, entry: entry.id }, query: { how, site } },
    asOf: version,
  });
  return (
    <aside
      aria-label="What reaches it"
      className="border-line flex w-full shrink-0 flex-col gap-3 overflow-y-auto border-l p-3 max-lg:max-h-[55%] max-lg:border-t max-lg:border-l-0 lg:w-[400px]"
    >
      <h2 className="text-title leading-tight font-semibold">
        {entry.name || `Number ${entry.number}`}{' '}
        <Link
          to={`/lists/${list}?entry=${entry.id}`}
          className="text-accent text-second font-normal underline underline-offset-2"
        >
          on the Desk
        </Link>
      </h2>
      {detail.error && <Notice message={detail.error.message} />}
      {detail.data && (
        <>
          <p className="text-soft">
            {detail.data.counts.length === 0
              ? 'Nothing of this site reaches it.'
              : detail.data.counts.map(counted).join(', ') + '. The nearest of each kind:'}
          </p>
          <ul className="flex flex-col gap-2">
            {detail.data.hits.map((hit) => (
              <li key={keyOf(hit)} className="border-line bg-sheet rounded border">
                <button
                  type="button"
                  aria-expanded={open === keyOf(hit)}
                  className="hover:bg-sunk flex w-full flex-col items-start px-3 py-1.5 text-left"
                  onClick={() => onOpen(open === keyOf(hit) ? undefined : hit)}
                >
                  <span className="font-mono">{hit.equation}</span>
                  <span className="text-second text-soft">
                    {KINDS[hit.kind][0]}, {off(hit)}:{' '}
                    {[...new Set(hit.terms.map((term) => term.name))].join(', ')}
                  </span>
                </button>
                {open === keyOf(hit) && (
                  <div className="border-line flex flex-col gap-2 border-t px-3 py-2">
                    <SumView lines={hit.sum} />
                    {isNear(hit.kind) && (
                      <p className="text-second text-soft">
                        Work one at a time, stand the antennas well apart, or put a filter between. Moving
                        within the band hardly helps.
                      </p>
                    )}
                    <Least
                      list={list}
                      how={how}
                      site={site}
                      version={version}
                      entry={entry.id}
                      hit={hit}
                      may={may}
                      busy={busy}
                      onChange={onChange}
                    />
                  </div>
                )}
              </li>
            ))}
          </ul>
          {detail.data.hits.length > 0 && (
            <p className="text-second text-soft">
              Common practice, no source: what mixes in a given shelter only a measurement tells. Antenna or
              dummy load before you key.
            </p>
          )}
        </>
      )}
    </aside>
  );
}

interface LeastProps extends Omit<Props, 'entry' | 'open' | 'onOpen'> {
  entry: number;
  hit: Hit;
}

function Least({ list, how, site, version, entry, hit, may, busy, onChange }: LeastProps) {
  const least = Server.useQuery('get', '/api/lists/{list}/site/{entry}/least', {
    params: { path: { list, entry }, query: { how, site, kind: hit.kind, at: hit.at } },
    asOf: version,
  });
  if (least.error) return <Notice message={least.error.message} />;
  if (!least.data) return <p className="text-second text-soft">Looking for the least change …</p>;
  if (least.data.length === 0)
    return (
      <p className="text-second">
        No small change of one entry clears it: repeaters and calling channels stay where they are.{' '}
        {turns(hit)}
      </p>
    );
  return (
    <div className="flex flex-col gap-1">
      <h3 className="text-second text-soft">The least change that clears it</h3>
      {least.data.map((each) => (
        <div key={`${each.entry} ${each.label}`} className="flex items-center gap-2">
          <span className="min-w-0 grow">
            <span className="font-semibold">{each.name || each.number}</span>:{' '}
            {each.label.toLowerCase().replace('mhz', 'MHz')}
            <span className="text-second text-soft block">
              <span className="inline-flex items-center gap-1">
                then <VerdictMark verdict={each.verdictAfter} size={11} /> {each.verdictAfter}
              </span>
              ; the site goes from {each.hitsBefore.toLocaleString('en')} to{' '}
              {each.hitsAfter.toLocaleString('en')}
            </span>
          </span>
          {may && (
            <Button className="text-second" disabled={busy} onClick={() => onChange(each)}>
              Do it
            </Button>
          )}
        </div>
      ))}
      <p className="text-second text-soft">{turns(hit)}</p>
    </div>
  );
}

/** What helps without a change: not keying them at one time. */
function turns(hit: Hit): string {
  const names = [...new Set(hit.terms.map((term) => term.name))];
  return names.length > 1
    ? `Or key ${names.join(' and ')} by turns, or leave one of them to another base.`
    : `Or key ${names[0]} only while nobody listens here.`;
}
