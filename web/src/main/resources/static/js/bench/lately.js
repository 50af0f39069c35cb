// What has been read at this look, a line a unit, under the map: whoever reads it aloud sees at once what was misheard.

/** A unit's readings in words: "plants up 8 · height 12.3, 11.9 cm"; empty while there is none. */
export function readSoFar(tasks) {
  const read = tasks.filter((task) => task.current);
  const names = [...new Set(read.map((task) => task.endpointName))];
  const alone = new Set(tasks.map((task) => task.endpointName)).size === 1;
  return names.map((name) => {
    const own = read.filter((task) => task.endpointName === name);
    const values = own.map((task) => task.current.text).join(', ');
    return `${alone ? '' : `${name.toLowerCase()} `}${values}${own[0].symbol && !own[0].words ? ` ${own[0].symbol}` : ''}`;
  }).join(' · ');
}

export class Lately {
  constructor(place, tasks) {
    this.place = place;
    this.units = new Map();
    tasks.forEach((task) => {
      if (!this.units.has(task.code)) this.units.set(task.code, { tasks: [], item: line(task.code) });
      this.units.get(task.code).tasks.push(task);
    });
    place.querySelector('ul').replaceChildren(...[...this.units.values()].map((unit) => unit.item));
    this.units.forEach((unit) => tell(unit));
    this.show();
  }

  /** Draws the line of one unit anew. */
  draw(code) {
    tell(this.units.get(code));
    this.show();
  }

  show() {
    this.place.hidden = [...this.units.values()].every((unit) => unit.item.hidden);
  }
}

function line(code) {
  const item = document.createElement('li');
  const name = document.createElement('b');
  name.className = 'mono';
  name.textContent = code;
  item.append(name, ' ', document.createElement('span'));
  return item;
}

function tell({ tasks, item }) {
  const text = readSoFar(tasks);
  item.hidden = text === '';
  item.querySelector('span').textContent = text;
}
