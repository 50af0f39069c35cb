// An instrument held to a unit: its button stands there while what is to be read is read with one.

import { post } from '../kit/sending.js';

export class HandMeter {
  /**
   * @param {HTMLButtonElement} button
   * @param {() => object} what is to be read
   * @param {(display: string) => void} onShown
   * @param {(message: string) => void} onDark
   */
  constructor(button, what, onShown, onDark) {
    this.button = button;
    this.line = document.getElementById('meter-fault-line');
    document.getElementById('meter-fault')?.addEventListener('change', (event) => this.wrong(what(), event.target.value));
    button.addEventListener('click', async () => {
      const asked = JSON.stringify(what());
      try {
        const { body } = await post('/device/hand/read', what());
        // Whoever went on meanwhile does not get another unit's value.
        if (asked !== JSON.stringify(what())) return;
        if (body.display) onShown(body.display.replace('−', '-'));
        else onDark(body.message);
      } catch {
        onDark(`No connection to the ${button.dataset.meter}. Type the value instead.`);
      }
    });
  }

  /** Something is made wrong with the simulated instrument, to practise. */
  async wrong(what, fault) {
    try {
      const { body } = await post('/device/hand/fault', { ...what, fault });
      document.getElementById('meter-says').textContent = body.message;
    } catch {
      document.getElementById('meter-says').textContent = 'No connection to it.';
    }
  }

  /** @param {string} meter that reads the current observation; empty for none */
  stand(meter) {
    this.button.hidden = !meter;
    this.button.dataset.meter = meter;
    this.button.textContent = `Take from the ${meter}`;
    if (!this.line) return;
    this.line.hidden = !meter;
    this.line.querySelector('[data-meter]').textContent = meter;
  }
}
