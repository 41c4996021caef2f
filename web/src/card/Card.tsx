import { useState } from 'react';
import type { Schemas } from '../api/client';
import { day } from '../ui/dates';
import type { HolderCard } from './offline';

type Entry = Schemas['CardEntry'];

/** What somebody carries, large enough for a telephone in the rain: what they may key first of all. */
export function Card({ card, note }: { card: HolderCard; note?: string }) {
  const pages = pagesOf(card);
  const [shown, setShown] = useState(0);
  const [talkOnly, setTalkOnly] = useState(false);
  const page = pages[Math.min(shown, pages.length - 1)];
  const list = page?.list;
  const entries = list?.entries.filter((each) => !talkOnly || each.talks) ?? [];
  return (
    <>
      <div className="flex items-baseline gap-3">
        <h1 className="min-w-0 grow text-[22px] leading-tight font-semibold">{card.name}</h1>
        <span className="text-title shrink-0 font-mono">{card.calls.join(' ')}</span>
      </div>
      {note && (
        <p role="status" className="text-query">
          {note}
        </p>
      )}
      {pages.length === 0 && (
        <p className="text-soft pt-3">
          You carry nothing that is in use now. Ask the coordinator before you key anything.
        </p>
      )}
      {pages.length > 1 && (
        <div role="group" aria-label="Lists" className="flex flex-wrap gap-1 pt-2">
          {pages.map((each, index) => (
            <button
              key={index}
              type="button"
              aria-pressed={index === shown}
              onClick={() => setShown(index)}
              className={`rounded border px-3 py-1.5 ${index === shown ? 'bg-accent text-on-accent border-accent' : 'border-edge bg-sheet'}`}
            >
              {each.title}
            </button>
          ))}
        </div>
      )}
      {page && !list && (
        <p className="pt-3">
          What is in {page.title} was not written from here, so nobody can say what you may key with it. Ask
          the coordinator before you key anything.
        </p>
      )}
      {list && (
        <>
          <div className="flex items-center gap-3 pt-2 pb-1">
            <p className="text-second text-soft min-w-0 grow">
              {page.inRadio ? `In your ${page.title}: ${list.name}` : list.name}, release {list.number},{' '}
              {day(list.releasedAt.slice(0, 10))}
            </p>
            <button
              type="button"
              aria-pressed={talkOnly}
              onClick={() => setTalkOnly(!talkOnly)}
              className={`text-second shrink-0 rounded-full border px-3 py-1 whitespace-nowrap ${talkOnly ? 'border-accent bg-accent-wash text-accent' : 'border-edge'}`}
            >
              Only channels I may talk on
            </button>
          </div>
          <ul className="border-line bg-sheet divide-line divide-y rounded border">
            {entries.map((entry, index) => (
              <Row
                key={index}
                entry={entry}
                zone={entry.zone !== (entries[index - 1]?.zone ?? '') ? entry.zone : ''}
              />
            ))}
          </ul>
          <p className="text-second text-soft pt-3">
            Antenna on before you key. Listen, then say your call sign. What has no arrow is for listening:
            keying it may be unlawful. This card does not replace your licence terms.
            <span className="block font-mono">{list.sha256.slice(0, 16)}</span>
          </p>
        </>
      )}
    </>
  );
}

/** What is in their own radios first, then the releases that they carry. */
function pagesOf(card: HolderCard): { title: string; inRadio: boolean; list: Schemas['CardList'] | null }[] {
  return [
    ...card.radios.map((each) => ({ title: each.label, inRadio: true, list: each.list })),
    ...card.lists.map((each) => ({ title: each.name, inRadio: false, list: each })),
  ];
}

function Row({ entry, zone }: { entry: Entry; zone: string }) {
  return (
    <li className="px-3 py-2">
      {zone && <p className="text-second text-soft pb-1">{zone}</p>}
      <div className="flex items-center gap-3">
        <Mark talks={entry.talks} />
        <span className="text-soft w-7 shrink-0 text-right font-mono">{entry.number}</span>
        <span className="min-w-0 grow">
          <span className="block text-[19px] leading-tight font-semibold break-words">
            {entry.name || '(no name)'}
          </span>
          <span className="text-second text-soft block">{entry.note}</span>
        </span>
        <span className="shrink-0 text-right font-mono">
          <span className="block text-[17px] leading-tight">{entry.hears}</span>
          <span className="text-second block">
            {entry.talks ? (
              <>
                {entry.shift ? `${entry.shift} MHz` : 'direct'}
                {entry.sends && <> · {toned(entry.sends)}</>}
              </>
            ) : (
              <span className="text-soft">listen</span>
            )}
          </span>
        </span>
      </div>
      {entry.why && <p className="text-second text-hold pt-1 pl-8">Not for you to key: {entry.why}</p>}
    </li>
  );
}

/** What is sent to open a repeater: a tone in hertz, or a code such as D023N. */
const toned = (sends: string) => (/^\d/.test(sends) ? `tone ${sends}` : `code ${sends}`);

/** A filled arrow where the holder talks, a ring where they listen: as on the printed card. */
function Mark({ talks }: { talks: boolean }) {
  return (
    <svg
      viewBox="0 0 16 16"
      className={`size-5 shrink-0 ${talks ? 'text-clear' : 'text-listen'}`}
      role="img"
      aria-label={talks ? 'Talk' : 'Listen only'}
    >
      {talks ? (
        <path d="M2.5 2v12L14 8z" fill="currentColor" />
      ) : (
        <circle cx="8" cy="8" r="5.4" fill="none" stroke="currentColor" strokeWidth="2" />
      )}
    </svg>
  );
}
