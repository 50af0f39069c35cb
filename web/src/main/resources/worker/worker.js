// Answers where no network does: benches of running trials as they were when last seen, and all files that pages load.
// With a network every page and file comes from there, so nothing kept is ever shown in the place of something newer.

const KEPT = `elsom-${VERSION}`;
const OFFLINE = '/offline';
const BENCH = /^\/trials\/\d+\/bench$/;
const FILE = /^\/(?:static|webjars)\//;
const PATIENCE_MS = 5000;

/** Under what a bench is kept; null for any other page. The unit at which it begins makes no other page of it. */
function nameOf(url) {
  if (!BENCH.test(url.pathname)) return null;
  const asked = new URLSearchParams();
  for (const name of ['look', 'timing']) {
    if (url.searchParams.get(name)) asked.set(name, url.searchParams.get(name));
  }
  return asked.size ? `${url.pathname}?${asked}` : url.pathname;
}

async function keep(name, answer) {
  const cache = await caches.open(KEPT);
  await cache.put(name, answer);
}

/** Fetches and keeps what bench pages of running trials show; of one trial only, where one is named. */
async function keepBenches(trial) {
  const listed = await fetch(`/offline/benches${trial ? `?trial=${trial}` : ''}`);
  // Nobody is signed in: there is nothing to keep, and what is kept stays.
  if (!listed.ok || listed.redirected) return;
  const benches = await listed.json();
  await Promise.all([
    fetch(OFFLINE).then((answer) => answer.ok && keep(OFFLINE, answer)),
    ...benches.map(async (bench) => {
      const url = `/trials/${bench.trial}/bench?look=${bench.look}`;
      const answer = await fetch(url);
      if (!answer.ok || answer.redirected) return;
      if (bench.next) await keep(`/trials/${bench.trial}/bench`, answer.clone());
      await keep(url, answer);
    }),
  ]);
}

/** A kept page says so, and from when it is; one in the place of an answer says that nothing was taken. */
async function asKept(name, sent = false) {
  const kept = await caches.match(name, { cacheName: KEPT });
  if (!kept) return null;
  const html = await kept.text();
  const policy = kept.headers.get('content-security-policy');
  const headers = { 'Content-Type': 'text/html;charset=UTF-8', ...(policy && { 'Content-Security-Policy': policy }) };
  return new Response(html.replace('<body', `<body data-kept="${Date.parse(kept.headers.get('date'))}"${sent ? ' data-sent' : ''}`), { headers });
}

const late = (milliseconds) => new Promise((_, reject) => setTimeout(() => reject(new Error('no answer in time')), milliseconds));

async function page(request) {
  const name = nameOf(new URL(request.url));
  const kept = name !== null && await caches.has(KEPT) && await caches.match(name, { cacheName: KEPT });
  try {
    // A page that is kept nowhere is waited for as long as it takes.
    const answer = await (kept ? Promise.race([fetch(request), late(PATIENCE_MS)]) : fetch(request));
    if (name && answer.ok && !answer.redirected) await keep(name, answer.clone());
    return answer;
  } catch {
    return (name && await asKept(name)) ?? await asKept(OFFLINE) ?? Response.error();
  }
}

/** A form: what is typed in it stays in the page that Back leads to. */
async function form(request) {
  try {
    return await fetch(request);
  } catch {
    return await asKept(OFFLINE, true) ?? Response.error();
  }
}

async function file(request) {
  try {
    return await Promise.race([fetch(request), late(PATIENCE_MS)]);
  } catch {
    return await caches.match(request, { cacheName: KEPT, ignoreSearch: true, ignoreVary: true }) ?? Response.error();
  }
}

self.addEventListener('install', (event) => {
  event.waitUntil((async () => {
    const cache = await caches.open(KEPT);
    await cache.addAll(FILES);
    await keepBenches();
    await self.skipWaiting();
  })());
});

self.addEventListener('activate', (event) => {
  event.waitUntil((async () => {
    for (const name of await caches.keys()) {
      if (name.startsWith('elsom-') && name !== KEPT) await caches.delete(name);
    }
    await self.clients.claim();
  })());
});

self.addEventListener('message', (event) => {
  // Without a network what is kept stays as it is.
  event.waitUntil(keepBenches(event.data.trial).then(() => event.source?.postMessage({ kept: true }), () => {}));
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (url.origin !== self.location.origin) return;
  if (request.method === 'POST' && request.mode === 'navigate') event.respondWith(form(request));
  if (request.method !== 'GET') return;
  if (request.mode === 'navigate') event.respondWith(page(request));
  else if (FILE.test(url.pathname)) event.respondWith(file(request));
});
