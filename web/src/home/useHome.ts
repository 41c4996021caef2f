import { Server } from '../api/client';

/** How soon what is still being worked out is asked for again, ms. */
const SOON = 1000;

/** What wants attention in a group. No page waits for what takes long: it fills in. */
export const useHome = (group: number | undefined) =>
  Server.useQuery(
    'get',
    '/api/groups/{group}/home',
    { params: { path: { group: group ?? 0 } } },
    {
      enabled: group !== undefined,
      refetchInterval: (query) => (query.state.data?.pending ? SOON : false),
    },
  );
