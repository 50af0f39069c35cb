import { saysDoses, spread, strips } from '/static/js/findings/dose.js';

const words = { noec: '0.5 %', loec: '1 %', ec10: '1.04 %', ec50: '2.49 %', rate: '0.25 %' };

export const tests = {
  'what was not found has no row under the axis': (is) => {
    is(strips({ noec: 4, rate: 2 }).map((row) => row.name), ['no harm', 'work with']);
    is(strips({ ec10: { dose: 1, low: 0.9, high: 1.2 }, loec: 1 }, 0.5).map((row) => row.name), ['EC10', 'harm', 'label']);
  },
  'an effective dose keeps its interval': (is) => {
    const [row] = strips({ ec50: { dose: 2, low: 1, high: 3 } });
    is([row.dose, row.low, row.high], [2, 1, 3]);
  },
  'equal readings of a dose stand beside each other': (is) => {
    const off = spread([{ dose: 1, value: 0 }, { dose: 1, value: 0 }, { dose: 1, value: 0 }, { dose: 1, value: 3 }, { dose: 2, value: 0 }]).map((point) => point.off);
    is(new Set(off.slice(0, 3)).size, 3);
    is([off[0], off[3], off[4]], [0, 0, 0]);
  },
  'a chart says its doses': (is) => {
    const line = { name: 'pea', looks: [{ words }] };
    is(
      saysDoses({ label: 'Injury', factor: 'Vinegar', looks: ['day 10'], lines: [line] }, line, 0),
      'Injury over Vinegar at day 10, pea. NOEC 0.5 %, LOEC 1 %, EC10 1.04 %, EC50 2.49 %. To work with: 0.25 %.',
    );
  },
};
