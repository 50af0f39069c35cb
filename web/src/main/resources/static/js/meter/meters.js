// Takes what the simulated meter shows into a field.

import { post } from '../kit/sending.js';

document.querySelectorAll('form[data-meter]').forEach((form) => {
  form.addEventListener('click', async (event) => {
    const button = event.target.closest('[data-solution]');
    if (!button) return;
    const field = document.getElementById(button.dataset.into);
    try {
      const { body } = await post('/device/meter/read', {
        kind: form.dataset.meter, solution: button.dataset.solution, fault: form.querySelector('[data-fault]').value,
      });
      field.value = body.display;
    } catch {
      field.placeholder = 'no connection: type it';
    }
    field.focus();
  });
});
