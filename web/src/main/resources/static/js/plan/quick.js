// One page that begins a trial: the kind follows the question's words until it is chosen by hand, and brings what decides.

import './preview.js';

const form = document.querySelector('form.one-page');
const preview = document.getElementById('preview');
const kind = document.getElementById('kind');
const decides = document.getElementById('decides');
const lines = document.getElementById('treatments');
kind.addEventListener('change', () => {
  document.getElementById('chosen').value = 'yes';
});

/** Puts what belongs to another kind into what decides and the usual figures. */
function follow(shown) {
  const { kind: code, matters, units } = shown.dataset;
  if (decides.dataset.kind === code) return;
  kind.value = code;
  decides.dataset.kind = code;
  decides.replaceChildren(shown.querySelector('template').content.cloneNode(true));
  document.getElementById('matters').placeholder = matters;
  document.getElementById('replicates').placeholder = units;
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
