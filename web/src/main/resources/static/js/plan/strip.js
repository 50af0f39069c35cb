// The looks of a plan on a strip of time: dragged, or moved by arrow keys. The fields below hold what counts; times that are
// typed another way than the strip writes them stay as they are and have no handle.

const HOUR = 1;
const DAY = 24;
const EDGE = 30;
const HIGH = 64;
const LINE = 22;
const NS = 'http://www.w3.org/2000/svg';

/** Hours after the start, as this strip writes them: "6 h", "7 d"; null for anything else. */
export function hours(text) {
  const found = /^\s*(\d+(?:[.]\d+)?)\s*(h|d)\s*$/i.exec(text);
  return found ? Number(found[1]) * (found[2].toLowerCase() === 'd' ? DAY : HOUR) : null;
}

/** As it is typed. */
export const written = (after) => (after > 0 && after % DAY === 0 ? `${after / DAY} d` : `${after} h`);

/** How far a handle moves at once there: by the hour on the first two days, then by the day. */
export const stepAt = (after) => (after < 2 * DAY ? HOUR : DAY);

/** The nearest time that looks are planned at. */
export function snapped(after) {
  const step = stepAt(after);
  return Math.max(HOUR, Math.round(after / step) * step);
}

/** Early looks stand closer in time than late ones: places go with the root of time. */
export const placeOf = (after, longest, wide) => EDGE + (wide - 2 * EDGE) * Math.sqrt(after / longest);

export const timeAt = (x, longest, wide) => longest * (Math.min(1, Math.max(0, (x - EDGE) / (wide - 2 * EDGE))) ** 2);

function add(parent, name, attributes, text) {
  const node = document.createElementNS(NS, name);
  Object.entries(attributes).forEach(([key, value]) => node.setAttribute(key, value));
  if (text !== undefined) node.textContent = text;
  parent.append(node);
  return node;
}

export class Strip {
  constructor(place, form) {
    this.place = place;
    this.fields = () => [...form.querySelectorAll('[name^="looks["][name$=".after"]')];
    form.addEventListener('input', (event) => {
      if (/^looks\[\d+\]\.(after|name)$/.test(event.target.name) && !this.moving) this.draw();
    });
    this.draw();
  }

  looks() {
    return this.fields()
      .map((field) => ({ field, after: hours(field.value), name: field.form.elements[field.name.replace('.after', '.name')]?.value }))
      .filter((look) => look.after !== null && look.after > 0);
  }

  draw() {
    const looks = this.looks();
    this.place.hidden = looks.length === 0;
    this.place.replaceChildren();
    if (looks.length === 0) return;
    this.wide = Math.max(280, this.place.clientWidth);
    this.longest = 1.25 * Math.max(...looks.map((look) => look.after));
    const svg = add(this.place, 'svg', { class: 'look-strip', viewBox: `0 0 ${this.wide} ${HIGH}`, role: 'group', 'aria-label': 'Looks on a strip of time' });
    add(svg, 'line', { class: 'track', x1: EDGE, x2: this.wide - EDGE, y1: LINE, y2: LINE });
    add(svg, 'text', { x: EDGE, y: HIGH - 8, 'text-anchor': 'middle' }, 'start');
    looks.forEach((look) => this.handle(svg, look));
  }

  handle(svg, look) {
    const group = add(svg, 'g', { class: 'handle', role: 'slider', tabindex: '0', 'aria-valuemin': HOUR, 'aria-valuemax': Math.ceil(this.longest) });
    add(group, 'rect', { class: 'hit', x: -22, y: LINE - 22, width: 44, height: 44 });
    add(group, 'circle', { cx: 0, cy: LINE, r: 9 });
    add(group, 'text', { y: HIGH - 8, 'text-anchor': 'middle' });
    this.stand(group, look);
    group.addEventListener('keydown', (event) => {
      const way = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
      if (!way) return;
      event.preventDefault();
      this.move(group, look, look.after + way * stepAt(way < 0 ? look.after - HOUR : look.after));
    });
    group.addEventListener('pointerdown', (event) => {
      group.setPointerCapture(event.pointerId);
      const drag = (at) => {
        const box = svg.getBoundingClientRect();
        this.move(group, look, timeAt(((at.clientX - box.left) * this.wide) / box.width, this.longest, this.wide));
      };
      group.addEventListener('pointermove', drag);
      group.addEventListener('pointerup', () => group.removeEventListener('pointermove', drag), { once: true });
    });
  }

  /** The handle at its time, in words too. */
  stand(group, look) {
    const told = written(look.after);
    group.setAttribute('transform', `translate(${placeOf(look.after, this.longest, this.wide).toFixed(1)} 0)`);
    group.setAttribute('aria-valuenow', look.after);
    group.setAttribute('aria-valuetext', told);
    group.setAttribute('aria-label', `Time of ${look.name || told}`);
    group.querySelector('text').textContent = told;
  }

  move(group, look, after) {
    look.after = Math.min(snapped(after), Math.floor(this.longest));
    look.field.value = written(look.after);
    this.stand(group, look);
    this.moving = true;
    look.field.dispatchEvent(new Event('input', { bubbles: true }));
    this.moving = false;
  }
}

const place = document.getElementById('look-strip');
if (place) new Strip(place, place.closest('form'));
