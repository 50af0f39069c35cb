// Two figures of the same units against each other: a dot a unit, in its treatment's tint with its letter.

import { drawing, nameAlong, nameUp } from '../kit/chart.js';

const d3 = globalThis.d3;
const HEIGHT = 440;
const LEFT = 62;
const FOOT = 52;
const ROOM = 16;
const FEW = 120;

/** The stretch an axis shows: from the lowest to the highest with room at both ends, but nothing that can't be. */
export function span(values, most = null) {
  const low = Math.min(...values);
  const high = Math.max(...values);
  const room = (high - low || Math.abs(high) || 1) * 0.06;
  return [low >= 0 ? Math.max(0, low - room) : low - room, most === null ? high + room : Math.min(most, high + room)];
}

export function draw(place, { x, y, dots, mostX, mostY }) {
  if (!dots.length) return;
  const wide = Math.max(300, Math.min(900, place.clientWidth));
  const says = place.closest('.sheet')?.querySelector('.sentence')?.textContent ?? '';
  const svg = drawing(place, wide, HEIGHT, `${y} against ${x}, a dot a unit. ${says}`);
  const across = d3.scaleLinear().domain(span(dots.map((dot) => dot.x), mostX)).range([LEFT, wide - ROOM]);
  const up = d3.scaleLinear().domain(span(dots.map((dot) => dot.y), mostY)).range([HEIGHT - FOOT, ROOM * 2]);
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${HEIGHT - FOOT})`).call(d3.axisBottom(across).ticks(wide < 500 ? 5 : 8));
  svg.append('g').attr('class', 'axis').attr('transform', `translate(${LEFT},0)`).call(d3.axisLeft(up).ticks(6));
  nameAlong(svg, wide - ROOM, HEIGHT - 10, x);
  nameUp(svg, ROOM - 2, y);
  const spots = svg.append('g').selectAll('g').data(dots).join('g').attr('class', 'spot')
    .attr('transform', (dot) => `translate(${across(dot.x)},${up(dot.y)})`);
  spots.append('circle').attr('r', dots.length > FEW ? 4 : 9).attr('class', (dot) => `dot tint-${dot.swatch.tint}`);
  if (dots.length <= FEW) spots.append('text').attr('text-anchor', 'middle').attr('y', 4).text((dot) => dot.swatch.code);
  spots.append('title').text((dot) => `${dot.code}, ${dot.swatch.name}`);
}
