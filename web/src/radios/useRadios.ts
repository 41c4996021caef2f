import { useQuery } from '@tanstack/react-query';
import { api, data } from '../api/client';

/** The models and units of a group. */
export const useRadios = (group: number | undefined) =>
  useQuery({
    queryKey: ['radios', group],
    enabled: group !== undefined,
    queryFn: () => data(api.GET('/api/groups/{group}/radios', { params: { path: { group: group! } } })),
  });
