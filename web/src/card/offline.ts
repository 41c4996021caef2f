import type { Schemas } from '../api/client';

export type HolderCard = Schemas['HolderCard'];

const KEPT = 'wache-card';

const SETTLED_MS = 400;

/** Keeps the page itself, so that it opens without a network. Browsers allow it on secure addresses only. */
export function keepOffline() {
  if (!('serviceWorker' in navigator) || !('caches' in window)) return;
  window.addEventListener('load', () => {
    void navigator.serviceWorker.register('/card-worker.js', { scope: '/card' });
    keepFiles();
  });
}

/** Keeps every file that the page has used so far; fonts come only once there is text to show. */
function keepFiles() {
  if (!('caches' in window)) return;
  const files = performance
    .getEntriesByType('resource')
    .map((each) => new URL(each.name))
    .filter((each) => each.origin === window.location.origin && !each.pathname.startsWith('/api/'))
    .map((each) => each.pathname);
  void caches.open(KEPT).then((cache) => cache.addAll([...new Set(['/card', ...files])]));
}

/** What was seen last under an address; undefined when nothing was. */
export function kept(token: string): { card: HolderCard; at: string } | undefined {
  const text = localStorage.getItem(`wache-card ${token}`);
  if (text === null) return undefined;
  const { card, at } = JSON.parse(text) as { card: HolderCard; at: string };
  return { card: { ...card, radios: card.radios ?? [] }, at }; // a card that was kept before radios were on it
}

/** Keeps what is seen now. */
export function keep(token: string, card: HolderCard) {
  localStorage.setItem(`wache-card ${token}`, JSON.stringify({ card, at: new Date().toISOString() }));
  setTimeout(() => void document.fonts.ready.then(keepFiles), SETTLED_MS);
}

/** Forgets a card whose address was ended. */
export function forget(token: string) {
  localStorage.removeItem(`wache-card ${token}`);
}
