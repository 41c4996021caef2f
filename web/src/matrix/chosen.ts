import { useEffect, useRef } from 'react';

/** Where one is in a grid: at an entry, in whichever row it stands, and in a column. */
export interface Place {
  entry?: number;
  column: number;
}

/** The row of the entry that is chosen here, else of the one that the address names; the first where neither is there. */
export function rowOf(entries: readonly { id: number }[], { entry }: Place, named: string | null): number {
  const wanted = entry ?? Number(named);
  return Math.max(
    0,
    entries.findIndex((each) => each.id === wanted),
  );
}

const ADDRESS_MS = 300;

/** Writes the entry that is chosen into the address when the keys rest: nothing that is pressed waits for it. */
export function useChosenEntry(entry: number | undefined, set: (changes: { entry: string }) => void) {
  const write = useRef(set);
  useEffect(() => {
    write.current = set;
  });
  useEffect(() => {
    if (entry === undefined) return;
    const rest = setTimeout(() => write.current({ entry: String(entry) }), ADDRESS_MS);
    return () => clearTimeout(rest);
  }, [entry]);
}
