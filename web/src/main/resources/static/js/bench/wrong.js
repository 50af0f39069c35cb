// What went wrong, and with which units: the units are picked on the map, and the kind ends it.

import { newToken, post } from '../kit/sending.js';

/**
 * Prepares the sheet.
 * @param {import('./map.js').UnitMap} map
 * @param {() => string} unit the unit at hand
 * @param {(ends: boolean) => string} after where the page goes once it is written down
 * @returns {() => void} opens it
 */
export function wentWrong(map, unit, after) {
  const sheet = document.getElementById('wrong');
  const at = (part) => sheet.querySelector(`[data-${part}]`);
  let units = [];
  let before = null;
  const close = () => {
    sheet.hidden = true;
    map.stopPicking();
    before?.focus();
  };
  const open = () => {
    before = document.activeElement;
    at('problem').hidden = true;
    sheet.hidden = false;
    map.pick([unit()], (picked) => {
      units = picked;
      at('units').textContent = picked.length > 8 ? `${picked.length} units` : picked.join(' ') || 'none picked yet';
    });
    sheet.querySelector('[data-kind]').focus({ preventScroll: true });
    if (matchMedia('(max-width: 900px)').matches) map.show(unit());
  };
  const say = (text) => {
    at('problem').textContent = text;
    at('problem').hidden = false;
  };
  const keep = async (kind, ends) => {
    if (!units.length) {
      say('Tap the units on the map first.');
      return;
    }
    const fields = { kind, note: at('note').value.trim(), look: sheet.dataset.look, token: newToken() };
    try {
      const { status, body } = await post(sheet.dataset.url, { ...fields, unit: units });
      if (status >= 400) say(body.message);
      else location.assign(after(ends));
    } catch {
      say('No connection: it is not written down yet. Try again when it is back.');
    }
  };
  sheet.addEventListener('click', (event) => {
    const kind = event.target.closest('[data-kind]');
    if (kind) keep(kind.dataset.kind, kind.dataset.ends === 'true');
    if (event.target.closest('[data-leave]')) close();
  });
  document.addEventListener('keydown', (event) => {
    if (event.key === 'Escape' && !sheet.hidden) close();
  });
  document.querySelector('[data-wrong]').addEventListener('click', open);
  return open;
}
