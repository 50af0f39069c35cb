// Response over dose: every unit at its dose (the control at a broken zero), the curve with its band, and under the axis what
// is harmless, what harms, and what can be worked with. A slider goes from look to look.

import { drawing, nameAlong, nameUp } from '../kit/chart.js';

const d3 = globalThis.d3;
const LEFT = 92;
const ZERO = 34; // from the axis to the control's place
const BREAK = 44; // from the control's place to the lowest dose
const TOP = 26;
const HIGH = 250;
const FOOT = 46;
const STEP = 26;
const APART = 5;

const text = (dose) => String(Number(dose.toPrecision(3)));

/** The numbers below the axis, top to bottom; those that are not there are left out. */
export function strips(look, labelRate) {
  return [
    look.ec10 && { name: 'EC10', mark: 'circle', ...look.ec10 },
    look.ec50 && { name: 'EC50', mark: 'circle', ...look.ec50 },
    look.noec !== undefined && { name: 'no harm', mark: 'square', dose: look.noec },
    look.loec !== undefined && { name: 'harm', mark: 'triangle', kind: 'harm', dose: look.loec },
    look.rate !== undefined && { name: 'work with', mark: 'diamond', kind: 'work', dose: look.rate },
    labelRate !== undefined && { name: 'label', mark: 'square', dose: labelRate },
  ].filter(Boolean);
}

/** What a look's chart says, for those who can't see it. */
export function saysDoses(chart, index) {
  const look = chart.looks[index];
  const said = strips(look, chart.labelRate).map((one) => `${one.name} ${text(one.dose)} ${chart.doseUnit}`).join(', ');
  return `${chart.label} over ${chart.factor} at ${look.look}${chart.name ? `, ${chart.name}` : ''}. ${said || 'No dose can be told.'}`;
}

/** Positions of units of one dose beside each other, so that equal readings do not hide each other. */
export function spread(points) {
  const seen = new Map();
  return points.map((point) => {
    const key = `${point.dose} ${point.value}`;
    const nth = seen.get(key) ?? 0;
    seen.set(key, nth + 1);
    return { ...point, off: (nth % 2 ? -1 : 1) * Math.ceil(nth / 2) * APART };
  });
}

function scales(chart, wide) {
  const points = chart.looks.flatMap((look) => look.points);
  const positive = points.map((p) => p.dose).filter((dose) => dose > 0);
  const log = d3.scaleLog().domain([d3.min(positive), d3.max(positive)]).range([LEFT + ZERO + BREAK, wide - 30]);
  const x = (dose) => (dose > 0 ? Math.max(LEFT + ZERO / 2 + 8, log(dose)) : LEFT + ZERO / 2);
  const y = d3.scaleLinear().domain([Math.min(0, d3.min(points, (p) => p.value)), d3.max(points, (p) => p.value) || 1]).nice(5).range([TOP + HIGH, TOP]);
  return { x, y, doses: [...new Set(points.map((p) => p.dose))].sort((a, b) => a - b) };
}

function axes(svg, chart, { x, y, doses }, wide) {
  const left = svg.append('g').attr('class', 'axis').attr('transform', `translate(${LEFT},0)`).call(d3.axisLeft(y).ticks(5).tickSize(-(wide - LEFT - 14)));
  left.select('.domain').remove();
  nameUp(svg, TOP - 12, chart.label, chart.unit);
  const floor = svg.append('g').attr('class', 'axis');
  floor.append('line').attr('x1', LEFT).attr('x2', wide - 14).attr('y1', TOP + HIGH).attr('y2', TOP + HIGH);
  doses.forEach((dose) => {
    floor.append('line').attr('x1', x(dose)).attr('x2', x(dose)).attr('y1', TOP + HIGH).attr('y2', TOP + HIGH + 5);
    floor.append('text').attr('x', x(dose)).attr('y', TOP + HIGH + 19).attr('text-anchor', 'middle').text(text(dose));
  });
  const gap = LEFT + ZERO + BREAK / 3;
  svg.append('line').attr('class', 'gap').attr('x1', gap - 4).attr('x2', gap + 4).attr('y1', TOP + HIGH + 6).attr('y2', TOP + HIGH - 6);
  nameAlong(svg, wide - 14, TOP + HIGH + 37, chart.factor, chart.doseUnit);
}

function curveOf(svg, look, { x, y }) {
  const [control, ...rest] = look.curve;
  if (!control) return;
  const area = d3.area().x((s) => x(s[0])).y0((s) => y(s[2])).y1((s) => y(s[3]));
  const line = d3.line().x((s) => x(s[0])).y((s) => y(s[1]));
  svg.append('path').attr('class', 'curve-band').attr('d', area(rest));
  svg.append('path').attr('class', 'curve').attr('d', line(rest));
  svg.append('line').attr('class', 'curve').attr('x1', x(0) - 12).attr('x2', x(0) + 12).attr('y1', y(control[1])).attr('y2', y(control[1]));
}

function strip(svg, row, at, { x }) {
  svg.append('text').attr('x', LEFT - 8).attr('y', at + 4).attr('text-anchor', 'end').text(row.name);
  svg.append('line').attr('class', 'guide').attr('x1', LEFT).attr('x2', x(row.high ?? row.dose)).attr('y1', at).attr('y2', at);
  if (row.low !== undefined) svg.append('line').attr('class', 'strip-line').attr('x1', x(row.low)).attr('x2', x(row.high)).attr('y1', at).attr('y2', at);
  const shape = { circle: d3.symbolCircle, square: d3.symbolSquare, triangle: d3.symbolTriangle, diamond: d3.symbolDiamond }[row.mark];
  svg.append('path').attr('class', `strip-mark ${row.kind ?? ''}`).attr('d', d3.symbol(shape, 70)()).attr('transform', `translate(${x(row.dose)},${at})`);
}

export function draw(place, chart, index = chart.looks.length - 1) {
  const look = chart.looks[index];
  const wide = Math.max(300, place.clientWidth);
  const rows = strips(look, chart.labelRate);
  place.replaceChildren();
  const svg = drawing(place, wide, TOP + HIGH + FOOT + 6 * STEP, saysDoses(chart, index));
  const to = scales(chart, wide);
  axes(svg, chart, to, wide);
  curveOf(svg, look, to);
  svg.selectAll('.dose-point').data(spread(look.points)).join('circle').attr('class', 'dose-point').attr('r', 4.5)
    .attr('fill', (p) => `url(#tex-${p.number})`).attr('cx', (p) => to.x(p.dose) + p.off).attr('cy', (p) => to.y(p.value))
    .append('title').text((p) => `${p.unit}: ${p.value} ${chart.unit} at ${text(p.dose)} ${chart.doseUnit}`);
  rows.forEach((row, i) => strip(svg, row, TOP + HIGH + FOOT + 12 + i * STEP, to));
}
