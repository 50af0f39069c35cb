// What this device keeps, so that benches open without a network. Browsers allow it on this machine itself and over TLS only.

const KEPT_AT = 'elsom-kept-at';
const EVERY_MS = 10 * 60 * 1000;

/** Whether benches can be kept here at all. */
export const canKeep = () => window.isSecureContext && 'serviceWorker' in navigator;

/** Registers the worker, and has it look what is new from time to time. */
export async function keepBenches() {
  if (!canKeep()) return;
  try {
    await navigator.serviceWorker.register('/worker.js', { updateViaCache: 'none' });
  } catch {
    return; // Without a network the one that is there stays.
  }
  if (Date.now() - Number(localStorage.getItem(KEPT_AT) ?? 0) < EVERY_MS) return;
  localStorage.setItem(KEPT_AT, String(Date.now()));
  refresh();
}

/** Keeps the benches as they are now; of one trial only, where one is named. */
export async function refresh(trial) {
  if (!canKeep()) return;
  (await navigator.serviceWorker.ready).active?.postMessage({ trial });
}

/** When a page was kept that the network did not give; null for one that it gave. */
export function keptAt() {
  const at = Number(document.body.dataset.kept);
  return document.body.dataset.kept && Number.isFinite(at) ? new Date(at) : null;
}
