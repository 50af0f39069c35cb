// The dialog that writes down what went wrong with a unit.

import { open } from '../kit/frame.js';
import { newToken, post } from '../kit/sending.js';

/**
 * Prepares the dialog.
 * @param {() => string} unit the unit at hand
 * @param {(lost: boolean) => string} after where the page goes once it is written down
 * @returns {(kind: string) => void} opens it with a kind chosen
 */
export function mishapDialog(unit, after) {
  const at = (id) => document.getElementById(id);
  const form = at('mishap-form');
  const show = (kind) => {
    at('mishap-unit').textContent = unit();
    form.elements.unit.value = unit();
    form.elements.token.value = newToken();
    at('mishap-kind').value = kind;
    at('mishap-problem').hidden = true;
    open('mishap');
    at('mishap-note').focus();
  };
  document.addEventListener('click', (event) => {
    const opener = event.target.closest('[data-kind]');
    if (opener) show(opener.dataset.kind);
  });
  form.addEventListener('submit', async (event) => {
    event.preventDefault();
    try {
      const { status, body } = await post(form.action, Object.fromEntries(new FormData(form)));
      if (status >= 400) throw new Error(body.message);
      location.assign(after(at('mishap-kind').value === 'LOST'));
    } catch (failed) {
      at('mishap-problem').textContent = failed.name === 'Error' && failed.message ? failed.message : 'No connection: it is not written down yet. Try again when it is back.';
      at('mishap-problem').hidden = false;
    }
  });
  return show;
}
