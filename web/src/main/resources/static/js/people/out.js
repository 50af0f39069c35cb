// Whoever signs out leaves no page on the device that was kept for work without a network. What waits to be sent stays.

const FILE = /^\/(?:static|webjars)\//;

/** Drops what was kept of pages; files that all pages load are nobody's. */
export async function forgetPages(store = caches) {
  for (const name of await store.keys()) {
    const kept = await store.open(name);
    for (const request of await kept.keys()) {
      if (!FILE.test(new URL(request.url).pathname)) await kept.delete(request);
    }
  }
}

// Without a secure connection the browser has no such store.
if (globalThis.caches && document.querySelector('.signed-out')) await forgetPages();
