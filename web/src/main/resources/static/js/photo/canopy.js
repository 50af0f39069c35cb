// The mask over a photo follows its threshold and the white card; the server works both out.

const place = document.getElementById('canopy');
const at = (id) => document.getElementById(id);
const base = place?.dataset.base;
let waiting = 0;
let asked = 0;
let touched = false;

/** Where a pointer is within a box, as shares of its width and height. */
export function within(box, { clientX, clientY }) {
  return { x: (clientX - box.left) / box.width, y: (clientY - box.top) / box.height };
}

async function work() {
  const number = ++asked;
  const setting = new URLSearchParams();
  if (touched) setting.set('threshold', at('threshold').value);
  if (at('card-x').value) {
    setting.set('x', at('card-x').value);
    setting.set('y', at('card-y').value);
  }
  try {
    const cover = await (await fetch(`${base}/cover?${setting}`)).json();
    if (number !== asked) return;
    at('cover-words').textContent = cover.words;
    at('cover-note').textContent = cover.note;
    at('cover-note').hidden = !cover.note;
    if (!touched) at('threshold').value = cover.threshold;
    at('mask').src = `${base}/mask.png?${setting}`;
  } catch {
    at('cover-words').textContent = 'No connection';
  }
}

if (place) {
  at('threshold').addEventListener('input', () => {
    touched = true;
    clearTimeout(waiting);
    waiting = setTimeout(work, 80);
  });
  at('show-mask').addEventListener('change', (event) => { at('mask').hidden = !event.target.checked; });
  place.addEventListener('click', (event) => {
    const { x, y } = within(place.getBoundingClientRect(), event);
    at('card-x').value = x.toFixed(4);
    at('card-y').value = y.toFixed(4);
    at('card').removeAttribute('hidden');
    at('card').style.left = `${100 * x}%`;
    at('card').style.top = `${100 * y}%`;
    touched = false;
    work();
  });
}
