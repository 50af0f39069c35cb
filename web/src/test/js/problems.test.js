// Messages are tied to the fields they stand beside; what has been read is told in words.

import { readSoFar } from '/static/js/bench/lately.js';
import { drawHistory } from '/static/js/bench/history.js';
import { tieProblems } from '/static/js/kit/problems.js';

const page = (html) => {
  const root = document.createElement('div');
  root.innerHTML = html;
  return root;
};

const task = (endpointName, text, symbol = '') => ({ endpointName, symbol, words: false, current: text === null ? null : { text } });

export const tests = {
  'a field is wrong and described by its message, beside what described it'(is) {
    const root = page('<div class="has-problem"><input aria-describedby="hint"><p class="problem" id="p">No day</p></div><input>');
    tieProblems(root);
    const [wrong, right] = root.querySelectorAll('input');
    is([wrong.getAttribute('aria-invalid'), wrong.getAttribute('aria-describedby')], ['true', 'p hint']);
    is(right.hasAttribute('aria-invalid'), false);
  },
  'all fields of a line share its message, and hidden ones none'(is) {
    const root = page('<div class="line has-problem"><input type="hidden"><input><select></select><p class="problem">Which?</p></div>');
    tieProblems(root);
    const id = root.querySelector('.problem').id;
    is([...root.querySelectorAll('input, select')].map((one) => one.getAttribute('aria-describedby')), [null, id, id]);
  },
  'tied twice it says it once'(is) {
    const root = page('<div class="has-problem"><input><p class="problem" id="p">No day</p></div>');
    tieProblems(root);
    tieProblems(root);
    is(root.querySelector('input').getAttribute('aria-describedby'), 'p');
  },
  'a mark without a message changes nothing'(is) {
    const root = page('<div class="has-problem"><input></div>');
    tieProblems(root);
    is(root.querySelector('input').hasAttribute('aria-invalid'), false);
  },
  'one endpoint is told by its value, several by their names'(is) {
    is(readSoFar([task('Wet mass', '220.7', 'g')]), '220.7 g');
    is(readSoFar([task('Plants up', '8'), task('Height', '12.3', 'cm'), task('Height', '11.9', 'cm')]), 'plants up 8 · height 12.3, 11.9 cm');
    is(readSoFar([task('Plants up', '8'), task('Height', null, 'cm')]), 'plants up 8');
    is(readSoFar([task('Plants up', null)]), '');
  },
  'what was corrected is listed, what stands is marked, and nothing hides the list'(is) {
    const place = page('<ul></ul>');
    drawHistory(place, [{ text: '20', when: '09:00', station: 'Bench A', reason: 'mistyped', stands: false }, { text: '201', when: '09:01', station: 'Bench A', reason: '', stands: true }]);
    is([...place.querySelectorAll('li')].map((item) => item.textContent), ['20 09:00, Bench A · mistyped', '201 09:01, Bench A']);
    is(place.querySelectorAll('.stands').length, 1);
    drawHistory(place, []);
    is(place.hidden, true);
  },
};
