// Differences from the comparator with their intervals, beside 0 and the band in which a difference does not matter.

import { drawing } from '../kit/chart.js';

const d3 = globalThis.d3;
const NARROW = 560;
const STEP = 34;
const HEAD = 14;
const FOOT = 44;

const WORDS = { BETTER: 'better', WORSE: 'worse', NO_DIFFERENCE: 'no difference that matters', CANT_TELL: "can't tell" };

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
  const step = narrow ? STEP + 20 : STEP;
  const high = HEAD + chart.rows.length * step;
  const svg = drawing(place, wide, high + FOOT, `Differences in ${chart.label}, 95 % intervals. ${saysContrasts(chart)}`);
  const x = d3.scaleLinear().domain(stretch(chart.rows)).range([left, wide - 16]).nice();
  axis(svg, x, high, chart, narrow);
  const several = new Set(chart.rows.map((row) => row.comparator)).size > 1;
  chart.rows.forEach((row, i) => drawRow(svg, row, x, HEAD + i * step, step, { narrow, left, several }));
  svg.append('line').attr('class', 'nought').attr('x1', x(0)).attr('x2', x(0)).attr('y1', HEAD - 8).attr('y2', high);
}

function axis(svg, x, high, chart, narrow) {
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${high})`)
    .call(d3.axisBottom(x).ticks(narrow ? 5 : 9).tickSize(5).tickFormat((v) => (v > 0 ? `+${v}` : `${v}`.replace('-', '−'))));
  svg.append('text').attr('class', 'says').attr('x', x.range()[1]).attr('y', high + 38).attr('text-anchor', 'end')
    .text(`difference, ${chart.unit || 'as measured'}${chart.rows.some((row) => row.margin !== undefined) ? '; shaded: too small to matter' : ''}`);
}

function drawRow(svg, row, x, y, step, { narrow, left, several }) {
  const middle = y + (narrow ? step - 14 : step / 2);
  if (row.margin !== undefined) {
    svg.append('rect').attr('class', 'margin-band').attr('x', x(-row.margin)).attr('width', x(row.margin) - x(-row.margin))
      .attr('y', middle - 11).attr('height', 22);
  }
  const name = `${row.treatment.code} ${row.treatment.name}${several || narrow ? `, beside ${row.comparator}` : ''}`;
  const words = svg.append('text').attr('class', 'name').attr('x', narrow ? left : 0).attr('y', narrow ? y + 12 : middle + 4).text(clipped(name, narrow ? 44 : left / 7.6));
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

function clipped(text, letters) {
  return text.length > letters ? `${text.slice(0, Math.max(8, Math.floor(letters)) - 1)}…` : text;
}
