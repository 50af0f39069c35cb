// Keys of the entry field. A letter is an order only there, only while nothing is begun in it, and only where keys are on.

import { lettersOn } from '../kit/frame.js';

/** Whether a letter would be an order: what is typed is kept whole, so that "48 lb" stays text. */
export function startsFresh({ value, selectionStart, selectionEnd }) {
  return !value || (selectionStart === 0 && selectionEnd === value.length);
}

/**
 * Listens.
 * @param {HTMLInputElement} field
 * @param {{busy: () => boolean, typedAhead: (change: (text: string) => string) => void, back: () => void,
 *   letters: Record<string, (() => void) | null>, words?: () => boolean}} orders words: whether what is typed is text
 */
export function listenForKeys(field, { busy, typedAhead, back, letters, words = () => false }) {
  document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    // A number typed at a page that just opened is meant for the field.
    if (event.target === document.body && (/^[0-9]$/.test(event.key) || event.key === 'Enter')) {
      field.focus();
      if (/^[0-9]$/.test(event.key)) field.select();
      else event.preventDefault();
      return;
    }
    if (event.target !== field) return;
    if (busy()) {
      if (/^[0-9.,]$/.test(event.key)) typedAhead((text) => text + event.key);
      if (event.key === 'Backspace') typedAhead((text) => text.slice(0, -1));
      event.preventDefault();
      return;
    }
    if (event.key === 'Enter' && event.shiftKey) {
      event.preventDefault();
      back();
      return;
    }
    const act = letters[event.key];
    if (act && lettersOn() && !words() && startsFresh(field)) {
      event.preventDefault();
      act();
    }
  });
}
