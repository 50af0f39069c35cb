import { next } from '/static/js/findings/grid.js';
import { saysContrasts, stretch } from '/static/js/findings/contrasts.js';
import { points, saysCourse } from '/static/js/findings/course.js';
import { saysInteraction } from '/static/js/findings/interaction.js';

const cells = [['a', 'b', 'c'], ['d', 'e'], ['f', 'g', 'h']];

export const tests = {
  'points are read from their text': (is) => {
    is(points('K34 6.0 41.2;K35 24.0 -3.0'), [{ unit: 'K34', hours: 6, value: 41.2 }, { unit: 'K35', hours: 24, value: -3 }]);
    is(points(''), []);
  },
  'a course names its threshold by what the trial calls it': (is) => {
    const line = { treatment: { name: 'bark' }, means: [{ look: 'day 2', value: 31.24 }], threshold: 20 };
    is(saysCourse({ unit: '%', threshold: 'wilting point', lines: [line] }), 'bark: 31.2 % at day 2, not yet under its wilting point');
    is(saysCourse({ unit: '%', threshold: 'wilting point', lines: [{ ...line, crossing: { hours: 60 } }] }), 'bark: 31.2 % at day 2, under its wilting point after 2.5 days');
  },
  'arrows go from number to number and stop at the edge': (is) => {
    is(next(cells, [0, 0], 'ArrowRight', false), [0, 1]);
    is(next(cells, [0, 0], 'ArrowUp', false), [0, 0]);
    is(next(cells, [0, 2], 'ArrowDown', false), [0, 2]);
    is(next(cells, [1, 1], 'ArrowDown', false), [2, 1]);
  },
  'Home and End go to the ends of a row, with Control of the table': (is) => {
    is(next(cells, [1, 1], 'Home', false), [1, 0]);
    is(next(cells, [0, 0], 'End', false), [0, 2]);
    is(next(cells, [1, 0], 'End', true), [2, 2]);
    is(next(cells, [2, 2], 'Home', true), [0, 0]);
  },
  'an axis shows every interval, both margins, and nothing of open ends': (is) => {
    const [low, high] = stretch([{ low: 1, high: 4, difference: 2, margin: 3 }, { high: 6 }]);
    is(low < -3 && high > 6, true);
  },
  'a chart says its intervals and answers': (is) => {
    const rows = [{ treatment: { name: 'dip' }, comparator: 'none', low: 1, high: 4, answer: 'BETTER' }, { treatment: { name: 'kelp' }, comparator: 'none', low: 2, answer: 'WORSE' }];
    is(saysContrasts({ unit: 'g', rows }), "dip beside none: 1.0 to 4.0 g, better. kelp beside none: 2.0 or more g, worse");
  },
  'an interaction says each mean, and what is not there': (is) => {
    is(
      saysInteraction({ unit: 'g', across: ['mould', 'hulls'], lines: [{ name: 'dip', means: [{ value: 4 }, {}] }] }),
      'dip: mould 4.0 g, hulls not there',
    );
  },
};
