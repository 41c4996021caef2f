import { Server } from '../api/client';

/** The rulebooks that there are. */
export const useRulebooks = () => Server.useQuery('get', '/api/rulebooks', {}, { staleTime: Infinity });

/** What screens need to know of a country: its services, its raster, how people write. The usual rulebook's where none is named. */
export const useTerms = (rulebook?: string) =>
  Server.useQuery('get', '/api/rulebook/terms', { params: { query: { rulebook } } }, { staleTime: Infinity });

/** The rulebook that a group chose. */
export const useGroupRulebook = (group: number | undefined, enabled = true) =>
  Server.useQuery(
    'get',
    '/api/groups/{group}/rulebook',
    { params: { path: { group: group ?? 0 } } },
    { enabled: group !== undefined && enabled },
  );

/** How people of a group's country write entries, a line each. */
export function useExamples(group: number | undefined): string[] {
  const own = useGroupRulebook(group);
  const terms = useTerms(own.data?.id);
  return terms.data?.examples ?? [];
}
