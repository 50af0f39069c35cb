// Courses of sensors: a panel for each thing and depth, a line for each unit; below, what there was over depth.

import { apart, dash, drawing, nameAlong, nameUp, timeTicks, numbersTable } from '../kit/chart.js';
import { points } from './points.js';

const d3 = globalThis.d3;
const LEFT = 46;
const RIGHT = 20;
const LETTER = 13;
const HIGH = 190;
const TOP = 26;
const FOOT = 44;
const SILENCE_HOURS = 6;
const LEAST = 240;

const place = document.getElementById('series');
const time = document.getElementById('series-window');
const what = document.getElementById('series-what');

const klass = (swatch) => (swatch ? `tint-${swatch.tint}` : 'tint-none');

/** Treatments that are in the panels, each once. */
function legend(panels) {
  const swatches = [...new Map(panels.flatMap((panel) => panel.lines).filter((line) => line.swatch).map((line) => [line.swatch.number, line.swatch])).values()];
  const list = document.createElement('ul');
  list.className = 'swatches in-line';
  swatches.sort((a, b) => a.number - b.number).forEach((swatch) => {
    const item = document.createElement('li');
    item.className = klass(swatch);
    d3.select(item).append('svg').attr('width', 34).attr('height', 16).attr('aria-hidden', 'true')
      .append('path').attr('class', 'course thick').attr('d', 'M1 8h32').attr('stroke-dasharray', dash(swatch.number - 1));
    d3.select(item).append('svg').attr('class', 'swatch').attr('width', 22).attr('height', 16).attr('aria-hidden', 'true')
      .append('rect').attr('width', 22).attr('height', 16).attr('rx', 2).attr('fill', `url(#tex-${swatch.number})`);
    item.append(` ${swatch.code} ${swatch.name}`);
    list.append(item);
  });
  return list;
}

/** What a panel says, for those who can't see it. */
function says(panel, lines) {
  const parts = lines.map(({ line, values }) => {
    const [low, high] = d3.extent(values, (p) => p.value);
    return `${line.unit || 'whole trial'}${line.swatch ? `, ${line.swatch.name}` : ''}: ${low} to ${high} ${panel.unit}`;
  });
  return `${panel.label}. ${parts.slice(0, 12).join('. ')}`;
}

function axes(panel, x, y, wide, domain) {
  const ticks = timeTicks(domain[1] - Math.min(0, domain[0]));
  panel.append('g').attr('class', 'axis').attr('transform', `translate(0,${HIGH})`)
    .call(d3.axisBottom(x).tickValues(ticks.values.filter((h) => h >= domain[0] && h <= domain[1])).tickFormat(ticks.text).tickSize(4));
  const left = panel.append('g').attr('class', 'axis').call(d3.axisLeft(y).ticks(4).tickSize(-wide));
  left.select('.domain').remove();
}

function drawPanel(data, panel, figure, extent) {
  const wideAll = Math.max(LEAST, figure.clientWidth);
  const wide = wideAll - LEFT - RIGHT;
  const lines = panel.lines.map((line) => ({ line, values: points(line.points, SILENCE_HOURS) }));
  const there = lines.map((one) => ({ ...one, values: one.values.filter((p) => p.value !== null) }));
  const svg = drawing(figure, wideAll, TOP + HIGH + FOOT, says(panel, there));
  const g = svg.append('g').attr('transform', `translate(${LEFT},${TOP})`);
  const domain = [data.fromHours, data.toHours];
  const x = d3.scaleLinear().domain(domain).range([0, wide]);
  const y = d3.scaleLinear().domain(extent).nice(4).range([HIGH, 0]);
  nameUp(svg, 14, panel.label, panel.unit).attr('class', 'name');
  nameAlong(svg, LEFT + wide, TOP + HIGH + 38, 'Time since the start', domain[1] - Math.min(0, domain[0]) > 48 ? 'days' : 'hours');
  axes(g, x, y, wide, domain);
  data.looks.filter((look) => look.hours > domain[0] && look.hours <= domain[1]).forEach((look) => {
    g.append('line').attr('class', 'look').attr('x1', x(look.hours)).attr('x2', x(look.hours)).attr('y1', 0).attr('y2', HIGH).append('title').text(look.name);
  });
  const path = d3.line().defined((p) => p.value !== null).x((p) => x(p.hours)).y((p) => y(p.value));
  lines.forEach(({ line, values }) => {
    g.append('path').attr('class', `course ${klass(line.swatch)}`).attr('d', path(values)).attr('stroke-dasharray', line.swatch ? dash(line.swatch.number - 1) : null)
      .append('title').text(`${line.unit || 'whole trial'}${line.swatch ? ` · ${line.swatch.name}` : ''}, ${line.samples} samples`);
  });
  // Each treatment's letter at the end of one of its lines.
  const ends = [...new Map(there.filter(({ line, values }) => line.swatch && values.length)
    .map(({ line, values }) => [line.swatch.number, { swatch: line.swatch, at: y(values.at(-1).value) }])).values()];
  apart(ends, LETTER).forEach(({ swatch, at }) => g.append('text').attr('class', 'says').attr('x', wide + 5).attr('y', at + 4).text(swatch.code));
}

