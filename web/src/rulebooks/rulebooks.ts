import { useQuery } from '@tanstack/react-query';
import { api, data } from '../api/client';

/** The rulebooks that there are. */
export const useRulebooks = () =>
  useQuery({
    queryKey: ['rulebooks'],
    staleTime: Infinity,
    queryFn: () => data(api.GET('/api/rulebooks')),
  });

/** What screens need to know of a country: its services, its raster, how people write. The usual rulebook's where none is named. */
export const useTerms = (rulebook?: string) =>
  useQuery({
    queryKey: ['terms', rulebook ?? ''],
    staleTime: Infinity,
    queryFn: () => data(api.GET('/api/rulebook/terms', { params: { query: { rulebook } } })),
  });

/** The rulebook that a group chose. */
export const useGroupRulebook = (group: number | undefined, enabled = true) =>
  useQuery({
    queryKey: ['group-rulebook', group],
    enabled: group !== undefined && enabled,
    queryFn: () => data(api.GET('/api/groups/{group}/rulebook', { params: { path: { group: group! } } })),
  });

/** How people of a group's country write entries, a line each. */
export function useExamples(group: number | undefined): string[] {
  const own = useGroupRulebook(group);
  const terms = useTerms(own.data?.id);
  return terms.data?.examples ?? [];
}
