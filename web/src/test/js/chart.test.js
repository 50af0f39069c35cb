// What an axis says its unit is, so that a drawing can tell its scale in other measures.

import { unitNamed } from '/static/js/kit/chart.js';

const known = ['g', 'mL', 'cm', '°C'];

export const tests = {
  'finds the unit at the end of what an axis is called'(is) {
    is(unitNamed('g', known), 'g');
    is(unitNamed('Depth, cm', known), 'cm');
    is(unitNamed('difference, g; shaded: too small to matter', known), 'g');
  },
  'finds none in names and other units'(is) {
    is(unitNamed('EC at 3 cm', known), null);
    is(unitNamed('difference, mS/cm', known), null);
    is(unitNamed('Fresh mass', known), null);
  },
};
