// Service worker: keeps the page and its assets, so that a reload works while the server is away.
// Plans are not its business: those are kept by the application itself.
const CACHE = 'rough-gear-shell-1';

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

// The page names what it had loaded before this worker took over.
self.addEventListener('message', (event) => {
  const { keep } = event.data;
  event.waitUntil(
    caches.open(CACHE).then((cache) => Promise.all(keep.map((url) => keptFirst(new Request(url), cache)))),
  );
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin || url.pathname.startsWith('/api/')) return;
  if (url.pathname.startsWith('/assets/'))
    event.respondWith(caches.open(CACHE).then((cache) => keptFirst(request, cache)));
  else event.respondWith(freshFirst(request.mode === 'navigate' ? new Request('/') : request));
});

/** Assets carry a hash in their name: what is kept is what they are. */
async function keptFirst(request, cache) {
  const kept = await cache.match(request);
  if (kept) return kept;
  const fresh = await fetch(request);
  if (fresh.ok) await cache.put(request, fresh.clone());
  return fresh;
}

/** Whoever answers in the place of a server that is away, as a proxy does, is not the server. */
const AWAY = [502, 503, 504];

/** The page itself comes from the server while there is one. */
async function freshFirst(request) {
  const cache = await caches.open(CACHE);
  try {
    const fresh = await fetch(request);
    if (fresh.ok) await cache.put(request, fresh.clone());
    return AWAY.includes(fresh.status) ? ((await cache.match(request)) ?? fresh) : fresh;
  } catch (problem) {
    const kept = await cache.match(request);
    if (kept) return kept;
    throw problem;
  }
}
