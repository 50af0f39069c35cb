// How many units: the slider and the curve of what can be seen.

import { previews } from './preview.js';
import { drawing, nameAlong, nameUp } from '../kit/chart.js';

const WIDEST = 640;
const NARROWEST = 330;

/** As wide as there is room, so that words on a phone keep their size. */
const room = (place) => Math.max(NARROWEST, Math.min(WIDEST, place.clientWidth || WIDEST));

const HIGH = 214;
const EDGE = { top: 30, right: 18, bottom: 34, left: 44 };

/** The difference that can be seen against units of each; the difference that matters as a line across. */
export function drawSize(place, chart) {
  const d3 = globalThis.d3;
  const { points, here, matters, unit, mattersText } = chart;
  const now = points.find((p) => p.n === here);
  const says = now ? `${here} of each can see ${now.text}` : 'one of each can see nothing';
  const across = room(place);
  const svg = drawing(place, across, HIGH, `Difference that can be seen, against units of each: ${says}.`);
  const seen = points.map((p) => p.sees).concat(matters > 0 ? matters : []);
  const wide = Math.max(...seen) > 12 * Math.min(...seen); // so that the few that see little leave the rest readable
  const x = d3.scaleLinear([1, Math.max(20, here)], [EDGE.left, across - EDGE.right]);
  const y = (wide ? d3.scaleLog : d3.scaleLinear)([wide ? Math.min(...seen) / 1.2 : 0, Math.max(...seen)], [HIGH - EDGE.bottom, EDGE.top]);
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${HIGH - EDGE.bottom})`).call(d3.axisBottom(x).ticks(across / 60).tickSize(4));
  const left = svg.append('g').attr('class', 'axis').attr('transform', `translate(${EDGE.left},0)`)
    .call(d3.axisLeft(y).ticks(4, '~g').tickFormat((v) => (wide && !/^[125]/.test(v) ? '' : v)).tickSize(-(across - EDGE.left - EDGE.right)));
  left.select('.domain').remove();
  nameAlong(svg, across - EDGE.right, HIGH - 3, 'units of each treatment');
  nameUp(svg, 12, 'smallest difference seen four times in five', unit);
  if (matters > 0) {
    svg.append('line').attr('class', 'matters').attr('x1', EDGE.left).attr('x2', across - EDGE.right).attr('y1', y(matters)).attr('y2', y(matters));
    const under = matters < points.at(-1).sees; // where the curve leaves room for words
    svg.append('text').attr('class', 'matters').attr('x', under ? EDGE.left + 6 : across - EDGE.right).attr('y', y(matters) - 5).attr('text-anchor', under ? 'start' : 'end').text(`${mattersText} would matter`);
  }
  svg.append('path').attr('class', 'curve').attr('d', d3.line((p) => x(p.n), (p) => y(p.sees))(points));
  svg.selectAll('.dot').data(points).join('circle').attr('class', (p) => (p.n === here ? 'dot here' : 'dot'))
    .attr('r', (p) => (p.n === here ? 7 : 3)).attr('cx', (p) => x(p.n)).attr('cy', (p) => y(p.sees));
  if (now) svg.append('text').attr('class', 'here').attr('x', x(here) + 10).attr('y', y(now.sees) - 8).text(`${here} of each: ${now.text}`);
}

const LINE = 16;
const WORDS = 96;

/** Simulated runs of the plan, a ruler each: what was seen, its interval, what it would have said. */
export function drawRulers(place, chart) {
  const d3 = globalThis.d3;
  const { rulers, truth, matters, unit } = chart;
  const high = EDGE.top + rulers.length * LINE + EDGE.bottom;
  const said = d3.rollups(rulers, (runs) => runs.length, (run) => run.says).map(([says, n]) => `${n} ${says}`).join(', ');
  const across = room(place);
  const svg = drawing(place, across, high, `${rulers.length} simulated runs: ${said}.`);
  const ends = rulers.flatMap((run) => [run.low, run.high]).concat(0, truth, matters, -matters);
  const x = d3.scaleLinear(d3.extent(ends), [10, across - EDGE.right - WORDS]).nice();
  const foot = high - EDGE.bottom;
  const band = (from, to, name) => svg.append('rect').attr('class', name).attr('x', x(from)).attr('width', x(to) - x(from)).attr('y', EDGE.top - 8).attr('height', foot - EDGE.top + 8);
  if (matters > 0) band(-matters, matters, 'within');
  for (const [value, name] of [[0, 'nought'], [truth, 'truth']]) {
    svg.append('line').attr('class', name).attr('x1', x(value)).attr('x2', x(value)).attr('y1', EDGE.top - 8).attr('y2', foot);
  }
  const row = svg.selectAll('.ruler').data(rulers).join('g').attr('class', (run) => `ruler ${run.answer}`)
    .attr('transform', (run, i) => `translate(0,${EDGE.top + i * LINE + LINE / 2 - 6})`);
  row.append('line').attr('x1', (run) => x(run.low)).attr('x2', (run) => x(run.high));
  row.append('circle').attr('r', 3.5).attr('cx', (run) => x(run.seen));
  row.append('text').attr('x', across - EDGE.right - WORDS + 12).attr('dy', '.32em').text((run) => run.says);
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${foot})`).call(d3.axisBottom(x).ticks(across / 100).tickSize(4).tickFormat((v) => `${v > 0 ? '+' : ''}${d3.format('~g')(v)}`));
  nameAlong(svg, across - EDGE.right, high - 3, `difference, ${unit}; dashed: the supposed truth`);
}

function draw(preview) {
  const place = preview.querySelector('[data-size]');
  const chart = JSON.parse(place.dataset.size);
  drawSize(place, chart);
  matter = chart.matters;
  const rulers = preview.querySelector('[data-rulers]');
  if (rulers) drawRulers(rulers, JSON.parse(rulers.dataset.rulers));
}

let matter = -1;

const slider = document.getElementById('slider');
const number = document.getElementById('replicates');
const form = document.querySelector('form[data-preview]');
slider.addEventListener('input', () => { number.value = slider.value; });
number.addEventListener('input', () => { if (/^\d{1,2}$/.test(number.value)) slider.value = number.value; });
for (const button of document.querySelectorAll('[data-suppose]')) {
  button.addEventListener('click', () => {
    const truth = document.getElementById('truth');
    truth.value = button.dataset.suppose === '0' ? '0' : matter > 0 ? String(+(matter * Number(button.dataset.suppose)).toPrecision(4)) : '';
    truth.dispatchEvent(new Event('input', { bubbles: true }));
  });
}
previews(form, draw);
draw(document.getElementById('preview'));
