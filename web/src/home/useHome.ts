import { useQuery } from '@tanstack/react-query';
import { api, data } from '../api/client';

/** What wants attention in a group. */
export const useHome = (group: number) =>
  useQuery({
    queryKey: ['home', group],
    queryFn: () => data(api.GET('/api/groups/{group}/home', { params: { path: { group } } })),
  });
