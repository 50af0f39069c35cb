// Injury over the days between treatment and sowing: treated and untreated pots side by side, the limit, the curve of the
// decline, and from when on all was clean; under it what is left of a substance, as a band for a range of half-lives.

import { drawing, nameAlong, nameUp } from '../kit/chart.js';

const d3 = globalThis.d3;
const LEFT = 62;
const TOP = 26;
const HIGH = 230;
const GAP = 34;
const STRIP = 54;
const FOOT = 40;
const APART = 6;

/** What the chart says, for those who can't see it. */
export function saysPlantBack({ label, limit, unit, cleanFrom, sowings }) {
  const clean = cleanFrom === undefined || cleanFrom === null
    ? 'no sowing is shown clean to the end'
    : `clean from ${cleanFrom} ${cleanFrom === 1 ? 'day' : 'days'} on`;
  return `${label} of ${sowings.length} sowings after the treatment, every pot; limit ${limit} ${unit} above the untreated; ${clean}.`;
}

/** Places of points that share a day and a value, spread to the sides so that each can be counted. */
export function spread(points) {
  const seen = new Map();
  return points.map((point) => {
    const key = `${point.treated}/${point.value}`;
    const before = seen.get(key) ?? 0;
    seen.set(key, before + 1);
    return { ...point, aside: (point.treated ? 1 : -1) * (APART + before * 9) };
  });
}

export function draw(place, chart) {
  const wide = Math.max(300, place.clientWidth);
  const svg = drawing(place, wide, TOP + HIGH + GAP + STRIP + FOOT, saysPlantBack(chart));
  const last = d3.max(chart.sowings, (s) => s.days) || 1;
  const x = d3.scaleLinear().domain([-last * 0.06, last * 1.06]).range([LEFT, wide - 20]);
  const y = d3.scaleLinear().domain([0, 10]).range([TOP + HIGH, TOP]);
  if (chart.cleanFrom !== null && chart.cleanFrom !== undefined) clean(svg, chart.cleanFrom, x);
  svg.append('g').attr('class', 'axis').attr('transform', `translate(${LEFT},0)`).call(d3.axisLeft(y).ticks(5).tickSize(-(wide - LEFT - 20))).select('.domain').remove();
  nameUp(svg, TOP - 12, chart.label, chart.unit);
  svg.append('line').attr('class', 'threshold').attr('x1', LEFT).attr('x2', wide - 20).attr('y1', y(chart.limit)).attr('y2', y(chart.limit));
  svg.append('text').attr('class', 'says').attr('x', wide - 22).attr('y', y(chart.limit) - 5).attr('text-anchor', 'end').text('limit above the untreated');
  if (chart.curve.length) svg.append('path').attr('class', 'curve').attr('d', d3.line().x((c) => x(c[0])).y((c) => y(c[1]))(chart.curve));
  chart.sowings.forEach((sowing) => {
    svg.append('g').selectAll('circle').data(spread(sowing.points)).join('circle')
      .attr('class', (p) => `dose-point ${p.treated ? '' : 'hollow'}`).attr('r', (p) => (p.treated ? 5 : 4))
      .attr('fill', (p) => (p.treated ? `url(#tex-${p.number})` : null))
      .attr('cx', (p) => x(sowing.days) + p.aside).attr('cy', (p) => y(p.value))
      .append('title').text((p) => `${p.unit}, ${p.treated ? 'treated' : 'untreated'}: ${p.value} ${chart.unit}, sown after ${sowing.days} days`);
  });
  svg.append('text').attr('class', 'says').attr('x', LEFT + 6).attr('y', TOP + 12).text('● treated   ○ untreated twin');
  residue(svg, chart, x, wide);
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${TOP + HIGH + GAP + STRIP})`)
    .call(d3.axisBottom(x).tickValues(chart.sowings.map((s) => s.days)).tickFormat((d) => d));
  nameAlong(svg, wide - 20, TOP + HIGH + GAP + STRIP + 36, 'Sown after the treatment', 'days');
}

function clean(svg, from, x) {
  const right = x.range()[1];
  svg.append('rect').attr('class', 'clean-stretch').attr('x', x(from) - 12).attr('y', TOP).attr('width', right - x(from) + 12).attr('height', HIGH);
  svg.append('text').attr('class', 'says').attr('x', x(from) - 6).attr('y', TOP + 30).text(`clean from day ${from} on`);
}

function residue(svg, { left, halfLives }, x, wide) {
  const y = d3.scaleLinear().domain([0, 1]).range([TOP + HIGH + GAP + STRIP, TOP + HIGH + GAP]);
  svg.append('path').attr('class', 'curve-band').attr('d', d3.area().x((c) => x(c[0])).y0((c) => y(c[1])).y1((c) => y(c[2]))(left));
  svg.append('text').attr('class', 'says').attr('x', wide - 22).attr('y', TOP + HIGH + GAP - 4).attr('text-anchor', 'end').text(`left of a substance, half-life ${halfLives}`);
  svg.append('text').attr('x', LEFT - 8).attr('y', TOP + HIGH + GAP + 10).attr('text-anchor', 'end').text('all');
}
