import { Server } from '../api/client';

/** The releases of a group, and which radio has which. */
export const useReleases = (group: number | undefined) =>
  Server.useQuery(
    'get',
    '/api/groups/{group}/releases',
    { params: { path: { group: group ?? 0 } } },
    { enabled: group !== undefined },
  );
