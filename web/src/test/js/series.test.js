// What sensors and instruments decide in the browser: where a course is parted, and which instrument's button stands.

import { HandMeter } from '/static/js/bench/meter.js';
import { points } from '/static/js/series/points.js';

export const tests = {
  'a course is read as it was written'(is) {
    is(points('0 1.5;0.5 2;1 -0.25', 6), [{ hours: 0, value: 1.5 }, { hours: 0.5, value: 2 }, { hours: 1, value: -0.25 }]);
    is(points('', 6), []);
  },
  'a silence longer than that parts the line, one as long does not'(is) {
    is(points('0 1;6 2;13 3', 6).map((p) => p.value), [1, 2, null, 3]);
    is(points('0 1;6 2;13 3', Infinity).map((p) => p.value), [1, 2, 3]);
  },
  'the button of an instrument stands where one reads, with its name'(is) {
    const button = document.createElement('button');
    const meter = new HandMeter(button, () => ({}), () => {}, () => {});
    meter.stand('calliper');
    is([button.hidden, button.textContent], [false, 'Take from the calliper']);
    meter.stand('');
    is(button.hidden, true);
  },
};
