import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { api, data, KEEPS, Problem, type Conflict, type Schemas } from '../api/client';
import { settled, type Clash, type Step } from './changes';

/** What a page shows of a list, and how it takes in a change without asking for everything anew. */
interface Shown {
  list: number;
  /** Under which key the page's picture of the list is kept; it has the version that one changes. */
  queryKey: readonly unknown[];
  keep?: (changed: Schemas['Changed']) => void;
}

const said = (cause: unknown, otherwise: string) => (cause instanceof Error ? cause.message : otherwise);

/**
 * The changes that a page makes to a list: sent against the version that is seen, taken back by the server's own way
 * back, and settled entry by entry when somebody else was faster. Nothing is ever written over unseen.
 */
export function useListChanges({ list, queryKey, keep }: Shown) {
  const queries = useQueryClient();
  const [clash, setClash] = useState<Clash>();
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const key = JSON.stringify(queryKey);

  const reload = useCallback(
    () => queries.invalidateQueries({ queryKey: JSON.parse(key) as unknown[] }),
    [queries, key],
  );

  /** Makes a change; nothing comes back when it was not saved. */
  async function act(step: Step): Promise<Schemas['Changed'] | undefined> {
    const version = queries.getQueryData<{ version: number }>(queryKey)?.version ?? 0;
    setBusy(true);
    try {
      const changed = await data(
        api.POST('/api/lists/{list}/changes', {
          params: { path: { list } },
          body: { version, changes: step.changes, order: step.order ?? null },
          headers: keep ? { [KEEPS]: String(list) } : {},
        }),
      );
      keep?.(changed);
      setProblem(undefined);
      return changed;
    } catch (cause) {
      if (cause instanceof Problem && cause.status === 409) {
        setClash({ step, conflict: cause.body as Conflict });
      } else {
        setProblem(said(cause, 'The change was not saved.'));
      }
      return undefined;
    } finally {
      setBusy(false);
    }
  }

  /** Takes back what made a version, or does it again; without a version, whichever comes next. */
  async function back(again: boolean, version: number | null): Promise<boolean> {
    try {
      await data(
        api.POST('/api/lists/{list}/undo', { params: { path: { list } }, body: { again, version } }),
      );
      setProblem(undefined);
      return true;
    } catch (cause) {
      setProblem(said(cause, 'It was not undone.'));
      return false;
    }
  }

  /** Settles a clash: the entries of which mine is kept. What comes back is what was saved, if anything was left. */
  async function settle(mine: ReadonlySet<number>): Promise<{ label: string; version: number } | undefined> {
    const open = clash;
    setClash(undefined);
    await reload();
    const changes = open ? settled(open, mine) : [];
    if (!open || changes.length === 0) return undefined;
    const changed = await act({ ...open.step, changes });
    return changed && { label: open.step.label, version: changed.version };
  }

  return {
    act,
    back,
    settle,
    reload,
    busy,
    clash,
    problem,
    tell: setProblem,
    dismiss: () => setProblem(undefined),
  };
}
