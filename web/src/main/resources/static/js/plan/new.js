// Adds lines for more media to the form.

import '../kit/frame.js';

const MOST = 12;
const button = document.querySelector('[data-add-line]');
const lines = () => [...document.querySelectorAll('.media-lines .line:not(.headings)')];

button.hidden = lines().length >= MOST;
button.addEventListener('click', () => {
  const number = lines().length;
  const line = lines().at(-1).cloneNode(true);
  line.classList.remove('has-problem');
  line.querySelector('.problem')?.remove();
  line.querySelectorAll('[name]').forEach((input) => {
    input.name = input.name.replace(/\[\d+\]/, `[${number}]`);
    if (input.type === 'checkbox') input.checked = false;
    else input.value = '';
  });
  line.querySelectorAll('[aria-label]').forEach((input) => {
    input.setAttribute('aria-label', input.getAttribute('aria-label').replace(/\d+/, number + 1));
  });
  line.querySelectorAll('.sr-only').forEach((label) => {
    label.textContent = label.textContent.replace(/\d+/, number + 1);
  });
  button.before(line);
  line.querySelector('input').focus();
  button.hidden = number + 1 >= MOST;
});
