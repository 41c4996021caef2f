import { useCallback, useLayoutEffect, useRef } from 'react';

/** A function that stays the same one from drawing to drawing and does what the newest would: what it is given to is not drawn anew for it. */
export function useStable<Args extends unknown[], Result>(
  does: (...args: Args) => Result,
): (...args: Args) => Result {
  const newest = useRef(does);
  useLayoutEffect(() => {
    newest.current = does;
  });
  return useCallback((...args: Args) => newest.current(...args), []);
}
