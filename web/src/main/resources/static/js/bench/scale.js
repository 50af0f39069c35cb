// The scale's buttons and display.

import { post } from '../kit/sending.js';

const TRIES = 8;
const BETWEEN_MS = 250;
const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));

export class Scale {
  /** @param {() => object} load what is on the pan */
  constructor(load) {
    this.load = load;
    this.display = document.getElementById('scale-display');
    this.says = document.getElementById('scale-says');
    document.getElementById('tare').addEventListener('click', () => this.tare());
    document.getElementById('fault').addEventListener('change', (event) =>
      this.ask('/device/scale/fault', { fault: event.target.value }));
  }

  async ask(url, fields) {
    try {
      const { body } = await post(url, fields);
      this.display.textContent = body.display ? `${body.display} g` : '– – –';
      this.says.textContent = body.message;
      return body;
    } catch {
      this.display.textContent = '– – –';
      this.says.textContent = 'No connection to the scale. Type the weight instead.';
      return null;
    }
  }

  /** Waits until the display is steady. Resolves to its text, or to null when it shows no weight. */
  async take() {
    for (let attempt = 0; attempt < TRIES; attempt++) {
      const shown = await this.ask('/device/scale/weigh', this.load());
      if (!shown || !shown.stands) return null;
      if (shown.stands === 'STEADY') return `${shown.display.replace('−', '-')} g`;
      if (shown.stands !== 'MOVING') return null;
      await pause(BETWEEN_MS);
    }
    return null;
  }

  tare() {
    return this.ask('/device/scale/tare', { panCleared: true });
  }
}
