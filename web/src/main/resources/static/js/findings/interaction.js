// Means of a factorial: a line for each level of one factor over the levels of the other. Lines that run alike say that
// the factors do not act together.

import { apart, dash, drawing, nameAlong, nameUp } from '../kit/chart.js';

const d3 = globalThis.d3;
const HIGH = 240;
const LEFT = 52;
const RIGHT = 180;
const NARROW = 560;

/** What a chart says, for those who can't see it. */
export function saysInteraction({ unit, across, lines }) {
  return lines
    .map((line) => `${line.name}: ${line.means.map((mean, i) => `${across[i]} ${mean.value === undefined ? 'not there' : `${mean.value.toFixed(1)} ${unit}`}`).join(', ')}`)
    .join('. ');
}

export function draw(place, chart) {
  const wide = Math.min(820, Math.max(300, place.clientWidth));
  const narrow = wide < NARROW;
  const right = narrow ? 16 : RIGHT;
  const foot = narrow ? 40 + chart.lines.length * 20 : 40;
  const svg = drawing(place, wide, HIGH + foot + 20, `Means of ${chart.label}. ${saysInteraction(chart)}`);
  const values = chart.lines.flatMap((line) => line.means.map((mean) => mean.value)).filter((v) => v !== undefined);
  const x = d3.scalePoint().domain(chart.across).range([LEFT, wide - right]).padding(0.25);
  const y = d3.scaleLinear().domain([Math.min(0, d3.min(values)), d3.max(values) || 1]).nice(5).range([HIGH, 18]);
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${HIGH})`).call(d3.axisBottom(x).tickSize(4));
  const scale = svg.append('g').attr('class', 'axis').attr('transform', `translate(${LEFT},0)`).call(d3.axisLeft(y).ticks(5).tickSize(-(wide - right - LEFT)));
  scale.select('.domain').remove();
  nameUp(svg, 10, chart.label, chart.unit);
  nameAlong(svg, wide - right, HIGH + 36, chart.factor, '');
  ends(chart, y).forEach(({ line, i, at }) => {
    const known = line.means.map((mean, k) => ({ at: chart.across[k], value: mean.value })).filter((p) => p.value !== undefined);
    const group = svg.append('g').attr('class', `cell-line line-${i % 5}`);
    group.append('path').attr('d', d3.line().x((p) => x(p.at)).y((p) => y(p.value))(known)).attr('stroke-dasharray', dash(i));
    group.selectAll('circle').data(known).join('circle').attr('r', 5).attr('cx', (p) => x(p.at)).attr('cy', (p) => y(p.value));
    group.append('text').attr('class', 'name')
      .attr('x', narrow ? LEFT : x(known.at(-1).at) + 12).attr('y', narrow ? HIGH + 46 + i * 20 : at + 4)
      .text(narrow ? `${['—', '- -', '···', '-·-', '· ·'][i % 5]} ${line.name}` : line.name);
  });
}

/** Where each line's name stands: beside its last mean, moved apart where two would overlap. */
function ends(chart, y) {
  const placed = chart.lines
    .map((line, i) => ({ line, i, last: line.means.filter((mean) => mean.value !== undefined).at(-1) }))
    .filter((one) => one.last)
    .map((one) => ({ ...one, at: y(one.last.value) }));
  return apart(placed, 16);
}
