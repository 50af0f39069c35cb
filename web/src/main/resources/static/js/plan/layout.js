// The bench as an editor: drag a unit, or pick it up with Enter and move it with the arrows. The server keeps the move
// and answers how even the bench is now.

import '../kit/frame.js';
import { STEPS, neighbour, rove, spot } from '../kit/mapkeys.js';
import { parsed, postForm } from '../kit/partial.js';
import { MoveQueue } from './moves.js';

const editor = document.querySelector('.layout-editor[data-move]');
const moving = document.getElementById('moving');
const numbers = (text) => text.split(' ').map(Number);

/** One bench's map: places as coordinates, and which unit stands where. */
export function benchOf(svg) {
  const [pitchX, pitchY] = numbers(svg.dataset.pitch);
  const [left, top] = numbers(svg.dataset.origin);
  const [rows, columns] = numbers(svg.dataset.grid);
  const middle = (row, column) => [left + (column - 0.5) * pitchX, top + (row - 0.5) * pitchY];
  const clamp = (value, most) => Math.max(1, Math.min(most, value));
  return {
    svg,
    rows,
    columns,
    middle,
    place: (x, y) => ({ row: clamp(Math.floor((y - top) / pitchY) + 1, rows), column: clamp(Math.floor((x - left) / pitchX) + 1, columns) }),
    unitAt: (row, column) => svg.querySelector(`[data-unit][data-row="${row}"][data-column="${column}"]`),
    guarded: (row, column) => [...svg.querySelectorAll('circle.guard')].some((c) => {
      const [x, y] = middle(row, column);
      return Math.abs(c.cx.baseVal.value - x) < 1 && Math.abs(c.cy.baseVal.value - y) < 1;
    }),
    stand: (unit, row, column) => {
      const [x, y] = middle(row, column);
      unit.dataset.row = row;
      unit.dataset.column = column;
      unit.setAttribute('transform', `translate(${x.toFixed(1)} ${y.toFixed(1)})`);
    },
  };
}

/** The form on the page stands on the plan that this move made; on one that somebody else changed too, it does not. */
export function nextRevision(known, answered) {
  return Number(answered) === Number(known) + 1 ? answered : known;
}

function follow(answered) {
  const field = document.querySelector('input[name=revision]');
  if (field) field.value = nextRevision(field.value, answered);
}

const queue = new MoveQueue(
  ({ bench, unit, to }) => postForm(editor.dataset.move, {
    unit: unit.dataset.unit, bench: bench.svg.dataset.bench, row: to.row, column: to.column, seed: editor.dataset.seed,
  }),
  ({ unit, to, other }, text) => {
    const balance = parsed(text);
    document.getElementById('balance').replaceChildren(balance);
    follow(balance.dataset.revision);
    moving.textContent = `${unit.dataset.unit} stands in row ${to.row}, column ${to.column} now${other ? `, and ${other.dataset.unit} took its place` : ''}.`;
  },
  (undone) => {
    undone.forEach(({ bench, unit, from, to, other }) => {
      bench.stand(unit, from.row, from.column);
      if (other) bench.stand(other, to.row, to.column);
    });
    const names = [...new Set(undone.map((move) => move.unit.dataset.unit))].reverse().join(', ');
    moving.textContent = `${names} could not be moved and stands where it stood. Was the layout drawn anew? Reload the page to see.`;
  },
);

/** Shows a move at once and queues it for the server. */
function keep(bench, unit, from, to) {
  if (from.row === to.row && from.column === to.column) return;
  const there = bench.unitAt(to.row, to.column);
  const other = there === unit ? null : there;
  bench.stand(unit, to.row, to.column);
  if (other) bench.stand(other, from.row, from.column);
  queue.add({ bench, unit, from, to, other });
}

