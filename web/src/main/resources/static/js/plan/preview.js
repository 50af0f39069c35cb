// Shows what a form comes to while it is typed: the server works it out, nothing is kept.

import '../kit/frame.js';
import { parsed, postForm } from '../kit/partial.js';

const PAUSE = 250;

/**
 * Keeps the preview of a form up to date.
 * @param {HTMLFormElement} form
 * @param {(preview: Element) => void} shown called after each update
 */
export function previews(form, shown = () => {}) {
  const place = document.getElementById('preview');
  let timer = 0;
  let asking = new AbortController();
  const update = async () => {
    asking.abort();
    asking = new AbortController();
    try {
      const text = await postForm(form.dataset.preview, new FormData(form), asking.signal);
      if (text === null) return;
      const focus = place.contains(document.activeElement) ? document.activeElement.value : null;
      const preview = parsed(text);
      place.replaceChildren(preview);
      if (focus !== null) place.querySelector(`input.strike[value="${CSS.escape(focus)}"]`)?.focus();
      shown(preview);
    } catch (stopped) {
      if (stopped.name !== 'AbortError' && stopped.name !== 'TypeError') throw stopped;
    }
  };
  form.addEventListener('input', (event) => {
    if (event.target.matches('.strike')) event.target.nextElementSibling.disabled = event.target.checked;
    clearTimeout(timer);
    timer = setTimeout(update, PAUSE);
  });
  place.addEventListener('change', (event) => {
    if (event.target.matches('.strike')) event.target.nextElementSibling.disabled = event.target.checked;
  });
}

const form = document.querySelector('form[data-preview]');
if (form && !form.querySelector('#slider')) previews(form);
