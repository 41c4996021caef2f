/**
 * What the tests ask of the front end without a screen: its pieces by name, and hooks held in a component of nothing else.
 * The application does not have this page; see the tests of the package org.wache.pieces.
 */
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createElement, useState } from 'react';
import { flushSync } from 'react-dom';
import { createRoot, type Root } from 'react-dom/client';
import * as operation from '../src/operations/plan';
import * as orders from '../src/bench/orders';
import * as client from '../src/api/client';
import * as fresh from '../src/api/fresh';
import * as carried from '../src/desk/carried';
import * as companion from '../src/desk/companion';
import * as cures from '../src/desk/cures';
import * as follow from '../src/desk/follow';
import * as rows from '../src/desk/rows';
import { useDrafts } from '../src/desk/useDrafts';
import * as fit from '../src/fit/asMatrix';
import * as intake from '../src/intake/words';
import * as digitalWords from '../src/lists/digital';
import * as lists from '../src/lists/arranged';
import * as changes from '../src/lists/changes';
import { useListChanges } from '../src/lists/useListChanges';
import * as matrix from '../src/matrix/cells';
import * as places from '../src/places/settings';
import * as displays from '../src/tools/displays';
import * as reasons from '../src/matrix/reasonText';
import * as models from '../src/radios/modelBody';
import * as demands from '../src/propose/demands';
import * as radios from '../src/radios/state';
import * as basesMap from '../src/reach/basesMap';
import * as knots from '../src/reach/knots';
import * as licences from '../src/roster/time';
import * as roster from '../src/roster/drafts';
import * as labels from '../src/ruler/labels';
import * as sheetTable from '../src/rulebooks/found';
import * as steps from '../src/ruler/steps';
import { useAxis } from '../src/ruler/useAxis';
import * as view from '../src/ruler/view';
import * as profiles from '../src/settings/profileDraft';
import * as clusters from '../src/site/clusters';
import * as area from '../src/stations/area';
import * as station from '../src/stations/draft';
import * as spectrum from '../src/spectrum/axis';
import * as megahertz from '../src/ui/Megahertz';
import * as paper from '../src/ui/paper';
import * as dates from '../src/ui/dates';
import * as overrun from '../src/ui/overrun';

/** The line of a model's form by the key of the file that it is about. */
const line = (key: string) => models.LINES.find((each) => each.key === key)!;

const pieces: Record<string, Record<string, unknown>> = {
  changes: { ...changes },
  carried: { ...carried },
  companion: { ...companion },
  displays: { ...displays },
  reasons: { ...reasons },
  digital: { ...digitalWords },
  clusters: { ...clusters },
  cures: {
    /** The digits and the cures, finding by finding. */
    numbered: (findings: client.Finding[]) =>
      [...cures.numbered(findings).values()].map((of) => of.map(({ key, cure }) => `${key} ${cure.label}`)),
  },
  dates: { ...dates, latelyAt: (at: string, now: string) => dates.lately(at, new Date(now)) },
  fit: { ...fit },
  follow: { ...follow },
  fresh: { changes: fresh.changes, altersRulebooks: fresh.altersRulebooks },
  intake: { ...intake },
  licences: { ...licences },
  labels: { standing: (wanted: labels.Wanted[], room: number) => [...labels.standing(wanted, room)] },
  lists: { ...lists },
  knots: {
    ...knots,
    standings: (of: knots.Knot[], links: knots.Links) => [...knots.standings(of, links)],
  },
  basesMap: { ...basesMap },
  paper: { ...paper },
  sheetTable: { ...sheetTable },
  spectrum: { ...spectrum },
  steps: { ...steps },
  matrix: { ...matrix },
  megahertz: { ...megahertz },
  places: { ...places },
  profiles: { ...profiles },
  models: {
    ...models,
    shown: (key: string, value: unknown) => line(key).show(value),
    made: (key: string, typed: string) => line(key).make(typed),
    changed: (body: models.ModelBody, key: string, typed: string) => models.changed(body, line(key), typed),
  },
  demands: { ...demands },
  operation: { ...operation },
  orders: { ...orders },
  overrun: { ...overrun },
  radios: { ...radios },
  roster: { ...roster },
  rows: {
    /** The rows as text: headings with their counts, entries by name. */
    rows: (
      slips: client.Slip[],
      settled: Record<number, string>,
      filter: rows.Filter,
      grouping: rows.Grouping,
      bands: Record<string, string>,
    ) =>
      rows
        .rows(
          slips,
          new Map(Object.entries(settled).map(([id, verdict]) => [Number(id), verdict])),
          filter,
          grouping,
          (slip) => bands[slip.id] ?? 'elsewhere',
        )
        .map((row) =>
          row.kind === 'heading' ? `${row.label} ${row.count}+${row.changed}` : `  ${row.slip.fields.name}`,
        ),
  },
  area: { ...area },
  station: { ...station },
  view: { ...view },
};

function useHeldAxis(low: number, high: number) {
  const axis = useAxis({ low, high }, (next) => window.views.push(next));
  return { ...axis, at: (hertz: number) => axis.scale(hertz) };
}

const useHeldChanges = (list: number) => useListChanges({ list, queryKey: ['list', list] });

/** A question that a page asks, what a change does to it, and going to another and back. */
const useHeldQuestion = (first: number) => {
  const [group, ask] = useState(first);
  const roster = client.Server.useQuery('get', '/api/groups/{group}/roster', { params: { path: { group } } });
  return {
    answer: roster.data,
    ask,
    changed: () => fresh.refresh(window.queries),
    othersChanged: () => fresh.takeIn(window.queries),
  };
};

const hooks = {
  question: useHeldQuestion,
  axis: useHeldAxis,
  drafts: useDrafts,
  changes: useHeldChanges,
};

declare global {
  interface Window {
    ask: (name: string, args: string) => string;
    hold: (hook: keyof typeof hooks, args: string) => void;
    held: () => unknown;
    views: view.View[];
    queries: QueryClient;
  }
}

let held: Root | undefined;

/** Sets and maps come as {"set": […]}. */
const revive = (_: string, value: unknown) =>
  value !== null && typeof value === 'object' && 'set' in value ? new Set(value.set as unknown[]) : value;

window.ask = (name, args) => {
  const [piece, what] = name.split('.') as [string, string];
  const found = pieces[piece]?.[what];
  const given = JSON.parse(args, revive) as unknown[];
  const got: unknown =
    typeof found === 'function' ? (found as (...all: unknown[]) => unknown)(...given) : found;
  return JSON.stringify(got ?? null);
};

window.views = [];

window.queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
fresh.forgetWhatWasLeft(window.queries);

window.hold = (hook, args) => {
  let now: unknown;
  const use = hooks[hook] as (...all: unknown[]) => unknown;
  const given = JSON.parse(args) as unknown[];
  const Held = () => {
    now = use(...given);
    return createElement('div', {
      ref: (now as { box?: unknown }).box as never,
      style: { width: 1000, height: 40 },
      ...((now as { handlers?: object }).handlers ?? {}),
    });
  };
  window.views = [];
  window.queries.clear();
  held?.unmount();
  const root = (held = createRoot(document.getElementById('held')!));
  flushSync(() =>
    root.render(createElement(QueryClientProvider, { client: window.queries }, createElement(Held))),
  );
  window.held = () => now;
};