function dragging(bench) {
  const { svg } = bench;
  let held = null;
  let tapped = null;
  const scaleNow = () => svg.viewBox.baseVal.width / svg.getBoundingClientRect().width;
  const putDown = (to) => {
    const unit = tapped;
    tapped = null;
    unit.classList.remove('held');
    if (bench.guarded(to.row, to.column)) moving.textContent = 'A guard unit stands there.';
    else if (bench.unitAt(to.row, to.column) === unit) moving.textContent = 'It stands where it stood.';
    else keep(bench, unit, spot(unit), to);
  };
  const tap = (unit) => {
    if (tapped) {
      putDown(spot(unit));
      return;
    }
    tapped = unit;
    unit.classList.add('held');
    moving.textContent = `${unit.dataset.unit} is picked up: tap where it shall stand, or tap it again to leave it.`;
  };
  svg.addEventListener('pointerdown', (event) => {
    const unit = event.target.closest('[data-unit]');
    if (event.button !== 0) return;
    const scale = scaleNow();
    if (!unit) {
      const seen = svg.getBoundingClientRect();
      if (tapped) putDown(bench.place((event.clientX - seen.left) * scale, (event.clientY - seen.top) * scale));
      return;
    }
    held = { unit, from: spot(unit), x: event.clientX, y: event.clientY, scale, moved: false };
    svg.setPointerCapture(event.pointerId);
    event.preventDefault();
    unit.focus({ preventScroll: true });
  });
  svg.addEventListener('pointermove', (event) => {
    if (!held) return;
    const [x, y] = bench.middle(held.from.row, held.from.column);
    held.at = [x + (event.clientX - held.x) * held.scale, y + (event.clientY - held.y) * held.scale];
    if (!held.moved && Math.hypot(event.clientX - held.x, event.clientY - held.y) < 4) return;
    if (!held.moved) {
      held.moved = true;
      held.unit.classList.add('held');
      svg.append(held.unit);
    }
    held.unit.setAttribute('transform', `translate(${held.at[0].toFixed(1)} ${held.at[1].toFixed(1)})`);
  });
  const drop = () => {
    if (!held) return;
    const { unit, from, at, moved } = held;
    held = null;
    if (!moved) {
      tap(unit);
      return;
    }
    unit.classList.remove('held');
    const to = bench.place(...at);
    if (bench.guarded(to.row, to.column)) {
      bench.stand(unit, from.row, from.column);
      moving.textContent = 'A guard unit stands there.';
      return;
    }
    keep(bench, unit, from, to);
  };
  svg.addEventListener('pointerup', drop);
  svg.addEventListener('pointercancel', drop);
  svg.addEventListener('click', (event) => { if (event.target.closest('[data-unit]')) event.preventDefault(); });
}

/** One tab stop for the whole map; arrows go from unit to unit, or carry the one that is picked up. */
function keys(bench) {
  const units = [...bench.svg.querySelectorAll('[data-unit]')];
  units.forEach((unit, i) => unit.setAttribute('tabindex', i ? -1 : 0));
  let carried = null;
  const show = () => {
    const [x, y] = bench.middle(carried.to.row, carried.to.column);
    carried.unit.setAttribute('transform', `translate(${x.toFixed(1)} ${y.toFixed(1)})`);
    moving.textContent = `${carried.unit.dataset.unit} is picked up, over row ${carried.to.row}, column ${carried.to.column}. Enter puts it down, Esc puts it back.`;
  };
  bench.svg.addEventListener('keydown', (event) => {
    const unit = event.target.closest('[data-unit]');
    if (!unit) return;
    const step = STEPS[event.key];
    if (step && carried) {
      const row = Math.max(1, Math.min(bench.rows, carried.to.row + step[0]));
      const column = Math.max(1, Math.min(bench.columns, carried.to.column + step[1]));
      if (!bench.guarded(row, column)) carried.to = { row, column };
      show();
    } else if (step) {
      const next = neighbour(units, spot(unit), step);
      if (next) rove(units, next);
    } else if (event.key === 'Enter' && !carried) {
      carried = { unit, from: spot(unit), to: spot(unit) };
      unit.classList.add('held');
      show();
    } else if (event.key === 'Enter') {
      unit.classList.remove('held');
      const { from, to } = carried;
      carried = null;
      bench.stand(unit, from.row, from.column);
      keep(bench, unit, from, to);
    } else if (event.key === 'Escape' && carried) {
      unit.classList.remove('held');
      bench.stand(unit, carried.from.row, carried.from.column);
      carried = null;
      moving.textContent = 'It stands where it stood.';
    } else {
      return;
    }
    event.preventDefault();
  });
}

if (editor) {
  editor.querySelectorAll('svg[data-bench]').forEach((svg) => {
    const bench = benchOf(svg);
    dragging(bench);
    keys(bench);
  });
}
