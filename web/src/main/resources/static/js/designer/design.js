// Edges between the parts of a mix, dragged or moved by arrow keys. What it comes to is worked out by the server.

import { parsed } from '../kit/partial.js';

const TALL = 300;
const STEP = 1;

const form = document.getElementById('design');
const stack = document.getElementById('stack');
let waiting = null;
let asked = null;

/** Shares in percent after an edge is moved: what the upper part gains the lower loses, neither below 0. */
export function moved(upper, lower, by) {
  const both = upper + lower;
  const next = Math.min(both, Math.max(0, upper + by));
  return [round(next), round(both - next)];
}

function round(value) {
  return Math.round(value * 10) / 10;
}

/** Parts of each drawn row in percent, from the top. */
function shares() {
  const rows = [...stack.querySelectorAll('[data-layer]')].map((layer) => layer.dataset.layer);
  const typed = rows.map((row) => Number.parseFloat(field(row).value.replace(',', '.')) || 1);
  const sum = typed.reduce((total, one) => total + one, 0);
  return rows.map((row, i) => ({ row, percent: (100 * typed[i]) / sum }));
}

function field(row) {
  return form.querySelector(`[data-parts="${row}"]`);
}

function draw(parts) {
  let y = 0;
  parts.forEach(({ row, percent }) => {
    const high = (TALL * percent) / 100;
    const layer = stack.querySelector(`[data-layer="${row}"]`);
    layer.setAttribute('y', y);
    layer.setAttribute('height', high);
    const says = stack.querySelector(`[data-says="${row}"]`);
    says.setAttribute('y', y + high / 2 + 4);
    says.textContent = `${Number(row) + 1} · ${round(percent).toFixed(1)} %`;
    y += high;
    const edge = stack.querySelector(`[data-upper="${row}"]`);
    if (edge) {
      edge.setAttribute('transform', `translate(0 ${y})`);
      edge.setAttribute('aria-valuenow', round(percent));
      edge.setAttribute('aria-valuetext', `${round(percent).toFixed(1)} %`);
    }
  });
}

function move(edge, by) {
  const parts = shares();
  const upper = parts.find((part) => part.row === edge.dataset.upper);
  const lower = parts.find((part) => part.row === edge.dataset.lower);
  [upper.percent, lower.percent] = moved(upper.percent, lower.percent, by);
  parts.forEach(({ row, percent }) => { field(row).value = round(percent); });
  draw(parts);
  clearTimeout(waiting);
  waiting = setTimeout(work, 120);
}

/** What the mix comes to now; an answer that comes late is let go. */
async function work() {
  asked?.abort();
  asked = new AbortController();
  const fields = new URLSearchParams(new FormData(form));
  try {
    const response = await fetch(`/mix/design?${fields}&sheet=true`, { headers: { Accept: 'text/html' }, signal: asked.signal });
    if (!response.ok) return;
    const result = parsed(await response.text());
    document.querySelector('#measure-it [name=mix]').value = result.querySelector('.result-line')?.dataset.mix ?? '';
    document.getElementById('result').replaceWith(result);
    window.history.replaceState(null, '', `/mix/design?${fields}`);
  } catch (left) {
    if (left.name !== 'AbortError') throw left;
  }
}

stack?.querySelectorAll('.edge').forEach((edge) => {
  edge.addEventListener('keydown', (event) => {
    const by = { ArrowUp: -STEP, ArrowDown: STEP, ArrowLeft: -STEP, ArrowRight: STEP, PageUp: -10, PageDown: 10 }[event.key];
    if (!by) return;
    event.preventDefault();
    move(edge, by);
  });
  edge.addEventListener('pointerdown', (event) => {
    edge.setPointerCapture(event.pointerId);
    let from = event.clientY;
    const scale = stack.getBoundingClientRect().height / stack.viewBox.baseVal.height;
    const drag = (at) => {
      const by = (100 * (at.clientY - from)) / scale / TALL;
      if (Math.abs(by) < 0.5) return;
      from = at.clientY;
      move(edge, by);
    };
    edge.addEventListener('pointermove', drag);
    edge.addEventListener('pointerup', () => edge.removeEventListener('pointermove', drag), { once: true });
  });
});
