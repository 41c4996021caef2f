import { type Query, type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef } from 'react';
import { Server } from './client';
import type { paths } from './schema';

/** What no change of a group's data alters, and what is thrown away anyway. */
const SETTLED: ReadonlySet<string> = new Set<keyof paths>([
  '/api/session',
  '/api/fields',
  '/api/rulebook/terms',
  '/api/rulebook/places',
  '/api/rulebook/chart',
  '/api/invitation',
  '/api/groups/{group}/pulse',
  '/api/lists/{list}/presence',
  '/api/lists/{list}/entries/{entry}/trial',
  '/api/models/{model}/practice',
  '/api/groups/{group}/own-radios/practice',
  '/api/groups/{group}/profiles/look',
  '/api/antenna-lengths',
  '/api/intakes/{intake}',
  '/api/intakes/{intake}/reading',
  '/api/lists/{list}/proposals/swap',
  '/api/lists/{list}/proposals/names',
  '/api/lists/{list}/proposals/tones',
  '/api/lists/{list}/proposals/arrangement',
]);

/** Requests that are sent like changes and only ask. */
const ASKS =
  /\/(trial|bench-plan|should-hold|presence|practice|sheet|look|reading|card|session|understood|proposals\/\w+)$/;

/** What a form may be filled in over: the others' changes do not go under it, and saving over them is told. */
const FILLED_IN: ReadonlySet<string> = new Set<keyof paths>([
  '/api/lists/{list}',
  '/api/groups/{group}/roster',
  '/api/groups/{group}/overlay',
  '/api/groups/{group}/stations',
  '/api/groups/{group}/areas',
  '/api/groups/{group}/tones',
  '/api/groups/{group}/profiles',
  '/api/lists/{list}/site',
]);

/** Whether an address that was written to alters the rulebooks themselves: then nothing is settled. */
export const altersRulebooks = (path: string) => path.startsWith('/api/installation/rulebook-additions');

/** Whether an address that was written to means that something is otherwise now. */
export const changes = (method: string, path: string) => method !== 'GET' && !ASKS.test(path);

/**
 * Something was changed: what is on the screen is asked for anew, and what was seen before is forgotten, so that no two
 * places say two things. `keeps` names a list whose Desk has taken the change in itself.
 */
export function refresh(queries: QueryClient, keeps?: number) {
  forget(queries);
  askAnew(queries, (each) => !SETTLED.has(address(each)) && !isDesk(each, keeps));
}

/** Somebody else changed something: as after a change here, but nothing goes under what is being filled in. */
export function takeIn(queries: QueryClient) {
  forget(queries);
  const now = Date.now();
  queries
    .getQueryCache()
    .findAll({ predicate: (each) => FILLED_IN.has(address(each)) })
    .forEach((each) => behind.set(each, now));
  askAnew(queries, (each) => !SETTLED.has(address(each)) && !FILLED_IN.has(address(each)));
}

/** What was filled in over when the others changed something, and when (milliseconds since 1970). */
const behind = new WeakMap<Query, number>();

/**
 * Who leaves a page before its new answer is there does not find the old one on coming back: the question is called off
 * with the page, and what it would have replaced is forgotten.
 */
export function forgetWhatWasLeft(queries: QueryClient) {
  const old = (each: Query) =>
    each.state.isInvalidated || each.state.dataUpdatedAt <= (behind.get(each) ?? -Infinity);
  queries.getQueryCache().subscribe((event) => {
    const query = event.query as Query;
    if (event.type !== 'observerRemoved' || query.getObserversCount() > 0 || !old(query)) return;
    // The next page may ask the same: then it goes on.
    setTimeout(() => {
      if (query.getObserversCount() === 0 && old(query)) queries.getQueryCache().remove(query);
    });
  });
}

/** Waits until everything on the screen is as the server has it after a change. */
export function useCaughtUp() {
  const queries = useQueryClient();
  return useCallback(async () => {
    await new Promise((called) => setTimeout(called)); // what was called off is under way again
    await queries.refetchQueries({ type: 'active', fetchStatus: 'fetching' }, { cancelRefetch: false });
  }, [queries]);
}

/** Asks for everything anew, under what is being filled in as well: for "look again". */
export function useLookAgain() {
  const queries = useQueryClient();
  const caughtUp = useCaughtUp();
  return useCallback(() => {
    refresh(queries);
    return caughtUp();
  }, [queries, caughtUp]);
}

/**
 * Asks anew, also what was asked for the first time and is still under way: its answer may be from before the change,
 * and a question without an answer yet is not asked a second time unless it is called off.
 */
function askAnew(queries: QueryClient, old: (query: Query) => boolean) {
  const first = (each: Query) =>
    old(each) && each.state.data === undefined && each.state.fetchStatus === 'fetching';
  const calledOff = new Set(queries.getQueryCache().findAll({ predicate: first }));
  void queries.invalidateQueries({ predicate: (each) => old(each) && !calledOff.has(each) });
  if (calledOff.size === 0) return;
  void queries
    .cancelQueries({ predicate: (each) => calledOff.has(each) })
    .then(() => queries.invalidateQueries({ predicate: (each) => calledOff.has(each) }));
}

const forget = (queries: QueryClient) =>
  queries.removeQueries({ type: 'inactive', predicate: (each) => !SETTLED.has(address(each)) });

/** The address of a question, as the API description writes it. */
const address = ({ queryKey }: { queryKey: readonly unknown[] }) => String(queryKey[1]);

const isDesk = (each: { queryKey: readonly unknown[] }, list: number | undefined) => {
  const init = each.queryKey[2] as { params?: { path?: { list?: number } } } | undefined;
  return list !== undefined && address(each) === '/api/lists/{list}' && init?.params?.path?.list === list;
};

const EVERY_MS = 3_000;

const pulseOf = (group: number | undefined) => ({ params: { path: { group: group ?? 0 } } });

/** What the others do: when something of the group is otherwise than before, what is on the screen is asked for anew. */
export function usePulse(group: number | undefined) {
  const queries = useQueryClient();
  const before = useRef<{ group?: number; mark?: string }>({});
  const pulse = Server.useQuery('get', '/api/groups/{group}/pulse', pulseOf(group), {
    enabled: group !== undefined,
    refetchInterval: EVERY_MS,
    retry: false,
    gcTime: 0,
  });
  const mark = pulse.data?.mark;
  useEffect(() => {
    const known = before.current;
    before.current = { group, mark };
    if (mark === undefined || known.mark === undefined || known.group !== group || known.mark === mark)
      return;
    takeIn(queries);
  }, [group, mark, queries]);
}

/**
 * A mark of what every list of the group is held against, beside its own entries, as the server told it after a moment.
 *
 * @param since milliseconds since 1970, of this machine
 */
export function useRulesMark(group: number, since: number): string | undefined {
  const pulse = Server.useQuery('get', '/api/groups/{group}/pulse', pulseOf(group), { enabled: false });
  return pulse.dataUpdatedAt > since + ASKED_MS ? pulse.data?.rules : undefined;
}

/** How long a pulse may be on its way: one that comes sooner after a moment may have been asked before it. */
const ASKED_MS = 1_000;
