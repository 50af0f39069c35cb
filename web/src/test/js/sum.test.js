// What a sheet remembers of the last time.

import { lastTime, placeOf } from '/static/js/sums/sum.js';

export const tests = {
  'offers what was typed before'(is) {
    is(lastTime('/sums/ratio', '?ratio=2%3A1', ''), '/sums/ratio?ratio=2%3A1');
  },
  'offers nothing that stands there already, and nothing at first'(is) {
    is(lastTime('/sums/ratio', '?a=1', '?a=1'), '');
    is(lastTime('/sums/ratio', null, ''), '');
  },
  'keeps each sheet apart'(is) {
    is(placeOf('ratio') === placeOf('feed'), false);
  },
};
