// Pots side by side: to one scale, each with its outline, and in words.

import { outline, saysColumn, scaleFor } from '/static/js/column/column.js';

const straight = { name: 'as it is', depth: 10, outline: [[0, 5], [10, 5]], water: '50 %', foot: '2.0 cm' };
const wide = { name: 'half as deep', depth: 5, outline: [[0, 7], [5, 7]], water: '60 %', foot: '2.0 cm' };

export const tests = {
  'fits all pots in both ways'(is) {
    is(scaleFor([straight, wide], 300, 1000, 20), 10);
    is(scaleFor([straight, wide], 3000, 100, 20), 10);
  },
  'draws a pot from its left rim down and up to its right one'(is) {
    is(outline(straight, 100, 200, 10), 'M50.0,100.0L50.0,200.0L150.0,200.0L150.0,100.0');
  },
  'says what each holds'(is) {
    is(saysColumn([straight, wide]), 'as it is: 50 % water, wet foot to 2.0 cm; half as deep: 60 % water, wet foot to 2.0 cm');
  },
};
