// Pots side by side to scale, water by height as a gradient, the wet foot, and a layer of gravel. The server works them out;
// this draws them as the sliders move.

import { drawing, nameUp } from '../kit/chart.js';

const d3 = globalThis.d3;
const TOP = 26;
const FOOT = 46;
const HIGH = 330;
const GAP = 24;
const AXIS = 40;

/** What the drawing says, for those who can't see it. */
export function saysColumn(pots) {
  return pots.map((pot) => `${pot.name}: ${pot.water} water, wet foot to ${pot.foot}`).join('; ');
}

/** Pixels for a centimetre, so that all pots stand side by side. */
export function scaleFor(pots, wide, high, gap) {
  const across = pots.reduce((sum, pot) => sum + 2 * Math.max(...pot.outline.map((o) => o[1])), 0);
  const deepest = Math.max(...pots.map((pot) => pot.depth));
  return Math.min((wide - gap * (pots.length + 1)) / across, high / deepest);
}

/** The outline of a pot as a closed path from its left rim down and up to its right one. */
export function outline(pot, middle, bottom, cm) {
  const side = (sign, points) => points.map(([height, radius]) => `${(middle + sign * radius * cm).toFixed(1)},${(bottom - height * cm).toFixed(1)}`);
  return `M${[...side(-1, [...pot.outline].reverse()), ...side(1, pot.outline)].join('L')}`;
}

export function drawColumn(place, { pots }) {
  place.replaceChildren();
  const wide = Math.max(320, place.clientWidth);
  const narrow = wide < 600;
  const cm = scaleFor(pots, wide - AXIS, HIGH, GAP);
  const deepest = Math.max(...pots.map((pot) => pot.depth));
  const bottom = TOP + deepest * cm;
  const svg = drawing(place, wide, bottom + FOOT, saysColumn(pots));
  const width = (pot) => 2 * Math.max(...pot.outline.map((o) => o[1])) * cm;
  const spare = (wide - AXIS - pots.reduce((sum, pot) => sum + width(pot), 0)) / (pots.length + 1);
  const defs = svg.append('defs');
  let left = AXIS + spare;
  heights(svg, deepest, bottom, cm);
  pots.forEach((pot, i) => {
    const middle = left + width(pot) / 2;
    left += width(pot) + spare;
    gradient(defs, pot, i, bottom, cm);
    defs.append('clipPath').attr('id', `pot-${i}`).append('path').attr('d', outline(pot, middle, bottom, cm));
    const inside = svg.append('g').attr('clip-path', `url(#pot-${i})`);
    const box = (low, high, css, fill) => inside.append('rect').attr('class', css).attr('x', middle - width(pot) / 2).attr('width', width(pot))
      .attr('y', bottom - high * cm).attr('height', Math.max(0, (high - low) * cm)).attr('fill', fill);
    box(pot.gravel, pot.depth, 'column-medium', `url(#water-${i})`);
    if (pot.gravel > 0) box(0, pot.gravel, 'column-gravel', null);
    box(pot.gravel, pot.wetFoot, 'column-foot', null);
    svg.append('path').attr('class', 'column-pot').attr('d', outline(pot, middle, bottom, cm));
    svg.append('line').attr('class', 'column-line').attr('x1', middle - width(pot) / 2 - 4).attr('x2', middle + width(pot) / 2 + 4)
      .attr('y1', bottom - pot.wetFoot * cm).attr('y2', bottom - pot.wetFoot * cm);
    svg.append('text').attr('class', 'says').attr('x', middle).attr('y', bottom + 18).attr('text-anchor', 'middle').text(narrow ? i + 1 : `${i + 1} · ${pot.name}`);
    svg.append('text').attr('x', middle).attr('y', bottom + 36).attr('text-anchor', 'middle').text(narrow ? pot.water : `${pot.water} water`);
  });
  svg.append('line').attr('class', 'column-bench').attr('x1', 0).attr('x2', wide).attr('y1', bottom + 1).attr('y2', bottom + 1);
}

function heights(svg, deepest, bottom, cm) {
  const y = d3.scaleLinear([0, deepest], [bottom, bottom - deepest * cm]);
  svg.append('g').attr('class', 'axis').attr('transform', `translate(${AXIS - 8},0)`).call(d3.axisLeft(y).ticks(6).tickSize(4));
  nameUp(svg, 12, 'height', 'cm');
}

function gradient(defs, pot, i, bottom, cm) {
  const ramp = defs.append('linearGradient').attr('id', `water-${i}`).attr('gradientUnits', 'userSpaceOnUse')
    .attr('x1', 0).attr('x2', 0).attr('y1', bottom - pot.gravel * cm).attr('y2', bottom - pot.depth * cm);
  pot.levels.forEach(([height, water]) => {
    ramp.append('stop').attr('class', 'column-water').attr('offset', (height - pot.gravel) / (pot.depth - pot.gravel)).attr('stop-opacity', water.toFixed(3));
  });
}

function figures({ pots }) {
  document.querySelectorAll('#column-figures tbody tr').forEach((row, i) => {
    const cells = row.querySelectorAll('td');
    [pots[i].water, pots[i].held, pots[i].foot, pots[i].airy].forEach((text, at) => { cells[at].textContent = text; });
  });
}

const place = document.getElementById('column');
if (place) {
  const form = document.getElementById('column-set');
  let asked = 0;
  drawColumn(place, JSON.parse(place.dataset.column));
  form.addEventListener('input', async () => {
    const ofLot = form.elements.lot.value !== '';
    form.elements.texture.disabled = ofLot;
    form.elements.texture.closest('label').classList.toggle('off', ofLot);
    const told = (name, text) => { form.elements[name].closest('label').querySelector('output').textContent = text; };
    told('texture', form.elements.texture.value);
    told('depth', `${form.elements.depth.value} cm`);
    told('gravel', `${form.elements.gravel.value} cm`);
    const query = new URLSearchParams(new FormData(form));
    const number = ++asked;
    try {
      const answer = await (await fetch(`/column/pots?${query}`)).json();
      // Only what was asked last is drawn.
      if (number !== asked) return;
      drawColumn(place, answer);
      figures(answer);
      told('depth', answer.depthTold);
      told('gravel', answer.gravelTold);
      document.getElementById('column-from').textContent = answer.from;
    } catch {
      form.querySelector('output').textContent = 'no connection';
    }
  });
  // The address follows when the slider is let go: browsers refuse more than a few changes a second.
  form.addEventListener('change', () => history.replaceState(null, '', `?${new URLSearchParams(new FormData(form))}`));
}
