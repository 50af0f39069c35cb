// What the plant-back chart says, and that pots on one spot can be counted.

import { saysPlantBack, spread } from '/static/js/findings/plantback.js';

export const tests = {
  'says from when on all was clean'(is) {
    const chart = { label: 'Injury', unit: 'points', limit: 2, cleanFrom: 6, sowings: [{}, {}, {}] };
    is(saysPlantBack(chart), 'Injury of 3 sowings after the treatment, every pot; limit 2 points above the untreated; clean from 6 days on.');
    is(saysPlantBack({ ...chart, cleanFrom: null }).endsWith('no sowing is shown clean to the end.'), true);
  },
  'parts pots on one spot, treated to the right and untreated to the left'(is) {
    const at = spread([{ treated: true, value: 2 }, { treated: true, value: 2 }, { treated: false, value: 2 }]);
    is(at.map((p) => p.aside), [6, 15, -6]);
  },
};
