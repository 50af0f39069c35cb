// Two figures of the same units against each other: a dot a unit, in its treatment's tint with its letter.

import { drawing } from '../kit/chart.js';

const d3 = globalThis.d3;
const HEIGHT = 440;
const LEFT = 62;
const FOOT = 52;
const ROOM = 16;
const FEW = 120;

/** The stretch an axis shows: from the lowest to the highest with room at both ends. */
export function span(values) {
  const low = Math.min(...values);
  const high = Math.max(...values);
  const room = (high - low || Math.abs(high) || 1) * 0.06;
  return [low - room, high + room];
}

export function draw(place, { x, y, dots }) {
  if (!dots.length) return;
  const wide = Math.max(300, Math.min(900, place.clientWidth));
  const says = place.closest('.sheet')?.querySelector('.sentence')?.textContent ?? '';
  const svg = drawing(place, wide, HEIGHT, `${y} against ${x}, a dot a unit. ${says}`);
  const across = d3.scaleLinear().domain(span(dots.map((dot) => dot.x))).range([LEFT, wide - ROOM]).nice();
  const up = d3.scaleLinear().domain(span(dots.map((dot) => dot.y))).range([HEIGHT - FOOT, ROOM]).nice();
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${HEIGHT - FOOT})`).call(d3.axisBottom(across).ticks(wide < 500 ? 5 : 8));
  svg.append('g').attr('class', 'axis').attr('transform', `translate(${LEFT},0)`).call(d3.axisLeft(up).ticks(6));
  svg.append('text').attr('class', 'says').attr('x', wide - ROOM).attr('y', HEIGHT - 10).attr('text-anchor', 'end').text(x);
  svg.append('text').attr('class', 'says').attr('x', LEFT + 6).attr('y', ROOM + 2).text(y);
  const spots = svg.append('g').selectAll('g').data(dots).join('g').attr('class', 'spot')
    .attr('transform', (dot) => `translate(${across(dot.x)},${up(dot.y)})`);
  spots.append('circle').attr('r', dots.length > FEW ? 4 : 9).attr('class', (dot) => `dot tint-${dot.swatch.tint}`);
  if (dots.length <= FEW) spots.append('text').attr('text-anchor', 'middle').attr('y', 4).text((dot) => dot.swatch.code);
  spots.append('title').text((dot) => `${dot.code}, ${dot.swatch.name}`);
}
