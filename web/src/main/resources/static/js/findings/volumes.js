// What the volume is made of: a bar for each treatment, water still held in the treatment's own texture.

import { drawing, nameAlong } from '../kit/chart.js';

const d3 = globalThis.d3;
const NARROW = 560;
const NAMES = 232;
const BAR = 26;
const LEGEND_LINE = 22;

const LEGEND = [
  ['held', 'water still held'], ['lost', 'water lost since draining'], ['air', 'air after draining'], ['solid', 'solids'], ['unknown', 'air and solids, not told apart'],
];

function says({ bars }) {
  return bars
    .map((bar) => `${bar.treatment.name}: ${bar.parts.map((part) => `${part.label} ${part.percent.toFixed(0)} %`).join(', ')}`)
    .join('. ');
}

export function draw(place, chart) {
  const wide = Math.max(300, place.clientWidth);
  const narrow = wide < NARROW;
  const left = narrow ? 0 : NAMES;
  const step = narrow ? 58 : 38;
  const kinds = new Set(chart.bars.flatMap((bar) => bar.parts.map((part) => part.kind.toLowerCase())));
  const entries = placed(LEGEND.filter(([kind]) => kinds.has(kind)), left, wide);
  const head = entries.at(-1).y + 34;
  const svg = drawing(place, wide, head + chart.bars.length * step + 40, `Shares of volume. ${says(chart)}`);
  const x = d3.scaleLinear().domain([0, 100]).range([left, wide - 26]);
  legend(svg, chart, entries);
  chart.bars.forEach((bar, i) => {
    const y = head + i * step + (narrow ? 18 : 0);
    const name = svg.append('text').attr('class', 'name').attr('x', 0).attr('y', narrow ? y - 6 : y + 18).text(`${bar.treatment.code} ${bar.treatment.name}`);
    if (bar.remark) name.append('title').text(bar.remark);
    let from = 0;
    bar.parts.forEach((part) => {
      drawPart(svg, bar, part, x(from), x(from + part.percent), y);
      from += part.percent;
    });
  });
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${head + chart.bars.length * step - 6})`)
    .call(d3.axisBottom(x).ticks(narrow ? 5 : 10).tickSize(4).tickFormat((v) => v));
  nameAlong(svg, wide - 26, head + chart.bars.length * step + 32, 'Share of volume', '%');
}

/** Legend entries with their places, in as many lines as they need. */
function placed(entries, left, wide) {
  let x = left;
  let y = 2;
  return entries.map(([kind, label]) => {
    const width = 46 + label.length * 7.2;
    if (x + width > wide && x > left) {
      x = left;
      y += LEGEND_LINE;
    }
    const entry = { kind, label, x, y };
    x += width;
    return entry;
  });
}

function drawPart(svg, bar, part, from, to, y) {
  if (to - from < 0.5) return;
  const kind = part.kind.toLowerCase();
  svg.append('rect').attr('class', `part ${kind}`).attr('x', from).attr('y', y).attr('width', to - from).attr('height', BAR)
    .attr('fill', kind === 'held' ? `url(#tex-${bar.treatment.number})` : null);
  if (to - from < 30) return;
  const middle = (from + to) / 2;
  if (kind === 'held') svg.append('rect').attr('class', 'part-plate').attr('x', middle - 17).attr('y', y + 4).attr('width', 34).attr('height', 18).attr('rx', 2);
  svg.append('text').attr('class', 'part-label').attr('x', middle).attr('y', y + 18).attr('text-anchor', 'middle').text(part.percent.toFixed(0));
}

function legend(svg, chart, entries) {
  const group = svg.append('g').attr('class', 'legend');
  entries.forEach(({ kind, label, x, y }) => {
    group.append('rect').attr('class', `part ${kind}`).attr('x', x).attr('y', y).attr('width', 20).attr('height', 14)
      .attr('fill', kind === 'held' ? `url(#tex-${chart.bars[0].treatment.number})` : null);
    group.append('text').attr('x', x + 26).attr('y', y + 12).text(label);
  });
}
