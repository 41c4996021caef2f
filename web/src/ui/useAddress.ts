import { useCallback } from 'react';
import { useLocation, useSearchParams } from 'react-router';

/**
 * What the address says behind its path, and the way to write it. A page that was left and is still drawn until the next one is there writes
 * no more: it would bring itself back.
 */
export function useAddress(): ReturnType<typeof useSearchParams> {
  const { pathname } = useLocation();
  const [params, set] = useSearchParams();
  const write = useCallback<typeof set>(
    (next, options) => {
      if (window.location.pathname === pathname) set(next, options);
    },
    [pathname, set],
  );
  return [params, write];
}
