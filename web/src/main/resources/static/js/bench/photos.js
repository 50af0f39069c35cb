// Photos of the unit at hand, taken without leaving the bench.

import { PhotoQueue, drawPhotos } from '../kit/photos.js';

/**
 * @param {{trial: number, look: number, lookName: string}} data
 * @param {() => string} unit the unit at hand
 */
export function benchPhotos({ trial, look, lookName }, unit) {
  const box = document.getElementById('photos-waiting');
  const sent = document.getElementById('photo-sent');
  const input = document.getElementById('photo');
  const queue = new PhotoQueue(
    (all) => drawPhotos(box, all.filter((photo) => photo.trial === trial), queue),
    (photo, { href }) => {
      const link = document.createElement('a');
      link.href = href;
      link.textContent = `Photo of ${photo.unit}`;
      sent.replaceChildren(link, ' is kept.');
    },
  );
  async function take() {
    const [file] = input.files;
    if (!file) return;
    input.value = '';
    const of = unit();
    sent.textContent = '';
    try {
      await queue.add({ trial, unit: of, look, lookName }, file);
    } catch {
      sent.textContent = `The photo of ${of} could not be kept on this device: it has no room, or its browser keeps nothing.`;
    }
  }
  input.addEventListener('change', take);
  take(); // One that was chosen before this file was here.
  queue.flush();
}
