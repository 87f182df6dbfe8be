// Shows what this screen saw last while the line is gone. The page and answers to
// reading come from the kitchen whenever it answers; only what was built never
// changes under its name. Changes are never kept here: the page itself keeps taps
// that wait.
const built = "yembra-built";
const seen = "yembra-seen";
// How many files are kept of what was built: some more than a version has.
const mostBuilt = 150;

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (e) => e.waitUntil(self.clients.claim()));

self.addEventListener("fetch", (e) => {
  const url = new URL(e.request.url);
  if (e.request.method !== "GET" || url.origin !== self.location.origin) return;
  if (url.pathname.startsWith("/assets/")) e.respondWith(first(e.request));
  else if (e.request.mode === "navigate") e.respondWith(newest(e.request, "/"));
  else if (kept(url.pathname)) e.respondWith(newest(e.request, e.request));
});

// Who is signed in, streams, archives and guests' links are never kept.
function kept(path) {
  return (
    path.startsWith("/api/") &&
    !/^\/api\/(session|sessions|access|stream|archive|guest|health|bench)/.test(path)
  );
}

async function first(request) {
  const known = await caches.match(request);
  if (known) return known;
  const answer = await fetch(request);
  if (answer.ok) {
    const cache = await caches.open(built);
    await cache.put(request, answer.clone());
    // What earlier versions left goes, the oldest first.
    const all = await cache.keys();
    await Promise.all(all.slice(0, -mostBuilt).map((old) => cache.delete(old)));
  }
  return answer;
}

async function newest(request, name) {
  try {
    const answer = await fetch(request);
    if (answer.ok) (await caches.open(seen)).put(name, answer.clone());
    if (answer.status === 401) await caches.delete(seen);
    return answer;
  } catch (gone) {
    const known = await caches.match(name);
    if (known) return known;
    throw gone;
  }
}
