import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useMay } from '../accounts/rights';
import { api, Server, data, type Change, type Desk, type Schemas } from '../api/client';
import { takenIn } from '../lists/changes';
import { useListChanges } from '../lists/useListChanges';
import { day } from '../ui/dates';

/** Why a list cannot be changed as it is seen; undefined when it can. */
function why(desk: Desk, may: boolean): string | undefined {
  if (!may) return 'You see this list. Coordinators and reviewers of the group change it.';
  if (desk.parent)
    return `This list follows “${desk.parent.name}”. Change it there: this one changes with it.`;
  return desk.on === desk.today
    ? undefined
    : `You see the list as of ${day(desk.on)}. Go back to today to change it.`;
}

/** A list under audit; fetched says which answer of the server it began with, so that what came by itself is told from what was done here. */
export type DeskSeen = Desk & { fetched: number };

/** A list under audit, as every page of it asks for it. */
export function deskQuery(list: number, on?: string) {
  const params = { path: { list }, query: { on } };
  return queryOptions({
    queryKey: Server.queryOptions('get', '/api/lists/{list}', { params }).queryKey,
    queryFn: async ({ client, queryKey }): Promise<DeskSeen> => {
      const desk = await data(api.GET('/api/lists/{list}', { params }));
      const before = client.getQueryData<DeskSeen>(queryKey);
      // The same again is no news: what was just changed here is still marked.
      const same = before?.version === desk.version && before.rules === desk.rules;
      return { ...desk, fetched: same ? before.fetched : Date.now() };
    },
  });
}

/** A list under audit, its changes, and the way back. */
export function useDesk(list: number, on?: string) {
  const queries = useQueryClient();
  const query = deskQuery(list, on);
  const desk = useQuery(query);
  const may = useMay('edit', desk.data?.groupId);
  const fixed = desk.data && why(desk.data, may);
  const ways = Server.useQuery(
    'get',
    '/api/lists/{list}/undo',
    { params: { path: { list } } },
    { enabled: desk.data !== undefined && fixed === undefined },
  );
  const [said, setSaid] = useState<string>();
  const {
    act: send,
    back,
    settle: settleClash,
    reload,
    busy,
    clash,
    problem,
    tell,
    dismiss,
  } = useListChanges({
    list,
    queryKey: query.queryKey,
    keep: (changed) => {
      // What was asked before the change must not come in over it.
      void queries.cancelQueries({ queryKey: query.queryKey });
      queries.setQueryData(query.queryKey, (old) => old && takenIn(old, changed));
    },
  });

  /** Makes a change; the server keeps the way back. */
  async function act(label: string, changes: Change[], order?: Schemas['Order']): Promise<boolean> {
    if (fixed) {
      tell(fixed);
      return false;
    }
    const sent = await send({ label, changes, order });
    if (sent) setSaid(label);
    return sent !== undefined;
  }

  async function takeBack(again: boolean) {
    const way = again ? ways.data?.redo : ways.data?.undo;
    if (fixed || (!way && !ways.isFetching)) return;
    // What is not known yet is whichever comes next.
    if (await back(again, ways.isFetching ? null : (way?.version ?? null)))
      setSaid(`${again ? 'Done again' : 'Undone'}: ${way?.words ?? ''}`);
  }

  /** Notes that something was done by other means. */
  async function did(label: string) {
    setSaid(label);
    await reload();
  }

  async function settle(mine: ReadonlySet<number>) {
    const saved = await settleClash(mine);
    if (saved) setSaid(saved.label);
  }

  return {
    desk,
    fixed,
    act,
    did,
    undo: () => takeBack(false),
    redo: () => takeBack(true),
    settle,
    reload,
    busy,
    clash,
    problem,
    said,
    canUndo: ways.data?.undo?.words,
    canRedo: ways.data?.redo?.words,
    tell,
    dismiss,
  };
}
