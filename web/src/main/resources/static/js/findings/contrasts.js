// Differences from the comparator with their intervals, beside 0 and the band in which a difference does not matter.

import { drawing, lines, nameAlong, writeLines } from '../kit/chart.js';

const d3 = globalThis.d3;
const NARROW = 560;
const STEP = 34;
const LINE = 17;
const LETTER = 7.6;
const KEY = 22;
const HEAD = 14;
const FOOT = 44;

const WORDS = { BETTER: 'better', WORSE: 'worse', NO_DIFFERENCE: 'no difference that matters', CANT_TELL: "can't tell" };

/** As many ticks as their figures have room for. */
export function room(x, most) {
  const [left, right] = x.range();
  for (let n = most; n > 2; n -= 1) {
    const ticks = x.ticks(n);
    const longest = Math.max(...ticks.map((one) => `${one}`.length)) + 2;
    if (ticks.length * longest * LETTER <= right - left) return n;
  }
  return 2;
}

/** What a chart says, for those who can't see it. */
export function saysContrasts({ unit, rows }) {
  return rows
    .map((row) => `${row.treatment.name} beside ${row.comparator}: ${ends(row)} ${unit}, ${WORDS[row.answer]}`)
    .join('. ');
}

function ends({ low, high }) {
  if (low === undefined) return high === undefined ? 'no bound' : `up to ${high.toFixed(1)}`;
  return high === undefined ? `${low.toFixed(1)} or more` : `${low.toFixed(1)} to ${high.toFixed(1)}`;
}

/** The stretch an axis must show: all intervals, both margins, and 0. */
export function stretch(rows) {
  const values = rows.flatMap(({ low, high, difference, margin }) => [low, high, difference, margin, margin === undefined ? undefined : -margin]).filter((v) => v !== undefined);
  const low = Math.min(0, ...values);
  const high = Math.max(0, ...values);
  const room = (high - low || 1) * 0.06;
  return [low - room, high + room];
}

export function draw(place, chart) {
  if (!chart.rows.length) return;
  const wide = Math.max(300, place.clientWidth);
  const narrow = wide < NARROW;
  const left = narrow ? 12 : Math.min(340, wide * 0.36);
  const several = new Set(chart.rows.map((row) => row.comparator)).size > 1;
  const letters = (narrow ? wide - 24 : left - 8) / LETTER;
  const most = Math.max(...chart.rows.map((row) => lines(nameOf(row, several || narrow), letters).length));
  const step = (narrow ? STEP + 20 : STEP) + (most - 1) * LINE;
  const high = HEAD + chart.rows.length * step;
  const svg = drawing(place, wide, high + FOOT + KEY, `Differences in ${chart.label}, 95 % intervals. ${saysContrasts(chart)}`);
  const x = d3.scaleLinear().domain(stretch(chart.rows)).range([left, wide - 16]).nice();
  axis(svg, x, high, chart, narrow);
  chart.rows.forEach((row, i) => drawRow(svg, row, x, HEAD + i * step, step, { narrow, left, letters, name: nameOf(row, several || narrow) }));
  key(svg, [...new Set(chart.rows.map((row) => row.answer))], left, high + FOOT + KEY - 6);
  svg.append('line').attr('class', 'nought').attr('x1', x(0)).attr('x2', x(0)).attr('y1', HEAD - 8).attr('y2', high);
}

function axis(svg, x, high, chart, narrow) {
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${high})`)
    .call(d3.axisBottom(x).ticks(room(x, narrow ? 5 : 9)).tickSize(5).tickFormat((v) => (v > 0 ? `+${v}` : `${v}`.replace('-', '−'))));
  const shaded = chart.rows.some((row) => row.margin !== undefined) ? '; shaded: too small to matter' : '';
  nameAlong(svg, x.range()[1], high + 38, narrow ? 'difference' : `${chart.label}, difference`, `${chart.unit || 'as measured'}${narrow ? '' : shaded}`);
}

function drawRow(svg, row, x, y, step, { narrow, left, letters, name }) {
  const middle = y + (narrow ? step - 14 : step / 2);
  if (row.margin !== undefined) {
    svg.append('rect').attr('class', 'margin-band').attr('x', x(-row.margin)).attr('width', x(row.margin) - x(-row.margin))
      .attr('y', middle - 11).attr('height', 22);
  }
  const words = writeLines(svg, name, letters, narrow ? left : 0, narrow ? y + (step - 32) / 2 : middle, LINE);
  words.append('title').text(`${row.treatment.name} beside ${row.comparator}`);
  const [from, to] = x.range();
  const low = row.low === undefined ? from : x(row.low);
  const high = row.high === undefined ? to : x(row.high);
  const group = svg.append('g').attr('class', `contrast ${row.answer.toLowerCase()}`);
  group.append('line').attr('x1', low).attr('x2', high).attr('y1', middle).attr('y2', middle);
  [[row.low, low], [row.high, high]].forEach(([end, at]) => {
    if (end !== undefined) group.append('line').attr('x1', at).attr('x2', at).attr('y1', middle - 5).attr('y2', middle + 5);
  });
  if (row.difference !== undefined) group.append('path').attr('d', mark(row.answer)).attr('transform', `translate(${x(row.difference)},${middle})`);
}

/** Shapes that tell answers apart without colour: up, down, square, ring. */
function mark(answer) {
  return { BETTER: 'M0-7L7 6H-7Z', WORSE: 'M0 7L7-6H-7Z', NO_DIFFERENCE: 'M-5.500-5.500h11v11h-11Z', CANT_TELL: 'M-6 0a6 6 0 1 0 12 0a6 6 0 1 0-12 0Z' }[answer];
}

const nameOf = (row, beside) => `${row.treatment.code} ${row.treatment.name}${beside ? `, beside ${row.comparator}` : ''}`;

/** The shapes that occur, in words. */
function key(svg, answers, left, y) {
  let x = left;
  ['BETTER', 'WORSE', 'NO_DIFFERENCE', 'CANT_TELL'].filter((answer) => answers.includes(answer)).forEach((answer) => {
    svg.append('g').attr('class', `contrast ${answer.toLowerCase()}`).append('path').attr('d', mark(answer)).attr('transform', `translate(${x + 8},${y - 4}) scale(0.8)`);
    svg.append('text').attr('x', x + 20).attr('y', y).text(WORDS[answer]);
    x += 34 + WORDS[answer].length * 7;
  });
}
