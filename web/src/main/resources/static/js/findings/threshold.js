// Yield over salinity: every unit, the yield that holds and then falls, the threshold with its interval, and half the yield.

import { drawing, nameAlong, nameUp } from '../kit/chart.js';

const d3 = globalThis.d3;
const LEFT = 62;
const TOP = 26;
const HIGH = 260;
const FOOT = 44;

/** The fitted yield as corners of its line, up to a salinity; never below none. */
export function corners({ highest, threshold, slope }, from, to) {
  const gone = threshold + 100 / slope;
  const at = (x) => highest * Math.max(0, 1 - (slope / 100) * Math.max(0, x - threshold));
  return [from, threshold, Math.min(gone, to), to].filter((x, i, all) => x >= from && x <= to && all.indexOf(x) === i).map((x) => [x, at(x)]);
}

/** What the chart says, for those who can't see it. */
export function saysThreshold({ label, axis, axisUnit, line }) {
  return line
    ? `${label} over ${axis}: holds up to ${line.threshold.toFixed(2)} ${axisUnit}, then falls by ${line.slope.toFixed(1)} % for each; half at ${line.half.toFixed(2)} ${axisUnit}.`
    : `${label} over ${axis}, every unit; no threshold can be told.`;
}

export function draw(place, chart) {
  const wide = Math.max(300, place.clientWidth);
  const svg = drawing(place, wide, TOP + HIGH + FOOT, saysThreshold(chart));
  const x = d3.scaleLinear().domain([0, d3.max(chart.points, (p) => p.x) || 1]).nice(6).range([LEFT, wide - 20]);
  const y = d3.scaleLinear().domain([0, d3.max(chart.points, (p) => p.y) || 1]).nice(5).range([TOP + HIGH, TOP]);
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${TOP + HIGH})`).call(d3.axisBottom(x).ticks(Math.max(3, wide / 110)));
  svg.append('g').attr('class', 'axis').attr('transform', `translate(${LEFT},0)`).call(d3.axisLeft(y).ticks(5).tickSize(-(wide - LEFT - 20))).select('.domain').remove();
  nameUp(svg, TOP - 12, chart.label, chart.unit);
  nameAlong(svg, wide - 20, TOP + HIGH + 38, chart.axis, chart.axisUnit);
  if (chart.line) fitted(svg, chart.line, x, y);
  else joined(svg, chart.means, x, y);
  svg.selectAll('.dose-point').data(chart.points).join('circle').attr('class', 'dose-point').attr('r', 5)
    .attr('fill', (p) => `url(#tex-${p.number})`).attr('cx', (p) => x(p.x)).attr('cy', (p) => y(p.y))
    .append('title').text((p) => `${p.unit}: ${p.y} ${chart.unit} at ${p.x} ${chart.axisUnit}`);
}

// Where no line goes through them, what was seen at each strength is the answer.
function joined(svg, means, x, y) {
  svg.append('path').attr('class', 'curve').attr('stroke-dasharray', '5 4').attr('d', d3.line().x((c) => x(c[0])).y((c) => y(c[1]))(means));
}

function fitted(svg, line, x, y) {
  const [from, to] = x.domain();
  const left = line.low ?? from;
  const right = line.high ?? to;
  svg.append('rect').attr('class', 'curve-band').attr('x', x(left)).attr('y', TOP).attr('width', Math.max(1, x(right) - x(left))).attr('height', HIGH);
  svg.append('path').attr('class', 'curve').attr('d', d3.line().x((c) => x(c[0])).y((c) => y(c[1]))(corners(line, from, to)));
  mark(svg, line.threshold, 'threshold', TOP + 14, x, to);
  if (line.half <= to) mark(svg, line.half, 'half', TOP + 30, x, to);
}

function mark(svg, at, words, height, x, to) {
  svg.append('line').attr('class', 'threshold').attr('x1', x(at)).attr('x2', x(at)).attr('y1', TOP).attr('y2', TOP + HIGH);
  const late = at > to * 0.8;
  svg.append('text').attr('class', 'says').attr('x', x(at) + (late ? -5 : 5)).attr('y', height).attr('text-anchor', late ? 'end' : 'start').text(words);
}
