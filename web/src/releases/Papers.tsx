import { useState, type ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { INPUT } from '../ui/Field';
import { printed, usePaper } from '../ui/paper';
import { PaperChoice } from '../ui/PaperChoice';

const SIZES: Record<string, string> = {
  wallet: 'for the wallet',
  badge: 'for a badge holder',
  windscreen: 'for the windscreen',
};

/** What a release is printed and taken along as. */
export function Papers({ view }: { view: Schemas['ReleaseView'] }) {
  const base = `/api/releases/${view.line.id}`;
  const keypads = view.models.filter((model) => model.keypad);
  const [paper, setPaper] = usePaper();
  const [size, setSize] = useState('wallet');
  const how = printed(paper);
  return (
    <section aria-label="Its papers">
      <div className="flex items-center justify-between gap-2 pb-1">
        <h2 className="text-second text-soft">Its papers</h2>
        <PaperChoice paper={paper} onChange={setPaper} />
      </div>
      <ul className="border-line bg-sheet divide-line divide-y rounded border">
        <Paper
          href={`${base}/letter.pdf?${how}`}
          name="Covering letter"
          words="What is new since the release before, what was let stand, and what to do."
        />
        {view.holders.length > 0 && (
          <Paper
            href={`${base}/cards.pdf?${how}&size=${size}`}
            name={`Channel cards, ${SIZES[size]}`}
            words={`For ${view.holders.length === 1 ? 'one holder' : `${view.holders.length} holders`}: an arrow where that holder may key, a ring where they listen. The code on it opens the card on a phone.`}
          >
            <div className="text-second flex flex-wrap items-center gap-2 px-4 pb-2">
              <select
                aria-label="Size of the cards"
                className={INPUT}
                value={size}
                onChange={(event) => setSize(event.target.value)}
              >
                {Object.entries(SIZES).map(([key, words]) => (
                  <option key={key} value={key}>
                    {words}
                  </option>
                ))}
              </select>
              {view.holders.length > 1 && (
                <OneCard base={base} how={`${how}&size=${size}`} holders={view.holders} />
              )}
            </div>
          </Paper>
        )}
        <Paper
          href={`${base}/list.pdf?${how}`}
          name="The full list"
          words="Every entry with what was found, and who let what stand."
        />
        <Paper
          href={`${base}/communications-plan.pdf?${how}`}
          name="Communications plan"
          words="In the columns of form 205, to be handed in."
        >
          <Workbook href={`${base}/communications-plan.xlsx`} />
        </Paper>
        <Paper
          href={`${base}/inventory.pdf?${how}`}
          name="Inventory of channels"
          words="In the columns of form 217A."
        >
          <Workbook href={`${base}/inventory.xlsx`} />
        </Paper>
        <Paper
          href={`${base}/edges.pdf?${how}`}
          name="Band edges"
          words="For the classes that carry it, on the bands that it uses."
        />
        {keypads.map((model) => (
          <Paper
            key={model.name}
            href={`${base}/keypad.pdf?${how}&model=${encodeURIComponent(model.name)}`}
            name={`By keypad: ${model.name}`}
            words="Step by step, for a radio without a cable."
          />
        ))}
        <Paper
          href={`${base}/loads.pdf?${how}`}
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

/** The same as a workbook, which can be filled in further and brought in again. */
function Workbook({ href }: { href: string }) {
  return (
    <div className="text-second px-4 pb-2">
      <a href={href} className="text-accent inline-block min-h-6 underline-offset-2 hover:underline">
        As a workbook
      </a>
    </div>
  );
}

function OneCard({
  base,
  how,
  holders,
}: {
  base: string;
  how: string;
  holders: Schemas['ReleasedHolder'][];
}) {
  const [party, setParty] = useState(holders[0]!.party);
  return (
    <>
      <select
        aria-label="For one holder"
        className={INPUT}
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
        href={`${base}/cards.pdf?${how}&party=${party}`}
        target="_blank"
        rel="noreferrer"
        className="text-accent underline-offset-2 hover:underline"
      >
        Only this one
      </a>
    </>
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
