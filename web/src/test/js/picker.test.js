// Symptoms as text, as it could be typed.

import { read, write } from '/static/js/bench/picker.js';

export const tests = {
  'reads a number with symptoms'(is) {
    is(read('7 cupped, twisted'), { number: '7', symptoms: ['cupped', 'twisted'] });
    is(read('0'), { number: '0', symptoms: [] });
    is(read('3 points brown roots'), { number: '3', symptoms: ['brown roots'] });
    is(read('cupped'), { number: '', symptoms: ['cupped'] });
    is(read(''), { number: '', symptoms: [] });
  },
  'writes what it reads'(is) {
    is(write('7', ['cupped', 'twisted']), '7 cupped, twisted');
    is(write('', ['cupped']), 'cupped');
    is(write('0', []), '0');
  },
};
