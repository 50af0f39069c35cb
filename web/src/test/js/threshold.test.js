import { corners, saysThreshold } from '/static/js/findings/threshold.js';

const line = { highest: 50, threshold: 2, slope: 20, half: 4.5 };

export const tests = {
  'yield holds, falls in a straight line, and ends at none': (is) => {
    is(corners(line, 0, 10), [[0, 50], [2, 50], [7, 0], [10, 0]]);
    is(corners(line, 0, 4.5), [[0, 50], [2, 50], [4.5, 25]]);
  },
  'a line that begins beyond its threshold falls from its first point': (is) => {
    is(corners({ ...line, threshold: 0 }, 0, 2.5), [[0, 50], [2.5, 25]]);
  },
  'a chart says its threshold, or that there is none': (is) => {
    is(saysThreshold({ label: 'Yield', axis: 'EC', axisUnit: 'mS/cm', line }), 'Yield over EC: holds up to 2.00 mS/cm, then falls by 20.0 % for each; half at 4.50 mS/cm.');
    is(saysThreshold({ label: 'Yield', axis: 'EC', axisUnit: 'mS/cm' }), 'Yield over EC, every unit; no threshold can be told.');
  },
};
