// The bench without a network: what is shown says from when it is, and what is shown with one is kept for then.

import { canKeep, keptAt, refresh } from '../kit/offline.js';

const AFTER_MS = 4000;

export class KeptBench {
  #timer = 0;
  #trial;

  constructor(trial) {
    this.#trial = trial;
    const at = keptAt();
    const box = document.getElementById('kept');
    if (at) {
      const when = at.toLocaleString([], { weekday: 'short', hour: '2-digit', minute: '2-digit' });
      box.querySelector('b').textContent = `No network: the bench as last seen here, ${when}.`;
      box.hidden = false;
    }
    document.getElementById('cant-keep').hidden = canKeep();
  }

  /** Something was saved: keeps the bench anew when nothing more was for a while. */
  changed() {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => refresh(this.#trial), AFTER_MS);
  }
}
