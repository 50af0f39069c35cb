// Forms of lines: choices that show their own fields, fields that only a dose needs, one line more.

import '../kit/frame.js';

function shown() {
  document.querySelectorAll('input[type=radio][data-shows]').forEach((radio) => {
    document.getElementById(radio.dataset.shows).hidden = !radio.checked;
  });
  document.querySelectorAll('[data-for-dose]').forEach((fields) => {
    fields.hidden = fields.closest('.line').querySelector('select').value !== 'DOSE';
  });
}
document.addEventListener('change', shown);
shown();

/** The next line of a list: a copy of the last one, empty, numbered on. */
function nextLine(line, number) {
  const copy = line.cloneNode(true);
  copy.classList.remove('has-problem');
  copy.querySelector('.problem')?.remove();
  copy.querySelectorAll('[name]').forEach((input) => {
    input.name = input.name.replace(/\[\d+\]/, `[${number}]`);
    if (input.type === 'checkbox') input.checked = false;
    else input.value = '';
  });
  copy.querySelectorAll('[aria-label]').forEach((input) => {
    input.setAttribute('aria-label', input.getAttribute('aria-label').replace(/\d+/, number + 1));
  });
  copy.querySelectorAll('.sr-only').forEach((label) => {
    label.textContent = label.textContent.replace(/\d+/, number + 1);
  });
  return copy;
}

const MOST = 24;
document.querySelectorAll('[data-add-line]').forEach((button) => {
  const lines = () => [...button.parentElement.querySelectorAll('.line:not(.headings)')];
  button.hidden = lines().length >= MOST;
  button.addEventListener('click', () => {
    const line = nextLine(lines().at(-1), lines().length);
    button.before(line);
    line.querySelector('input').focus();
    button.hidden = lines().length >= MOST;
  });
});
