// Keeps the card's page so that it opens without a network: what the network gives is newer and is kept, what it does
// not give is what was kept last. The card's own data stay with the page.
const KEPT = 'wache-card';

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

self.addEventListener('fetch', (event) => {
  const { request } = event;
  if (request.method !== 'GET' || new URL(request.url).pathname.startsWith('/api/')) return;
  event.respondWith(
    fetch(request)
      .then(async (answer) => {
        if (answer.ok) await (await caches.open(KEPT)).put(request, answer.clone());
        return answer;
      })
      .catch(async () => (await caches.match(request, { ignoreSearch: true })) ?? Response.error()),
  );
});
