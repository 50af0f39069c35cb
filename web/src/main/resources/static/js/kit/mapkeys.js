// A map of units is one stop of the Tab key; arrows go from unit to unit.

export const STEPS = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] };

/** Row and column of a unit on its map. */
export const spot = (unit) => ({ row: Number(unit.dataset.row), column: Number(unit.dataset.column) });

/** The nearest unit from a place in a direction; null at the edge. */
export function neighbour(units, { row, column }, [down, right]) {
  const along = units
    .map((unit) => ({ unit, at: spot(unit) }))
    .filter(({ at }) => (down ? at.column === column && Math.sign(at.row - row) === down : at.row === row && Math.sign(at.column - column) === right))
    .sort((one, other) => Math.abs(one.at.row - row) + Math.abs(one.at.column - column) - Math.abs(other.at.row - row) - Math.abs(other.at.column - column));
  return along.length ? along[0].unit : null;
}

/** Makes one unit of a map the one that Tab reaches, and focuses it. */
export function rove(units, unit) {
  units.forEach((one) => one.setAttribute('tabindex', one === unit ? 0 : -1));
  unit.focus();
}
