// The map beside the entry: what each unit stands at, arrows from unit to unit, and units picked for a note.

import { STEPS, neighbour, rove, spot } from '../kit/mapkeys.js';

/** The one reading of a unit, or how many of several are done. */
export function faceText(tasks) {
  const read = tasks.filter((task) => task.current);
  if (!read.length) return '';
  if (tasks.length === 1 && tasks[0].words) return '✓';
  return tasks.length === 1 ? read[0].current.value.replace(/ (?:g|points?)(?:,.*)?$/, '') : `${read.length}/${tasks.filter((task) => task.possible).length}`;
}

export class UnitMap {
  /**
   * @param {HTMLElement} root holds the maps
   * @param {(code: string) => void} onGo called when a unit is chosen
   */
  constructor(root, onGo) {
    this.root = root;
    this.onGo = onGo;
    this.cells = new Map([...root.querySelectorAll('.unit')].map((cell) => [cell.dataset.unit, cell]));
    this.picked = null;
    root.querySelectorAll('svg[data-bench]').forEach((svg) => this.listen(svg));
  }

  listen(svg) {
    const units = [...svg.querySelectorAll('[data-unit]')];
    svg.addEventListener('click', (event) => {
      const unit = event.target.closest('[data-unit]');
      if (!unit) return;
      event.preventDefault();
      this.chosen(unit);
    });
    svg.addEventListener('keydown', (event) => {
      const unit = event.target.closest('[data-unit]');
      if (!unit) return;
      if (event.key === ' ') this.chosen(unit);
      else if (STEPS[event.key]) {
        const next = neighbour(units, spot(unit), STEPS[event.key]);
        if (next) rove(units, next);
      } else return;
      event.preventDefault();
    });
  }

  chosen(unit) {
    if (!this.picked) {
      this.onGo(unit.dataset.unit);
      return;
    }
    const code = unit.dataset.unit;
    if (!this.picked.delete(code)) this.picked.add(code);
    this.mark();
    this.onPick([...this.picked]);
  }

  /** From now on units are picked, not walked to, beginning with these; {@code onPick} hears which. */
  pick(first, onPick) {
    this.picked = new Set(first);
    this.onPick = onPick;
    this.mark();
    onPick([...this.picked]);
  }

  stopPicking() {
    this.picked = null;
    this.mark();
  }

  mark() {
    this.root.classList.toggle('picking', Boolean(this.picked));
    this.cells.forEach((cell, code) => {
      const on = Boolean(this.picked?.has(code));
      cell.classList.toggle('picked', on);
      if (this.picked) cell.setAttribute('aria-pressed', String(on));
      else cell.removeAttribute('aria-pressed');
      if (this.picked) cell.setAttribute('role', 'button');
      else cell.removeAttribute('role');
    });
  }

  /** Shows how a unit stands. */
  paint({ code, treatmentName, lost, odd, current }, face, here, waiting) {
    const cell = this.cells.get(code);
    const set = (name, on) => cell.classList.toggle(name, Boolean(on));
    set('now', here);
    set('lost', !here && lost > 0);
    set('done', !here && current);
    set('todo', !here && !current && !waiting && !lost);
    set('waiting', waiting);
    set('odd', odd);
    set('bare', !face && !here && !waiting);
    cell.setAttribute('tabindex', here ? '0' : '-1');
    cell.querySelector('text.face').textContent = waiting ? 'waits' : here && !face ? 'now' : face;
    cell.setAttribute('aria-label', `${code}, ${treatmentName}${here ? ', measuring now' : ''}${face ? `, ${face}` : lost ? ', lost' : ', to do'}`);
  }

  /** Brings the map itself into the window, at a unit. */
  show(code) {
    this.reveal(code);
    this.cells.get(code).closest('figure').scrollIntoView({ block: 'start' });
  }

  /** On a phone the map is wider than the screen: brings the unit into its window without moving the page. */
  reveal(code) {
    const cell = this.cells.get(code);
    const frame = cell.closest('figure');
    if (frame.scrollWidth <= frame.clientWidth) return;
    const unit = cell.getBoundingClientRect();
    const seen = frame.getBoundingClientRect();
    frame.scrollLeft += unit.left + unit.width / 2 - seen.left - seen.width / 2;
  }
}
