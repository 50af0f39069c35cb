// Every taster's points or ranks by sample: one dot a taster, the mean as a line.

import { drawing } from '../kit/chart.js';

const d3 = globalThis.d3;
const STEP = 44;

/** What the picture says, for those who can't see it. */
export function saysPoints({ ranks, names, rows }) {
  const what = ranks ? 'turned ranks' : 'points';
  return names.map((name, i) => `${name}: ${what} ${rows.map((row) => row[i]).join(', ')}`).join('. ');
}

function draw(place, chart) {
  const wide = Math.max(300, place.clientWidth);
  const narrow = wide < 560;
  const left = narrow ? 12 : Math.min(260, wide * 0.3);
  const step = narrow ? STEP + 16 : STEP;
  const high = 10 + chart.names.length * step;
  const most = chart.ranks ? chart.names.length : 9;
  const svg = drawing(place, wide, high + 44, saysPoints(chart));
  const x = d3.scaleLinear().domain([0.5, most + 0.5]).range([left, wide - 16]);
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${high})`)
    .call(d3.axisBottom(x).tickValues(d3.range(1, most + 1)).tickSize(5).tickFormat((v) => (chart.ranks ? most + 1 - v : v)));
  svg.append('text').attr('class', 'says').attr('x', wide - 16).attr('y', high + 36).attr('text-anchor', 'end')
    .text(chart.ranks ? 'place; 1 is best' : 'points; 9 is like very much');
  chart.names.forEach((name, i) => {
    const middle = 10 + i * step + (narrow ? step - 18 : step / 2);
    svg.append('text').attr('class', 'name').attr('x', narrow ? left : 0).attr('y', narrow ? middle - 22 : middle + 5).text(name.length > 30 ? `${name.slice(0, 29)}…` : name);
    const piles = new Map();
    const counts = d3.rollup(chart.rows, (rows) => rows.length, (row) => row[i]);
    const group = svg.append('g').attr('class', 'tint-WATER');
    chart.rows.forEach((row) => {
      const level = piles.get(row[i]) ?? 0;
      piles.set(row[i], level + 1);
      group.append('circle').attr('class', 'point').attr('r', 5).attr('cx', x(row[i]) + (level - (counts.get(row[i]) - 1) / 2) * Math.min(9, 50 / counts.get(row[i]))).attr('cy', middle);
    });
    const mean = d3.mean(chart.rows, (row) => row[i]);
    group.append('line').attr('class', 'mean').attr('x1', x(mean)).attr('x2', x(mean)).attr('y1', middle - 15).attr('y2', middle + 15);
  });
}

/** One ring a taster, filled for those who chose it; what guessing gets and what it takes stand under them. */
function drawChosen(place, chart) {
  const wide = Math.max(300, place.clientWidth);
  const step = Math.min(42, (wide - 30) / chart.of);
  const radius = Math.max(3, Math.min(13, step / 2 - 3));
  const x = (count) => 15 + count * step;
  const svg = drawing(place, wide, 96, `${chart.chosen} of ${chart.of} ${chart.label}; guessing gets ${chart.guess.toFixed(1)}${chart.least ? `, ${chart.least} are needed` : ''}.`);
  const group = svg.append('g').attr('class', 'tint-WATER');
  d3.range(chart.of).forEach((i) => {
    group.append('circle').attr('class', i < chart.chosen ? 'chose' : 'chose-not').attr('r', radius).attr('cx', x(i + 0.5)).attr('cy', 22);
  });
  [[chart.guess, 'guessing'], [chart.least, 'it takes']].filter(([count]) => count).forEach(([count, word], i) => {
    svg.append('line').attr('class', 'threshold').attr('x1', x(count)).attr('x2', x(count)).attr('y1', 2).attr('y2', 56 + i * 20);
    svg.append('text').attr('class', 'says').attr('x', x(count) + 5).attr('y', 56 + i * 20).text(`${word}: ${Number.isInteger(count) ? count : count.toFixed(1)}`);
  });
}

document.querySelectorAll('[data-points]').forEach((place) => {
  const chart = JSON.parse(place.dataset.points);
  if (chart.names) draw(place, chart);
  else drawChosen(place, chart);
});