function drawProfile(profile) {
  const figure = document.createElement('figure');
  figure.className = 'profile';
  place.append(figure);
  const wideAll = Math.min(460, Math.max(LEAST, figure.clientWidth));
  const wide = wideAll - LEFT - 110;
  const high = 190;
  const all = profile.lines.flatMap((line) => line.at);
  const label = `${profile.label} over depth: mean of the units with its 95 % interval`;
  const words = profile.lines.map((line) => `${line.swatch.name}: ${line.at.map((a) => `${a.mean.toFixed(profile.decimals)} ${profile.unit} at ${a.depth} cm`).join(', ')}`);
  const svg = drawing(figure, wideAll, TOP + high + FOOT, `${label}. ${words.join('. ')}`);
  const g = svg.append('g').attr('transform', `translate(${LEFT},${TOP})`);
  const x = d3.scaleLinear().domain([Math.min(0, d3.min(all, (a) => a.low ?? a.mean)), d3.max(all, (a) => a.high ?? a.mean)]).nice(4).range([0, wide]);
  const y = d3.scaleLinear().domain([0, d3.max(all, (a) => a.depth) * 1.1]).range([0, high]);
  nameUp(svg, 14, 'Depth', 'cm').attr('class', 'name');
  nameAlong(svg, LEFT + wide, TOP + high + 38, profile.label, profile.unit);
  g.append('g').attr('class', 'axis').attr('transform', `translate(0,${high})`).call(d3.axisBottom(x).ticks(4).tickSize(4));
  const left = g.append('g').attr('class', 'axis').call(d3.axisLeft(y).tickValues([...new Set(all.map((a) => a.depth))]).tickFormat((d) => `${d} cm`).tickSize(-wide));
  left.select('.domain').remove();
  profile.lines.forEach((line, i) => {
    const part = g.append('g').attr('class', klass(line.swatch));
    part.append('path').attr('class', 'course thick').attr('stroke-dasharray', dash(line.swatch.number - 1)).attr('d', d3.line().x((a) => x(a.mean)).y((a) => y(a.depth))(line.at));
    part.selectAll('.band').data(line.at.filter((a) => a.low !== undefined)).join('line').attr('class', 'band')
      .attr('x1', (a) => x(a.low)).attr('x2', (a) => x(a.high)).attr('y1', (a) => y(a.depth) + i * 2).attr('y2', (a) => y(a.depth) + i * 2);
    part.selectAll('.point').data(line.at).join('circle').attr('class', 'point').attr('r', 4).attr('cx', (a) => x(a.mean)).attr('cy', (a) => y(a.depth));
    const last = line.at.at(-1);
    part.append('text').attr('class', 'says').attr('x', x(last.mean) + 8).attr('y', y(last.depth) + 4).text(line.swatch.code);
  });
  const table = figure.appendChild(document.createElement('div'));
  table.className = 'wide-table';
  table.tabIndex = 0;
  table.setAttribute('role', 'region');
  table.setAttribute('aria-label', label);
  table.append(numbersTable(label, ['Treatment', ...line0(profile).map((a) => `${a.depth} cm`)], profile.lines.map((line) => [
    line.swatch.name,
    ...line.at.map((a) => `${a.mean.toFixed(profile.decimals)}${a.low === undefined ? '' : ` (${a.low.toFixed(profile.decimals)} to ${a.high.toFixed(profile.decimals)})`}`),
  ])));
}

const line0 = (profile) => profile.lines[0].at;

/** As many panels beside each other as there is room for, all on one scale: depths are compared across. */
function drawPanels(data) {
  const room = document.createElement('div');
  room.className = 'panels';
  place.append(room);
  const figures = data.panels.map(() => room.appendChild(document.createElement('figure')));
  const extent = d3.extent(data.panels.flatMap((panel) => panel.lines).flatMap((line) => points(line.points, Infinity)), (p) => p.value);
  data.panels.forEach((panel, i) => drawPanel(data, panel, figures[i], extent));
}

async function show() {
  const response = await fetch(`${place.dataset.url}?what=${what.value}&look=${time.value}`, { headers: { Accept: 'application/json' } });
  const data = await response.json();
  place.replaceChildren();
  if (!data.panels.length) {
    const none = document.createElement('p');
    none.textContent = 'No sensor said anything in that time.';
    place.append(none);
    return;
  }
  place.append(legend(data.panels));
  drawPanels(data);
  data.profiles.forEach(drawProfile);
}

if (place) {
  time.addEventListener('change', show);
  what.addEventListener('change', show);
  show();
}
