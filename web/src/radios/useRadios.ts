import { Server } from '../api/client';

/** The models and units of a group. */
export const useRadios = (group: number | undefined) =>
  Server.useQuery(
    'get',
    '/api/groups/{group}/radios',
    { params: { path: { group: group ?? 0 } } },
    { enabled: group !== undefined },
  );
