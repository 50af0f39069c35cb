// How far a file is that is being taken in.

const EVERY_MS = 400;
const place = document.getElementById('taking');

async function ask() {
  try {
    const response = await fetch(place.dataset.progress, { signal: AbortSignal.timeout(4000) });
    const { state, rows, share } = await response.json();
    if (state !== 'RUNNING') {
      location.reload();
      return;
    }
    place.querySelector('[data-rows]').textContent = `${rows.toLocaleString('en')} rows so far.`;
    const bar = place.querySelector('progress');
    if (share > 0) bar.value = share;
    else bar.removeAttribute('value');
  } catch {
    // The next answer says how far it is.
  }
  setTimeout(ask, EVERY_MS);
}

if (place) ask();
