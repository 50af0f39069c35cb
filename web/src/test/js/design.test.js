// An edge between two parts of a mix: what one gains the other loses.

import { moved } from '/static/js/designer/design.js';

export const tests = {
  'takes from the lower part what the upper one gains'(is) {
    is(moved(60, 40, 5), [65, 35]);
    is(moved(60, 40, -10), [50, 50]);
  },
  'leaves no part below nothing'(is) {
    is(moved(60, 40, 100), [100, 0]);
    is(moved(60, 40, -100), [0, 100]);
  },
  'keeps a tenth of a percent'(is) {
    is(moved(33.3, 33.4, 0.16), [33.5, 33.2]);
  },
  'leaves the others alone'(is) {
    const [upper, lower] = moved(20, 30, 7);
    is(upper + lower, 50);
  },
};
