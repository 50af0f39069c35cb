// pH over the amount of lime: every jar, and the monotone curve through the means.

import { drawing, nameAlong, nameUp } from '../kit/chart.js';

const d3 = globalThis.d3;
const LEFT = 56;
const TOP = 26;
const HIGH = 250;
const FOOT = 44;

/** What the chart says, for those who can't see it. */
export function saysLime({ product, unit, curve }) {
  if (!curve.length) return `pH over ${product}, every jar; no curve.`;
  const [first, last] = [curve[0], curve.at(-1)];
  return `pH over ${product}: from ${first[1].toFixed(2)} at ${first[0]} to ${last[1].toFixed(2)} at ${last[0]} ${unit}.`;
}

export function draw(place, chart) {
  const wide = Math.max(300, place.clientWidth);
  const svg = drawing(place, wide, TOP + HIGH + FOOT, saysLime(chart));
  const x = d3.scaleLinear().domain(d3.extent(chart.points, (p) => p.x)).nice(5).range([LEFT + 8, wide - 20]);
  const y = d3.scaleLinear().domain(d3.extent(chart.points, (p) => p.y)).nice(5).range([TOP + HIGH, TOP]);
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${TOP + HIGH})`).call(d3.axisBottom(x).ticks(Math.max(3, wide / 120)));
  svg.append('g').attr('class', 'axis').attr('transform', `translate(${LEFT},0)`).call(d3.axisLeft(y).ticks(5).tickSize(-(wide - LEFT - 20))).select('.domain').remove();
  nameUp(svg, TOP - 12, 'pH', '');
  nameAlong(svg, wide - 20, TOP + HIGH + 38, chart.product, chart.unit);
  svg.append('path').attr('class', 'curve').attr('d', d3.line().x((c) => x(c[0])).y((c) => y(c[1]))(chart.curve));
  svg.selectAll('.dose-point').data(chart.points).join('circle').attr('class', 'dose-point').attr('r', 5)
    .attr('fill', (p) => `url(#tex-${p.number})`).attr('cx', (p) => x(p.x)).attr('cy', (p) => y(p.y))
    .append('title').text((p) => `${p.unit}: pH ${p.y} at ${p.x} ${chart.unit}`);
}
