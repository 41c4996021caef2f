import { type QueryClient, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { api, data, type Schemas } from './client';

/** What no change of a group's data alters, and what is thrown away anyway. */
const SETTLED = new Set([
  'session',
  'terms',
  'places',
  'chart',
  'presence',
  'pulse',
  'trial',
  'proposal',
  'practice',
  'intake',
]);

/** Requests that are sent like changes and only ask. */
const ASKS = /\/(trial|bench-plan|presence|practice|sheet|reading|card|session|understood|proposals\/\w+)$/;

/** What a form may be filled in over: the others' changes do not go under it, and saving over them is told. */
const FILLED_IN = new Set(['desk', 'roster', 'overlay', 'stations', 'tones', 'site', 'tools']);

/** Whether an address that was written to means that something is otherwise now. */
export const changes = (method: string, path: string) => method !== 'GET' && !ASKS.test(path);

/**
 * Something was changed: what is on the screen is asked for anew, and what was seen before is forgotten, so that no two
 * places say two things. `keeps` names a list whose Desk has taken the change in itself.
 */
export function refresh(queries: QueryClient, keeps?: number) {
  queries.removeQueries({ type: 'inactive', predicate: (each) => !SETTLED.has(part(each)) });
  void queries.invalidateQueries({
    predicate: (each) => !SETTLED.has(part(each)) && !(part(each) === 'desk' && each.queryKey[1] === keeps),
  });
}

const part = ({ queryKey }: { queryKey: readonly unknown[] }) => String(queryKey[0]);

const EVERY_MS = 3_000;

/** What the others do: when something of the group is otherwise than before, what is on the screen is asked for anew. */
export function usePulse(group: number | undefined) {
  const queries = useQueryClient();
  const before = useRef<{ group?: number; mark?: string }>({});
  const pulse = useQuery({
    queryKey: ['pulse', group],
    enabled: group !== undefined,
    refetchInterval: EVERY_MS,
    retry: false,
    gcTime: 0,
    queryFn: () => data(api.GET('/api/groups/{group}/pulse', { params: { path: { group: group! } } })),
  });
  const mark = pulse.data?.mark;
  useEffect(() => {
    const known = before.current;
    before.current = { group, mark };
    if (mark === undefined || known.mark === undefined || known.group !== group || known.mark === mark)
      return;
    queries.removeQueries({ type: 'inactive', predicate: (each) => !SETTLED.has(part(each)) });
    void queries.invalidateQueries({
      predicate: (each) => !SETTLED.has(part(each)) && !FILLED_IN.has(part(each)),
    });
  }, [group, mark, queries]);
}

/** A mark of what every list of the group is held against, beside its own entries. */
export function useRulesMark(group: number): string | undefined {
  return useQuery<Schemas['Pulse']>({ queryKey: ['pulse', group], enabled: false }).data?.rules;
}
