// A table of numbers as one stop of the Tab key, with arrow keys from number to number.

const MOVES = { ArrowLeft: [0, -1], ArrowRight: [0, 1], ArrowUp: [-1, 0], ArrowDown: [1, 0] };

/** Which cell comes next; the same one at an edge. Rows may lack cells. */
export function next(cells, [row, column], key, withControl) {
  if (key === 'Home') return [withControl ? 0 : row, 0];
  if (key === 'End') return withControl ? [cells.length - 1, cells.at(-1).length - 1] : [row, cells[row].length - 1];
  const [down, right] = MOVES[key] ?? [0, 0];
  const to = [row + down, column + right];
  return cells[to[0]]?.[to[1]] ? to : [row, column];
}

export function oneStop(table) {
  const rows = [...table.tBodies[0].rows].map((row) => [...row.querySelectorAll('a.figure[href]')]).filter((row) => row.length);
  rows.flat().forEach((link, i) => { link.tabIndex = i ? -1 : 0; });
  table.addEventListener('keydown', (event) => {
    const at = rows.map((row, r) => [r, row.indexOf(event.target)]).find(([, c]) => c >= 0);
    if (!at || !(event.key in MOVES || event.key === 'Home' || event.key === 'End')) return;
    event.preventDefault();
    const [r, c] = next(rows, at, event.key, event.ctrlKey);
    event.target.tabIndex = -1;
    rows[r][c].tabIndex = 0;
    rows[r][c].focus();
  });
}
