// Looks on a strip of time: what is read, where it stands, and where a handle comes to rest.

import { Strip, hours, placeOf, snapped, timeAt, written } from '/static/js/plan/strip.js';

function plan(...times) {
  const form = document.createElement('form');
  form.innerHTML = `<div></div>${times.map((time, i) => `<input name="looks[${i}].after" value="${time}"><input name="looks[${i}].name" value="">`).join('')}`;
  document.body.append(form);
  return { form, strip: new Strip(form.querySelector('div'), form) };
}

const press = (handle, key) => handle.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));

export const tests = {
  'hours and days are read, and nothing else'(is) {
    is(['6 h', '7 d', '1.5d', '90 min', '-3 h', '', 'at harvest', '2-3 d'].map(hours), [6, 168, 36, null, null, null, null, null]);
  },
  'a time is written as it would be typed'(is) {
    is([6, 24, 36, 168].map(written), ['6 h', '1 d', '36 h', '7 d']);
    is(hours(written(36)), 36);
  },
  'a handle rests on hours first and on days later, never at the start'(is) {
    is([0.2, 5.4, 47.2, 61, 100].map(snapped), [1, 5, 47, 72, 96]);
  },
  'a place leads back to its time'(is) {
    is(Math.round(timeAt(placeOf(168, 840, 600), 840, 600)), 168);
    is([timeAt(-50, 840, 600), timeAt(9999, 840, 600)], [0, 840]);
  },
  'arrow keys move a look and tell its field'(is) {
    const { form } = plan('7 d', '14 d', 'when it flowers');
    let told = 0;
    form.addEventListener('input', () => { told += 1; });
    const handles = form.querySelectorAll('.handle');
    is(handles.length, 2);
    press(handles[0], 'ArrowRight');
    is([form.elements['looks[0].after'].value, handles[0].getAttribute('aria-valuetext'), told], ['8 d', '8 d', 1]);
    press(handles[1], 'ArrowLeft');
    is(form.elements['looks[1].after'].value, '13 d');
    is(form.elements['looks[2].after'].value, 'when it flowers');
    form.remove();
  },
  'a plan without such a time has no strip'(is) {
    const { form } = plan('-3 h', '');
    is(form.querySelector('div').hidden, true);
    form.remove();
  },
};
