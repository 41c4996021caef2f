import { useEffect, useState } from 'react';
import type { Change, Slip } from '../api/client';

/** What was typed into a field, and what stood there when the typing began. */
interface Typed {
  text: string;
  before: string;
}

type Draft = Readonly<Record<string, Typed>>;

const NONE: Draft = {};

/** What is typed and not saved, entry by entry: it stays until it is saved or dropped, wherever one looks meanwhile. */
export function useDrafts(list: number) {
  const key = `wache-typed-${list}`;
  const [drafts, setDrafts] = useState<Readonly<Record<number, Draft>>>(
    () => JSON.parse(sessionStorage.getItem(key) ?? '{}') as Record<number, Draft>,
  );
  // Going to another page, or loading this one anew, loses nothing either.
  useEffect(() => {
    if (Object.keys(drafts).length > 0) sessionStorage.setItem(key, JSON.stringify(drafts));
    else sessionStorage.removeItem(key);
  }, [key, drafts]);
  const put = (entry: number, change: (draft: Draft) => Draft) =>
    setDrafts((old) => {
      const { [entry]: draft, ...others } = old;
      const next = change(draft ?? NONE);
      return Object.keys(next).length === 0 ? others : { ...others, [entry]: next };
    });
  return {
    /** The entries with something typed. */
    open: Object.keys(drafts).map(Number),
    texts: (entry: number) => textsOf(drafts[entry] ?? NONE),
    type: (slip: Slip, fields: Record<string, string>) =>
      put(slip.id, (draft) => {
        const next: Record<string, Typed> = { ...draft };
        for (const [key, text] of Object.entries(fields)) {
          const before = next[key]?.before ?? slip.fields[key] ?? '';
          if (text === before) delete next[key];
          else next[key] = { text, before };
        }
        return next;
      }),
    drop: (entry: number) => put(entry, () => NONE),
    /** The change that saves what was typed; nothing when there is nothing. */
    change: (entry: number): Change | undefined => {
      const typed = Object.entries(drafts[entry] ?? NONE);
      if (typed.length === 0) return undefined;
      return {
        kind: 'edit',
        entry,
        behind: null,
        before: Object.fromEntries(typed.map(([key, each]) => [key, each.before])),
        after: Object.fromEntries(typed.map(([key, each]) => [key, each.text])),
      };
    },
    /** What was typed into another field while it was being saved stays. */
    saved: (entry: number, after: Record<string, string>) =>
      put(entry, (draft) =>
        Object.fromEntries(Object.entries(draft).filter(([key, each]) => after[key] !== each.text)),
      ),
  };
}

const textsOf = (draft: Draft): Record<string, string> =>
  Object.fromEntries(Object.entries(draft).map(([key, each]) => [key, each.text]));
