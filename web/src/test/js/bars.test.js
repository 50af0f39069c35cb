import { saysBars } from '/static/js/findings/bars.js';

export const tests = {
  'bars say what came out and what it is beside the control': (is) => {
    const treatment = (name) => ({ name });
    is(saysBars({ unit: 'g', decimals: 1, bars: [{ treatment: treatment('kelp'), value: 13.4, change: '+34 %' }, { treatment: treatment('none'), value: 10, change: '' }] }),
      'kelp: 13.4 g, +34 %. none: 10.0 g');
  },
};
