import { benchOf, nextRevision } from '/static/js/plan/layout.js';

/** A bench of two rows and three columns with a unit on the first place, as the server draws one. */
function bench() {
  const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
  svg.dataset.pitch = '100 80';
  svg.dataset.origin = '74 34';
  svg.dataset.grid = '2 3';
  const unit = document.createElementNS('http://www.w3.org/2000/svg', 'g');
  Object.assign(unit.dataset, { unit: 'K34', row: '1', column: '1' });
  svg.append(unit);
  return { bench: benchOf(svg), unit };
}

export const tests = {
  'a point belongs to the place it lies on': (is) => {
    is(bench().bench.place(74 + 150, 34 + 100), { row: 2, column: 2 });
  },
  'a point off the bench belongs to the nearest place': (is) => {
    is(bench().bench.place(-500, 9000), { row: 2, column: 1 });
  },
  'a form follows its own moves, and is stale after those of others': (is) => {
    is(nextRevision('4', '5'), '5');
    is(nextRevision('4', '6'), '4');
    is(nextRevision('', undefined), '');
  },
  'a unit that is put down is found on its new place': (is) => {
    const { bench: here, unit } = bench();
    here.stand(unit, 2, 3);
    is(here.unitAt(2, 3) === unit, true);
    is(here.unitAt(1, 1), null);
    is(unit.getAttribute('transform'), 'translate(324.0 154.0)');
  },
};
