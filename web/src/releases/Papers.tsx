import { useState, type ReactNode } from 'react';
import type { Schemas } from '../api/client';

/** What a release is printed and taken along as. */
export function Papers({ view }: { view: Schemas['ReleaseView'] }) {
  const base = `/api/releases/${view.line.id}`;
  const keypads = view.models.filter((model) => model.keypad);
  return (
    <section aria-label="Its papers">
      <h2 className="text-second text-soft pb-1">Its papers</h2>
      <ul className="border-line bg-sheet divide-line divide-y rounded border">
        {view.holders.length > 0 && (
          <Paper
            href={`${base}/cards.pdf`}
            name="Channel cards"
            words={`Wallet size, for ${view.holders.length === 1 ? 'one holder' : `${view.holders.length} holders`}: an arrow where that holder may key, a ring where they listen. The code on it opens the card on a telephone.`}
          >
            {view.holders.length > 1 && <OneCard base={base} holders={view.holders} />}
          </Paper>
        )}
        <Paper
          href={`${base}/list.pdf`}
          name="The full list"
          words="Every entry with what was found, and who let what stand."
        />
        <Paper
          href={`${base}/edges.pdf`}
          name="Band edges"
          words="For the classes that carry it, on the bands that it uses."
        />
        {keypads.map((model) => (
          <Paper
            key={model.name}
            href={`${base}/keypad.pdf?model=${encodeURIComponent(model.name)}`}
            name={`By keypad: ${model.name}`}
            words="Step by step, for a radio without a cable."
          />
        ))}
        <Paper
          href={`${base}/loads.pdf`}
          name="What is in which radio"
          words="Every radio of the group, since when, and who has it."
        />
        <Paper
          href={`${base}/release.json`}
          name="The release as a file"
          words="Everything it was judged by. It can be verified years later, without this server: ./wache audit --verify FILE"
        />
      </ul>
    </section>
  );
}

function OneCard({ base, holders }: { base: string; holders: Schemas['ReleasedHolder'][] }) {
  const [party, setParty] = useState(holders[0]!.party);
  return (
    <div className="text-second flex flex-wrap items-center gap-2 px-4 pb-2">
      <select
        aria-label="For one holder"
        className="border-edge bg-sheet rounded border px-1.5 py-0.5"
        value={party}
        onChange={(event) => setParty(Number(event.target.value))}
      >
        {holders.map((each) => (
          <option key={`${each.party} ${each.variant}`} value={each.party}>
            {each.name}
          </option>
        ))}
      </select>
      <a
        href={`${base}/cards.pdf?party=${party}`}
        target="_blank"
        rel="noreferrer"
        className="text-accent underline-offset-2 hover:underline"
      >
        Only this one
      </a>
    </div>
  );
}

function Paper({
  href,
  name,
  words,
  children,
}: {
  href: string;
  name: string;
  words: string;
  children?: ReactNode;
}) {
  return (
    <li>
      <a
        href={href}
        target={href.endsWith('.json') ? undefined : '_blank'}
        rel="noreferrer"
        className="hover:bg-accent-wash block px-4 py-2"
      >
        <span className="text-accent font-semibold">{name}</span>
        <span className="text-second text-soft block">{words}</span>
      </a>
      {children}
    </li>
  );
}
