// What every page can do: open dialogs, "/" to search, "?" for its keys, print, say that the next one takes a while.

import { tieProblems } from './problems.js';
import { tellWhileWorking } from './taking-long.js';

tellWhileWorking();
tieProblems();

/** True while a key press belongs to a text field. */
export function typing(target) {
  return target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));
}

/** Opens a dialog by its id, if it is not open. */
export function open(id) {
  const dialog = document.getElementById(id);
  if (dialog && !dialog.open) dialog.showModal();
  return dialog;
}

document.addEventListener('click', (event) => {
  const opener = event.target.closest('[data-opens]');
  if (opener) open(opener.dataset.opens);
  const closer = event.target.closest('dialog [data-closes]');
  if (closer) {
    event.preventDefault();
    closer.closest('dialog').close();
  }
  if (event.target.closest('[data-prints]')) window.print();
});

const LETTERS_OFF = 'elsom-letters-off';

/** Whether single keys are orders on this device; speech and shaky hands want them off. */
export function lettersOn() {
  return localStorage.getItem(LETTERS_OFF) === null;
}

const letters = document.getElementById('letters');
letters.checked = lettersOn();
document.documentElement.classList.toggle('letters-off', !letters.checked);
letters.addEventListener('change', () => {
  if (letters.checked) localStorage.removeItem(LETTERS_OFF);
  else localStorage.setItem(LETTERS_OFF, 'yes');
  document.documentElement.classList.toggle('letters-off', !letters.checked);
});

document.addEventListener('keydown', (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || !lettersOn() || document.querySelector('dialog[open]')) return;
  const inText = typing(event.target);
  if (event.key === '/' && !inText) {
    event.preventDefault();
    document.getElementById('search')?.focus();
  } else if (event.key === '?' && !inText) {
    event.preventDefault();
    open('keys-help');
  }
});

document.querySelector('[data-focus]')?.focus();

import('./offline.js').then(({ keepBenches }) => keepBenches());
if (!document.getElementById('bench') && Object.keys(localStorage).some((key) => /^elsom-(outbox-|undecided-|photos$)/.test(key))) {
  import('./waiting.js').then(({ sendAndTell }) => sendAndTell());
}

// Going from part to part of a plan at a desk, the keyboard goes on where the next part begins. Whoever comes from elsewhere begins at
// the top, with the way past the head of the page; a phone's keyboard would only cover what is to be read.
const begin = document.querySelector('[data-begin]');
const fromPart = /\/trials\/(?:new|\d+(?:\/plan\/.*)?)$/.test(new URL(document.referrer || location.href, location.href).pathname);
if (begin && document.referrer && fromPart && matchMedia('(min-width: 601px) and (pointer: fine)').matches && document.activeElement === document.body) {
  begin.focus();
}

// What was asked about has its readings as buttons: one puts its text into the box it belongs to.
document.addEventListener('click', (event) => {
  const button = event.target.closest('[data-takes]');
  if (!button) return;
  const box = document.getElementsByName(button.dataset.takes)[0];
  if (!box) return;
  box.value = button.textContent;
  box.dispatchEvent(new Event('input', { bubbles: true }));
  box.dispatchEvent(new Event('change', { bubbles: true }));
  box.focus();
});
