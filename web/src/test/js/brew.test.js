import { saysBrews } from '/static/js/brew/course.js';
import { saysPoints } from '/static/js/tasting/points.js';
import { saysTruth } from '/static/js/practice/truth.js';

const swatch = { code: 'A', name: 'none', number: 1, tint: 'WATER' };

export const tests = {
  'brews say their lowest oxygen, and when it fell below the rule': (is) => {
    const line = (code, ...oxygen) => ({ code, swatch, points: oxygen.map((value, hours) => ({ hours, oxygen: value })) });
    is(saysBrews({ least: 6, lines: [line('K34', 8.2, 7.1), line('T27', 7.9, 5.25)] }),
      'K34 none: lowest oxygen 7.1 mg/L. T27 none: lowest oxygen 5.3 mg/L, below the stop rule');
    is(saysBrews({ least: 6, lines: [line('K34'), { ...line('T27'), points: [{ hours: 1, temperature: 21 }] }] }), 'T27: no oxygen read');
  },
  'a tasting says every taster': (is) => {
    is(saysPoints({ ranks: false, names: ['plain', 'weak'], rows: [[7, 6], [8, 5]] }), 'plain: points 7, 8. weak: points 6, 5');
  },
  'the truth is said beside the units': (is) => {
    is(saysTruth({ unit: 'Fresh mass, g', rows: [{ swatch, truth: 11.5, figures: [12, 10.25] }] }),
      'none: truly 11.5, units 12.0, 10.3. Fresh mass, g');
  },
};
