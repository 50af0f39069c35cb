// Response over dose: every unit at its dose (the control at a broken zero), the curve with its band, and under the axis what
// is harmless, what harms, and what can be worked with. A slider goes from look to look.

import { drawing } from '../kit/chart.js';

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
export function saysDoses(chart, line, index) {
  const { words } = line.looks[index];
  return `${chart.label} over ${chart.factor} at ${chart.looks[index]}${line.name ? `, ${line.name}` : ''}. NOEC ${words.noec}, LOEC ${words.loec}, EC10 ${words.ec10}, EC50 ${words.ec50}. To work with: ${words.rate}.`;
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

function scales(line, wide) {
  const points = line.looks.flatMap((look) => look.points);
  const positive = points.map((p) => p.dose).filter((dose) => dose > 0);
  const log = d3.scaleLog().domain([d3.min(positive), d3.max(positive)]).range([LEFT + ZERO + BREAK, wide - 30]);
  const x = (dose) => (dose > 0 ? Math.max(LEFT + ZERO / 2 + 8, log(dose)) : LEFT + ZERO / 2);
  const y = d3.scaleLinear().domain([Math.min(0, d3.min(points, (p) => p.value)), d3.max(points, (p) => p.value) || 1]).nice(5).range([TOP + HIGH, TOP]);
  return { x, y, doses: [...new Set(points.map((p) => p.dose))].sort((a, b) => a - b) };
}

function axes(svg, chart, { x, y, doses }, wide) {
  const left = svg.append('g').attr('class', 'axis').attr('transform', `translate(${LEFT},0)`).call(d3.axisLeft(y).ticks(5).tickSize(-(wide - LEFT - 14)));
  left.select('.domain').remove();
  svg.append('text').attr('x', LEFT - 8).attr('y', TOP - 10).attr('text-anchor', 'end').text(chart.unit);
  const floor = svg.append('g').attr('class', 'axis');
  floor.append('line').attr('x1', LEFT).attr('x2', wide - 14).attr('y1', TOP + HIGH).attr('y2', TOP + HIGH);
  doses.forEach((dose) => {
    floor.append('line').attr('x1', x(dose)).attr('x2', x(dose)).attr('y1', TOP + HIGH).attr('y2', TOP + HIGH + 5);
    floor.append('text').attr('x', x(dose)).attr('y', TOP + HIGH + 19).attr('text-anchor', 'middle').text(text(dose));
  });
  const gap = LEFT + ZERO + BREAK / 3;
  svg.append('line').attr('class', 'gap').attr('x1', gap - 4).attr('x2', gap + 4).attr('y1', TOP + HIGH + 6).attr('y2', TOP + HIGH - 6);
  svg.append('text').attr('x', wide - 14).attr('y', TOP + HIGH + 37).attr('text-anchor', 'end').text(`${chart.factor}, ${chart.doseUnit}`);
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

function drawLine(place, chart, line, index) {
  const look = line.looks[index];
  const wide = Math.max(300, place.clientWidth);
  const rows = strips(look, chart.labelRate);
  place.replaceChildren();
  const svg = drawing(place, wide, TOP + HIGH + FOOT + 6 * STEP, saysDoses(chart, line, index));
  const to = scales(line, wide);
  axes(svg, chart, to, wide);
  curveOf(svg, look, to);
  svg.selectAll('.dose-point').data(spread(look.points)).join('circle').attr('class', 'dose-point').attr('r', 4.5)
    .attr('fill', (p) => `url(#tex-${p.number})`).attr('cx', (p) => to.x(p.dose) + p.off).attr('cy', (p) => to.y(p.value))
    .append('title').text((p) => `${p.unit}: ${p.value} ${chart.unit} at ${text(p.dose)} ${chart.doseUnit}`);
  rows.forEach((row, i) => strip(svg, row, TOP + HIGH + FOOT + 12 + i * STEP, to));
}

/** How EC10 and NOEC moved from look to look. */
function drawTimes(place, chart, line) {
  const told = line.looks.map((look, i) => ({ ...look, name: chart.looks[i] })).filter((look) => look.ec10 || look.noec !== undefined);
  if (told.length < 2) return;
  const wide = Math.min(560, Math.max(300, place.clientWidth));
  const high = 130;
  const tested = [...new Set(line.looks.flatMap((look) => look.points.map((p) => p.dose)))].filter((dose) => dose > 0);
  const doses = told.flatMap((look) => [look.noec, look.ec10?.dose, look.ec10?.low, look.ec10?.high]).filter((dose) => dose > 0);
  const svg = drawing(place, wide, TOP + high + FOOT, `EC10 and NOEC over time. ${told.map((look) => `${look.name}: NOEC ${look.words.noec}, EC10 ${look.words.ec10}`).join('. ')}`);
  const x = d3.scaleLinear().domain([0, d3.max(told, (look) => look.days)]).range([LEFT, wide - 90]);
  const y = d3.scaleLog().domain([Math.min(d3.min(doses), d3.min(tested)) / 1.2, Math.max(d3.max(doses), d3.max(tested)) * 1.2]).range([TOP + high, TOP]);
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${TOP + high})`).call(d3.axisBottom(x).tickValues(told.map((look) => look.days)).tickFormat(String).tickSize(4));
  svg.append('text').attr('x', wide - 82).attr('y', TOP + high + 17).text('days');
  svg.append('g').attr('class', 'axis').attr('transform', `translate(${LEFT},0)`).call(d3.axisLeft(y).tickValues(tested).tickFormat(text).tickSize(-(wide - LEFT - 90))).select('.domain').remove();
  svg.append('text').attr('x', LEFT - 8).attr('y', TOP - 10).attr('text-anchor', 'end').text(chart.doseUnit);
  const noec = told.filter((look) => look.noec !== undefined);
  const ec10 = told.filter((look) => look.ec10);
  const step = d3.line().x((look) => x(look.days));
  svg.append('path').attr('class', 'noec-line').attr('d', step.y((look) => y(look.noec))(noec));
  svg.append('path').attr('class', 'curve').attr('d', step.y((look) => y(look.ec10.dose))(ec10));
  svg.selectAll('.ec10-band').data(ec10).join('line').attr('class', 'strip-line').attr('x1', (look) => x(look.days)).attr('x2', (look) => x(look.days)).attr('y1', (look) => y(look.ec10.low)).attr('y2', (look) => y(look.ec10.high));
  svg.selectAll('.noec-mark').data(noec).join('path').attr('class', 'strip-mark').attr('d', d3.symbol(d3.symbolSquare, 60)()).attr('transform', (look) => `translate(${x(look.days)},${y(look.noec)})`);
  [['NOEC', noec, (look) => look.noec], ['EC10', ec10, (look) => look.ec10.dose]].filter(([, list]) => list.length).forEach(([name, list, of], i) => {
    svg.append('text').attr('class', 'name').attr('x', wide - 82).attr('y', y(of(list.at(-1))) + (i ? -4 : 12)).text(name);
  });
}

/** A section: charts of each series, and a slider that takes charts and numbers to another look. */
export function doses(section) {
  const chart = JSON.parse(section.dataset.doses);
  const slider = section.querySelector('.look-slider input');
  const show = (index) => {
    chart.lines.forEach((line, i) => {
      drawLine(section.querySelector(`[data-line="${i}"]`), chart, line, index);
      const { words } = line.looks[index];
      section.querySelectorAll(`[data-numbers="${i}"] [data-show]`).forEach((place) => { place.textContent = words[place.dataset.show]; });
      section.querySelector(`[data-how="${i}"]`).textContent = words.how;
    });
    section.querySelector('[data-at]').textContent = ` · ${chart.looks[index]}`;
  };
  show(chart.looks.length - 1);
  chart.lines.forEach((line, i) => {
    const place = section.querySelector(`[data-times="${i}"]`);
    if (place) drawTimes(place, chart, line);
  });
  slider?.addEventListener('input', () => {
    section.querySelector('.look-slider output').textContent = chart.looks[slider.value];
    show(Number(slider.value));
  });
}
