import { saysLime } from '/static/js/findings/lime.js';

export const tests = {
  'a chart says where pH begins and ends': (is) => {
    is(saysLime({ product: 'Limestone', unit: 'g/L', curve: [[0, 4.61], [3, 6.1], [6, 7.6]] }), 'pH over Limestone: from 4.61 at 0 to 7.60 at 6 g/L.');
    is(saysLime({ product: 'Sulfur', unit: 'g/L', curve: [] }), 'pH over Sulfur, every jar; no curve.');
  },
};
