import { csvCell, csvOf, named, standing } from '/static/js/kit/keep.js';
import { span } from '/static/js/findings/scatter.js';

export const tests = {
  'numbers of a table stay numbers, whatever minus they have': (is) => {
    is(csvCell('−3.1'), '-3.1');
    is(csvCell('+12'), '12');
    is(csvCell(' 4.20 '), '4.20');
  },
  'text keeps its commas and is no formula': (is) => {
    is(csvCell('bark, fine'), '"bark, fine"');
    is(csvCell('a "b"'), 'a ""b""'.replace(/^/, '"').replace(/$/, '"'));
    is(csvCell('=1+1'), "'=1+1");
    is(csvCell('−0.2 to +0.4'), '−0.2 to +0.4');
    is(csvCell('+0.1 to +0.4'), "'+0.1 to +0.4");
  },
  'a table comes out row by row, spanned cells empty': (is) => {
    const table = document.createElement('table');
    table.innerHTML = '<tr><th>Treatment</th><th colspan="2">Height</th></tr><tr><td>none</td><td>3</td><td>± 1</td></tr>';
    is(csvOf(table), 'Treatment,Height,\r\nnone,3,± 1\r\n');
  },
  'a file is called by its heading': (is) => {
    is(named('Fresh mass · day 10', 'svg'), 'fresh-mass-day-10.svg');
    is(named('…', 'csv'), 'elsom.csv');
  },
  'a picture stands without its style sheet and leads nowhere': (is) => {
    const place = document.createElement('div');
    place.innerHTML = '<svg width="10" height="10"><a href="/x"><rect class="cell" width="4" height="4" fill="rgb(1, 2, 3)"></rect></a></svg>';
    document.body.append(place);
    const copy = standing(place.firstChild);
    is(copy.querySelector('rect').getAttribute('fill'), 'rgb(1, 2, 3)');
    is(copy.querySelector('rect').hasAttribute('class'), false);
    is(copy.querySelector('a').hasAttribute('href'), false);
    place.remove();
  },
  'an axis has room at both ends, also for one value': (is) => {
    is(span([0, 100]), [0, 106]);
    is(span([0, 100], 100), [0, 100]);
    is(span([-4, 96]), [-10, 102]);
    is(span([5, 5]).map((end) => Math.round(end * 100) / 100), [4.7, 5.3]);
  },
};
