import { useState } from 'react';

/** State that is still there when one comes back to the page, as long as the tab is open. */
export function useKept<T>(key: string, initial: T): [T, (next: T) => void] {
  const [value, setValue] = useState<T>(() => {
    const kept = sessionStorage.getItem(key);
    return kept === null ? initial : (JSON.parse(kept) as T);
  });
  const keep = (next: T) => {
    sessionStorage.setItem(key, JSON.stringify(next));
    setValue(next);
  };
  return [value, keep];
}
