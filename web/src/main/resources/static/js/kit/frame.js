// What every page can do: open dialogs, "/" to search, "?" for its keys, print.

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

document.addEventListener('keydown', (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || document.querySelector('dialog[open]')) return;
  const inText = typing(event.target) && event.target.id !== 'value';
  if (event.key === '/' && !inText) {
    event.preventDefault();
    document.getElementById('search')?.focus();
  } else if (event.key === '?' && !inText) {
    event.preventDefault();
    open('keys-help');
  }
});

document.querySelector('[data-focus]')?.focus();
