import { Server } from '../api/client';

/** The lists of a group, those in the archive too. */
export const useLists = (group: number | undefined) =>
  Server.useQuery(
    'get',
    '/api/groups/{group}/lists',
    { params: { path: { group: group ?? 0 } } },
    { enabled: group !== undefined },
  );
