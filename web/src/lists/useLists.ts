import { Server, type Schemas } from '../api/client';

const worstFirst = (all: Schemas['ListSummary'][]) =>
  [...all].sort((a, b) => b.counts.hold - a.counts.hold || b.counts.query - a.counts.query);

/** The lists of a group, those with most on hold first. */
export const useLists = (group: number | undefined) =>
  Server.useQuery(
    'get',
    '/api/groups/{group}/lists',
    { params: { path: { group: group ?? 0 } } },
    { enabled: group !== undefined, select: worstFirst },
  );
