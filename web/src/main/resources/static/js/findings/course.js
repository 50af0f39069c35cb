// A figure against time, a small chart for each treatment on the same scales: every unit a point, the mean a line, and
// the level that matters with when it is crossed, where there is one.

import { drawing, nameAlong, nameUp, timeTicks, days } from '../kit/chart.js';

const d3 = globalThis.d3;
const NARROWEST = 300;
const GAP = 34;
const LEFT = 44;
const FULL = 180;
const LOWEST = 64;
const BESIDE = 400;
const HEAD = 20;
const TOP = 30;
const FOOT = 34;

/** Points as the page holds them, "K34 6 41.2;K35 …": unit, hours, value. */
export function points(text) {
  return text ? text.split(';').map((one) => {
    const [unit, hours, value] = one.split(' ');
    return { unit, hours: Number(hours), value: Number(value) };
  }) : [];
}

/** What a chart says, for those who can't see it. */
export function saysCourse(chart) {
  return chart.lines
    .map(({ treatment, means, threshold, crossing }) => {
      const last = means.at(-1);
      const when = threshold === undefined ? '' : crossing ? `, under its ${chart.threshold} after ${days(crossing.hours)} days` : `, not yet under its ${chart.threshold}`;
      return `${treatment.name}: ${last.value.toFixed(1)} ${chart.unit} at ${last.look}${when}`;
    })
    .join('. ');
}

export function draw(place, data) {
  const chart = { ...data, lines: data.lines.map((line) => ({ ...line, points: points(line.points) })) };

  const wideAll = Math.max(NARROWEST, place.clientWidth);
  const beside = wideAll > 500 && place.closest('.lead-shown') !== null;
  const columns = Math.min(Math.max(1, Math.floor(wideAll / (beside ? 290 : 330))), 3, chart.lines.length);
  const rows = Math.ceil(chart.lines.length / columns);
  const wide = (wideAll - LEFT - 14 - GAP * (columns - 1)) / columns;
  // Beside the answer all panels stand on the first screen.
  const high = beside ? Math.min(FULL, Math.max(LOWEST, BESIDE / rows - TOP - FOOT)) : FULL;
  const svg = drawing(place, wideAll, HEAD + rows * (TOP + high + FOOT) + HEAD, `${chart.label}. ${saysCourse(chart)}`);
  const lastHour = d3.max(chart.lines, (line) => d3.max(line.points, (p) => p.hours)) || 1;
  const top = d3.max(chart.lines, (line) => d3.max(line.points, (p) => p.value)) || 1;
  const bottom = Math.min(0, d3.min(chart.lines, (line) => d3.min(line.points, (p) => p.value)));
  const x = d3.scaleLinear().domain([Math.min(0, d3.min(chart.lines, (line) => d3.min(line.points, (p) => p.hours))), lastHour]).range([0, wide]);
  const y = d3.scaleLinear().domain([bottom, top]).nice(4).range([high, 0]);
  nameUp(svg, 12, chart.label, chart.unit);
  nameAlong(svg, wideAll - 14, HEAD + rows * (TOP + high + FOOT) + 10, chart.since, lastHour > 48 ? 'days' : 'hours');
  chart.lines.forEach((line, i) => {
    const panel = svg.append('g')
      .attr('class', `tint-${line.treatment.tint}`)
      .attr('transform', `translate(${LEFT + (i % columns) * (wide + GAP)},${HEAD + Math.floor(i / columns) * (TOP + high + FOOT) + TOP})`);
    axes(panel, x, y, wide, i % columns === 0, lastHour);
    panelOf(panel, line, x, y, wide, chart, lastHour);
  });
}

function axes(panel, x, y, wide, first, lastHour) {
  const ticks = timeTicks(lastHour);
  panel.append('g').attr('class', 'axis').attr('transform', `translate(0,${y.range()[0]})`)
    .call(d3.axisBottom(x).tickValues(ticks.values).tickFormat(ticks.text).tickSize(4));
  const left = panel.append('g').attr('class', 'axis').call(d3.axisLeft(y).ticks(4).tickSize(-wide).tickFormat((v) => (first ? v : '')));
  left.select('.domain').remove();
}

function panelOf(panel, line, x, y, wide, chart, lastHour) {
  panel.append('rect').attr('x', 0).attr('y', -22).attr('width', 22).attr('height', 15).attr('rx', 2).attr('fill', `url(#tex-${line.treatment.number})`);
  panel.append('text').attr('class', 'name').attr('x', 28).attr('y', -10).text(`${line.treatment.code} ${line.treatment.name}`);
  if (line.threshold !== undefined) {
    panel.append('line').attr('class', 'threshold').attr('x1', 0).attr('x2', wide).attr('y1', y(line.threshold)).attr('y2', y(line.threshold));
  }
  crossing(panel, line, x, y, wide, chart, lastHour);
  panel.selectAll('.point').data(line.points).join('circle').attr('class', 'point').attr('r', 3)
    .attr('cx', (p) => x(p.hours)).attr('cy', (p) => y(p.value))
    .append('title').text((p) => `${p.unit}: ${p.value.toFixed(1)} ${chart.unit} after ${p.hours.toFixed(1)} h`);
  panel.append('path').attr('class', 'mean').attr('d', d3.line().x((m) => x(m.hours)).y((m) => y(m.value))(line.means));
  panel.selectAll('.band').data(line.means.filter((m) => m.low !== undefined)).join('line').attr('class', 'band')
    .attr('x1', (m) => x(m.hours) + 5).attr('x2', (m) => x(m.hours) + 5).attr('y1', (m) => y(Math.max(0, m.low))).attr('y2', (m) => y(m.high));
}

function crossing(panel, line, x, y, wide, chart, lastHour) {
  if (line.threshold === undefined) return;
  const cross = line.crossing;
  const label = panel.append('text').attr('class', 'says').attr('x', wide).attr('text-anchor', 'end').attr('y', 12);
  if (!cross) {
    label.text(`not under its ${chart.threshold} yet`);
    return;
  }
  const range = cross.low === undefined ? '' : ` (${days(cross.low)}–${days(cross.high)})`;
  label.text(`${chart.crossed} after ${days(cross.hours)} days${range}${cross.extrapolated ? ', carried on' : ''}`);
  if (cross.extrapolated || cross.hours > lastHour) return;
  if (cross.low !== undefined) {
    panel.append('rect').attr('class', 'crossband').attr('x', x(cross.low)).attr('y', y(line.threshold))
      .attr('width', Math.max(1, x(Math.min(cross.high, lastHour)) - x(cross.low))).attr('height', y.range()[0] - y(line.threshold));
  }
  panel.append('line').attr('class', 'cross').attr('x1', x(cross.hours)).attr('x2', x(cross.hours)).attr('y1', y(line.threshold) - 6).attr('y2', y.range()[0]);
}
