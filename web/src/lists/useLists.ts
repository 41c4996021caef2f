import { useQuery } from '@tanstack/react-query';
import { api, data } from '../api/client';

/** The lists of a group, those with most on hold first. */
export const useLists = (group: number | undefined) =>
  useQuery({
    queryKey: ['lists', group],
    enabled: group !== undefined,
    queryFn: () =>
      data(api.GET('/api/groups/{group}/lists', { params: { path: { group: group! } } })).then((all) =>
        [...all].sort((a, b) => b.counts.hold - a.counts.hold || b.counts.query - a.counts.query),
      ),
  });
