// A photo that is chosen on a unit's page waits on this device where there is no network.

import { PhotoQueue, drawPhotos } from '../kit/photos.js';

const form = document.querySelector('.add-photo');
const box = document.getElementById('photos-waiting');
const trial = Number(form.dataset.trial);
const queue = new PhotoQueue(
  (all) => drawPhotos(box, all.filter((photo) => photo.trial === trial), queue),
  (photo, { href }) => { if (photo.unit === form.unit.value) location.assign(href); },
);

form.addEventListener('submit', async (event) => {
  const [file] = form.file.files;
  if (!file) return;
  event.preventDefault();
  const look = form.look.options[form.look.selectedIndex];
  try {
    await queue.add({ trial, unit: form.unit.value, look: Number(look.value), lookName: look.text }, file);
    form.file.value = '';
  } catch {
    form.submit();
  }
});
queue.flush();
