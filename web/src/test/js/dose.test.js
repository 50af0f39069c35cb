import { saysTimes } from '/static/js/findings/dosetimes.js';
import { saysDoses, spread, strips } from '/static/js/findings/doses.js';

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
    const look = { look: 'day 10', noec: 0.5, loec: 1, ec50: { dose: 2.49 }, rate: 0.25 };
    is(
      saysDoses({ name: 'pea', label: 'Injury', factor: 'Vinegar', doseUnit: '%', looks: [look] }, 0),
      'Injury over Vinegar at day 10, pea. EC50 2.49 %, no harm 0.5 %, harm 1 %, work with 0.25 %',
    );
    is(saysDoses({ name: '', label: 'Injury', factor: 'Vinegar', doseUnit: '%', looks: [{ look: 'day 1' }] }, 0), 'Injury over Vinegar at day 1. No dose can be told.');
  },
  'doses over time are said look by look': (is) => {
    is(saysTimes([{ look: 'day 1', noec: 4 }, { look: 'day 7', ec10: { dose: 1.3 } }], '%'), 'EC10 and NOEC over time. day 1: NOEC 4 %, EC10 none. day 7: NOEC none, EC10 1.3 %');
  },
};
