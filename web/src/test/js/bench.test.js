// What the bench decides by itself: which key is an order, what a line of several plants is, and where arrows lead.

import { Asking } from '/static/js/bench/asking.js';
import { startsFresh } from '/static/js/bench/keys.js';
import { faceText } from '/static/js/bench/map.js';
import { waitingWords } from '/static/js/bench/outbox.js';
import { several } from '/static/js/bench/several.js';
import { inOrder } from '/static/js/bench/walk.js';
import { STEPS, neighbour, rove } from '/static/js/kit/mapkeys.js';
import { within } from '/static/js/photo/canopy.js';

const task = (code, endpoint, sub = 1, more = {}) => ({ key: `${code}/${endpoint}/${sub}`, code, endpoint, sub, possible: true, ...more });

/** A unit on the map as the arrows see it. */
function unit(row, column) {
  const cell = document.createElement('a');
  Object.assign(cell.dataset, { row, column, unit: `U${row}${column}` });
  return cell;
}

export const tests = {
  'a letter is an order only where nothing is begun'(is) {
    is(startsFresh({ value: '', selectionStart: 0, selectionEnd: 0 }), true);
    is(startsFresh({ value: '48', selectionStart: 0, selectionEnd: 2 }), true);
    is(startsFresh({ value: '48', selectionStart: 2, selectionEnd: 2 }), false);
  },
  'a line of numbers is one for each plant that is left'(is) {
    const plants = [1, 2, 3].map((sub) => task('K22', 'height', sub));
    is(several('42 38 45', plants).parts.map(({ task: one, text }) => [one.sub, text]), [[1, '42'], [2, '38'], [3, '45']]);
    is(several('42,5 38', plants).parts.map(({ text }) => text), ['42,5', '38']);
    is(several('42 38', plants.slice(1)).parts.map(({ task: one }) => one.sub), [2, 3]);
  },
  'more numbers than plants are asked about, and words are left to the server'(is) {
    const plants = [1, 2].map((sub) => task('K22', 'height', sub));
    is(several('1 2 3', plants).problem, '3 numbers, but 2 plants are left to read here.');
    is(several('4.2 cm', plants).parts.length, 1);
    is(several('1 lb 3 oz', [plants[0]]).parts[0].text, '1 lb 3 oz');
    is(several('bowl + greens 212, bowl 130', plants).parts.length, 1);
  },
  'a unit shows its one reading, or how many of several are done'(is) {
    is(faceText([task('K22', 'mass')]), '');
    is(faceText([task('K22', 'mass', 1, { current: { value: '301.2 g' } })]), '301.2');
    is(faceText([task('K22', 'injury', 1, { current: { value: '7 points, cupped leaf' } })]), '7');
    is(faceText([task('K22', 'height', 1, { current: { value: '4 cm' } }), task('K22', 'height', 2), task('K22', 'roots', 1, { possible: false })]), '1/2');
  },
  'what waits is counted in words'(is) {
    is(waitingWords(1).startsWith('No connection. One reading waits on this device and is sent'), true);
    is(waitingWords(4).includes('4 readings wait on this device and are sent'), true);
  },
  'arrows lead to the nearest unit that way, over gaps, and stop at the edge'(is) {
    const units = [unit(1, 1), unit(1, 3), unit(2, 1), unit(3, 3)];
    const from = (row, column, key) => neighbour(units, { row, column }, STEPS[key])?.dataset.unit ?? null;
    is(from(1, 1, 'ArrowRight'), 'U13');
    is(from(1, 3, 'ArrowDown'), 'U33');
    is(from(1, 1, 'ArrowDown'), 'U21');
    is(from(1, 1, 'ArrowUp'), null);
    is(from(3, 3, 'ArrowLeft'), null);
  },
  'a map is one stop of the Tab key'(is) {
    const units = [unit(1, 1), unit(1, 2)];
    rove(units, units[1]);
    is(units.map((one) => one.getAttribute('tabindex')), ['-1', '0']);
  },
  'units are walked one by one, or endpoint by endpoint, and back again'(is) {
    const tasks = [task('A', 'height'), task('A', 'leaves'), task('B', 'height'), task('B', 'leaves')];
    const keys = (list) => list.map((one) => one.key);
    const walked = inOrder(tasks, true);
    is(keys(walked), ['A/height/1', 'B/height/1', 'A/leaves/1', 'B/leaves/1']);
    is(keys(inOrder(walked, false)), keys(tasks));
  },
  'a question has a button for each answer, and none is left behind'(is) {
    const box = document.createElement('div');
    const asking = new Asking(box);
    const pressed = [];
    asking.ask('R87 has 301.2 g.', false, [{ label: 'Keep it', act: () => pressed.push('kept') }]);
    box.querySelector('button').click();
    is([box.hidden, pressed, box.querySelector('p').textContent], [false, ['kept'], 'R87 has 301.2 g.']);
    asking.ask('No number', true);
    is([box.querySelectorAll('button').length, box.classList.contains('bad')], [0, true]);
    asking.ask('');
    is(box.hidden, true);
  },
  'a card is tapped at a share of the photo, however large it is shown'(is) {
    is(within({ left: 100, top: 50, width: 400, height: 200 }, { clientX: 200, clientY: 150 }), { x: 0.25, y: 0.5 });
  },
};
