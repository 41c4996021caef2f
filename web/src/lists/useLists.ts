import { Server, type Schemas } from '../api/client';

type Summary = Schemas['ListSummary'];

const asked = (group: number | undefined) => ({ params: { path: { group: group ?? 0 } } });

/** The lists of a group, those in the archive too. */
export const useLists = (group: number | undefined) =>
  Server.useQuery('get', '/api/groups/{group}/lists', asked(group), { enabled: group !== undefined });

const inUse = (lists: Summary[]) => lists.filter((list) => list.shelf === 'in-use');

/** The lists of a group that are in use: what one works with, and chooses from. */
export const useListsInUse = (group: number | undefined) =>
  Server.useQuery('get', '/api/groups/{group}/lists', asked(group), {
    enabled: group !== undefined,
    select: inUse,
  });
