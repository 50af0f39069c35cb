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

  /** @param {string} meter that reads the current observation; empty for none */
  stand(meter) {
    this.button.hidden = !meter;
    this.button.dataset.meter = meter;
    this.button.textContent = `Take from the ${meter}`;
  }
}
