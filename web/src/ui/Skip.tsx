import { useFocusKept } from './useFocusKept';

function toContent() {
  const main = document.querySelector<HTMLElement>('main');
  if (!main) return;
  if (!main.hasAttribute('tabindex')) main.tabIndex = -1;
  main.focus({ preventScroll: true });
}

/** The way past the navigation; the focus stands at what the page is about, not at where one came from. */
export function Skip() {
  useFocusKept(toContent);
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
