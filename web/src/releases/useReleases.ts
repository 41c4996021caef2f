import { useQuery } from '@tanstack/react-query';
import { api, data } from '../api/client';

/** The releases of a group, and which radio has which. */
export const useReleases = (group: number | undefined) =>
  useQuery({
    queryKey: ['releases', group],
    enabled: group !== undefined,
    queryFn: () => data(api.GET('/api/groups/{group}/releases', { params: { path: { group: group! } } })),
  });
