import { Server } from '../api/client';

/** What wants attention in a group. */
export const useHome = (group: number | undefined) =>
  Server.useQuery(
    'get',
    '/api/groups/{group}/home',
    { params: { path: { group: group ?? 0 } } },
    { enabled: group !== undefined },
  );
