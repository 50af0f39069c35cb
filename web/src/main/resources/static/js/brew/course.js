// Oxygen and temperature of every brew over its hours; below the line the stop rule asks.

import { drawing } from '../kit/chart.js';

const d3 = globalThis.d3;
const HIGH = 190;
const GAP = 52;

/** What the picture says, for those who can't see it. */
export function saysBrews({ least, lines }) {
  return lines.filter((line) => line.points.length).map((line) => {
    const oxygen = line.points.map((point) => point.oxygen).filter((v) => v !== undefined);
    if (!oxygen.length) return `${line.code}: no oxygen read`;
    const low = Math.min(...oxygen);
    return `${line.code} ${line.swatch.name}: lowest oxygen ${low.toFixed(1)} mg/L${low < least ? ', below the stop rule' : ''}`;
  }).join('. ');
}

function draw(place, chart) {
  const wide = Math.max(300, place.clientWidth);
  const svg = drawing(place, wide, 2 * HIGH + GAP + 22, saysBrews(chart));
  const hours = d3.max(chart.lines.flatMap((line) => line.points.map((point) => point.hours))) || 24;
  const x = d3.scaleLinear().domain([0, hours]).range([48, wide - 130]);
  panel(svg, chart, x, 20, 'oxygen', 'oxygen, mg/L', [0, 10]);
  const warm = chart.lines.flatMap((line) => line.points.map((point) => point.temperature)).filter((v) => v !== undefined);
  panel(svg, chart, x, 20 + HIGH + GAP - 20, 'temperature', 'temperature, °C', [Math.min(15, d3.min(warm) ?? 15), Math.max(25, d3.max(warm) ?? 25)]);
  svg.append('text').attr('class', 'says').attr('x', wide - 130).attr('y', 2 * HIGH + GAP + 16).attr('text-anchor', 'end').text('hours since it was begun');
}

function panel(svg, chart, x, top, what, label, domain) {
  const y = d3.scaleLinear().domain(domain).range([top + HIGH - 20, top]);
  svg.append('g').attr('class', 'axis').attr('transform', 'translate(48,0)').call(d3.axisLeft(y).ticks(5).tickSize(4));
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${top + HIGH - 20})`).call(d3.axisBottom(x).ticks(7).tickSize(4));
  svg.append('text').attr('class', 'says').attr('x', 4).attr('y', top - 6).text(label);
  if (what === 'oxygen') {
    svg.append('line').attr('class', 'threshold').attr('x1', x.range()[0]).attr('x2', x.range()[1]).attr('y1', y(chart.least)).attr('y2', y(chart.least));
    svg.append('text').attr('class', 'says').attr('x', x.range()[0] + 6).attr('y', y(chart.least) + 14).text('stop below');
  }
  const ends = new Map();
  chart.lines.forEach((line) => {
    const points = line.points.filter((point) => point[what] !== undefined);
    if (!points.length) return;
    const group = svg.append('g').attr('class', `tint-${line.swatch.tint}`);
    group.append('path').attr('class', 'mean').attr('d', d3.line().x((p) => x(p.hours)).y((p) => y(p[what]))(points));
    points.forEach((p) => group.append('circle').attr('class', 'point').attr('r', 3.500).attr('cx', x(p.hours)).attr('cy', y(p[what])));
    const last = points[points.length - 1];
    ends.set(line.swatch.number, [...(ends.get(line.swatch.number) ?? []), { line, x: x(last.hours), y: y(last[what]) }]);
  });
  names(svg, [...ends.values()]);
}

/** A name a treatment, where its brews end; names that would lie on each other are moved apart. */
function names(svg, ends) {
  const labels = ends.map((all) => ({
    text: `${all[0].line.swatch.code} ${all[0].line.swatch.name}${all.some((one) => one.line.stopped) ? ', stopped' : ''}`,
    x: d3.max(all, (one) => one.x) + 8,
    y: d3.mean(all, (one) => one.y) + 4,
  })).sort((one, other) => one.y - other.y);
  labels.forEach((label, i) => {
    const near = labels.slice(0, i).filter((other) => Math.abs(other.x - label.x) < 110);
    near.forEach((other) => { if (label.y - other.y < 14) label.y = other.y + 14; });
    svg.append('text').attr('class', 'says halo').attr('x', label.x).attr('y', label.y).text(label.text);
  });
}

/** What each factor did to each count, as a ratio on a log axis: a panel a factor, a line a count. */
function drawRatios(place, panels) {
  const ends = panels.flatMap((one) => one.rows.flatMap((row) => [row.low ?? row.ratio, row.high ?? row.ratio]));
  const far = Math.max(2, d3.max(ends), 1 / d3.min(ends));
  const cells = panels.map(() => place.appendChild(document.createElement('div')));
  panels.forEach((one, at) => {
    const cell = cells[at];
    const wide = Math.max(300, cell.clientWidth);
    const high = 30 + one.rows.length * 26;
    const words = one.rows.map((row) => `${row.count} ×${row.ratio.toFixed(2)}${row.low === undefined ? '' : `, ${row.low.toFixed(2)} to ${row.high.toFixed(2)}`}`).join('. ');
    const svg = drawing(cell, wide, high + 26, `${one.label}: ${words}`);
    const x = d3.scaleLog().domain([1 / far, far]).range([Math.min(190, wide * 0.46), wide - 12]);
    svg.append('text').attr('class', 'name').attr('x', 0).attr('y', 16).text(one.label);
    svg.append('line').attr('class', 'nought').attr('x1', x(1)).attr('x2', x(1)).attr('y1', 24).attr('y2', high);
    const ticks = [0.125, 0.25, 0.5, 1, 2, 4, 8].filter((v) => v >= 1 / far && v <= far);
    svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${high})`)
      .call(d3.axisBottom(x).tickValues(ticks).tickSize(4).tickFormat((v) => (v < 1 ? `×1/${1 / v}` : `×${v}`)));
    one.rows.forEach((row, i) => {
      const y = 38 + i * 26;
      svg.append('text').attr('class', 'says').attr('x', 0).attr('y', y + 4).text(row.count);
      const group = svg.append('g').attr('class', `ratio${row.shown ? ' shown' : ''}`);
      if (row.low !== undefined) group.append('line').attr('x1', x(Math.max(1 / far, row.low))).attr('x2', x(Math.min(far, row.high))).attr('y1', y).attr('y2', y);
      group.append('circle').attr('r', 5).attr('cx', x(row.ratio)).attr('cy', y);
    });
  });
}

document.querySelectorAll('[data-ratios]').forEach((place) => drawRatios(place, JSON.parse(place.dataset.ratios)));
document.querySelectorAll('[data-brews]').forEach((place) => draw(place, JSON.parse(place.dataset.brews)));
