import { useQuery } from '@tanstack/react-query';
import { api, data } from '../api/client';

/** What wants attention in a group. */
export const useHome = (group: number | undefined) =>
  useQuery({
    queryKey: ['home', group],
    enabled: group !== undefined,
    queryFn: () => data(api.GET('/api/groups/{group}/home', { params: { path: { group: group! } } })),
  });
