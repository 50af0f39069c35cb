// One page that begins a trial: the kind follows the question's words until it is chosen by hand, and brings what decides.

import './preview.js';

const form = document.querySelector('form.quick');
const preview = document.getElementById('preview');
const kind = document.getElementById('kind');
const decides = document.getElementById('decides');
const lines = document.getElementById('treatments');
const touched = new Set();

for (const name of ['matters', 'replicates']) {
  document.getElementById(name).addEventListener('input', () => touched.add(name));
}

kind.addEventListener('change', () => {
  document.getElementById('chosen').value = 'yes';
});

/** Puts what belongs to another kind into the fields that nobody has touched. */
function follow(shown) {
  const { kind: code, matters, units } = shown.dataset;
  if (decides.dataset.kind === code) return;
  kind.value = code;
  decides.dataset.kind = code;
  decides.replaceChildren(shown.querySelector('template').content.cloneNode(true));
  if (!touched.has('matters')) document.getElementById('matters').value = matters;
  if (!touched.has('replicates')) document.getElementById('replicates').value = units;
  form.dispatchEvent(new Event('input'));
}

new MutationObserver(() => follow(preview.firstElementChild)).observe(preview, { childList: true });

function changed() {
  lines.dispatchEvent(new Event('input', { bubbles: true }));
}

form.addEventListener('click', (event) => {
  const adds = event.target.closest('[data-adds]');
  const levels = event.target.closest('[data-levels]');
  if (adds) {
    lines.value = `${lines.value.trimEnd()}\n${adds.dataset.adds}`.trimStart();
    changed();
  }
  if (levels) {
    lines.value = `${lines.value.split(':')[0]}: ${levels.dataset.levels}`;
    changed();
  }
});
