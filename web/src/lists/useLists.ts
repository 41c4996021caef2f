import { Server, type Schemas } from '../api/client';

type Summary = Schemas['ListSummary'];

const asked = (group: number | undefined) => ({ params: { path: { group: group ?? 0 } } });

/** How soon lists that are still being judged are asked for again, ms. */
const SOON = 500;

/** No page waits for verdicts: what is not there yet fills in. */
export const again = (lists: Pick<Summary, 'pending'>[] | undefined) =>
  lists?.some((list) => list.pending) ? SOON : false;

/** The lists of a group, those in the archive too. */
export const useLists = (group: number | undefined) =>
  Server.useQuery('get', '/api/groups/{group}/lists', asked(group), {
    enabled: group !== undefined,
    refetchInterval: (query) => again(query.state.data),
  });

const inUse = (lists: Summary[]) => lists.filter((list) => list.shelf === 'in-use');

/** The lists of a group that are in use: what one works with, and chooses from. */
export const useListsInUse = (group: number | undefined) =>
  Server.useQuery('get', '/api/groups/{group}/lists', asked(group), {
    enabled: group !== undefined,
    refetchInterval: (query) => again(query.state.data),
    select: inUse,
  });
