// As they came out: a bar for each treatment, in its own texture, in order.

import { drawing, nameAlong } from '../kit/chart.js';

const d3 = globalThis.d3;
const NARROW = 560;
const NAMES = 232;
const BAR = 22;
const ROOM = 150;

/** What a chart says, for those who can't see it. */
export function saysBars({ unit, decimals, bars }) {
  return bars.map((bar) => `${bar.treatment.name}: ${bar.value.toFixed(decimals)} ${unit}${bar.change ? `, ${bar.change}` : ''}`).join('. ');
}

export function draw(place, chart) {
  const wide = Math.max(300, place.clientWidth);
  const narrow = wide < NARROW;
  const left = narrow ? 0 : NAMES;
  const step = narrow ? 54 : 34;
  const high = chart.bars.length * step;
  const svg = drawing(place, wide, high + 40, `${chart.label}, as they came out, not judged. ${saysBars(chart)}`);
  const ends = d3.extent([0, ...chart.bars.map((bar) => bar.value)]);
  const x = d3.scaleLinear().domain(ends[0] === ends[1] ? [0, 1] : ends).range([left, wide - ROOM]).nice();
  chart.bars.forEach((bar, i) => {
    const y = i * step + (narrow ? 22 : 4);
    svg.append('text').attr('class', 'name').attr('x', 0).attr('y', narrow ? y - 6 : y + 16).text(`${bar.treatment.code} ${bar.treatment.name}`);
    const [from, to] = [x(0), x(bar.value)].sort((a, b) => a - b);
    svg.append('rect').attr('class', 'part').attr('x', from).attr('y', y).attr('width', Math.max(1, to - from)).attr('height', BAR)
      .attr('fill', `url(#tex-${bar.treatment.number})`);
    svg.append('text').attr('class', 'part-label').attr('x', to + 6).attr('y', y + 16)
      .text(`${bar.value.toFixed(chart.decimals).replace('-', '−')}${bar.change ? `  ${bar.change}` : ''}`);
  });
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${high + 2})`).call(d3.axisBottom(x).ticks(narrow ? 4 : 8).tickSize(4));
  nameAlong(svg, wide - ROOM, high + 36, chart.label, chart.unit || 'as measured');
}
