import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';

const SETTLED_MS = 80;

function toContent() {
  const main = document.querySelector<HTMLElement>('main');
  if (!main) return;
  if (!main.hasAttribute('tabindex')) main.tabIndex = -1;
  main.focus({ preventScroll: true });
}

/** The way past the navigation; after a change of page the focus stands at what the page is about, not at where one came from. */
export function Skip() {
  const { pathname } = useLocation();
  const before = useRef(pathname);
  useEffect(() => {
    if (before.current === pathname) return;
    before.current = pathname;
    const settled = setTimeout(() => {
      const at = document.activeElement;
      if (at === null || at === document.body || at.closest('nav, header') !== null) toContent();
    }, SETTLED_MS);
    return () => clearTimeout(settled);
  }, [pathname]);
  return (
    <button
      type="button"
      onClick={toContent}
      className="bg-accent text-on-accent sr-only rounded px-3 py-1.5 focus:not-sr-only focus:fixed focus:top-1 focus:left-1 focus:z-50"
    >
      To the content
    </button>
  );
}
