// A sheet remembers on this device what was last typed in it, and offers it when it is opened anew.

const sheet = document.querySelector('.sum-sheet[data-sum]');

/** Where a sheet's last values are kept. */
export function placeOf(code) {
  return `elsom-sum-${code}`;
}

/** The address of a sheet with what was last typed; empty when nothing was, or it stands there already. */
export function lastTime(path, kept, now) {
  return kept && kept !== now ? `${path}${kept}` : '';
}

if (sheet) {
  const place = placeOf(sheet.dataset.sum);
  const address = lastTime(location.pathname, localStorage.getItem(place), location.search);
  if (location.search) localStorage.setItem(place, location.search);
  const link = document.getElementById('last-time');
  if (!location.search && address) {
    link.href = address;
    link.hidden = false;
  }
}
