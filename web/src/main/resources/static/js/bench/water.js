// Watering by weight: weigh, give what the server works out, next. Two taps a unit.

import { newToken, post } from '../kit/sending.js';
import { UnitMap } from './map.js';

const place = document.getElementById('watering');
picking(document.getElementById('pick-units'), document.getElementById('units'));
const at = (id) => document.getElementById(id);
const { trial, stops } = JSON.parse(place.dataset.walk);
let index = 0;
let need = 0;
let asked = 0;
let weighing = null;

/** Units tapped on the map stand in the field, and those in the field are marked on the map. */
function picking(sheet, field) {
  const map = new UnitMap(sheet.querySelector('.maps'), () => {});
  const listen = () => {
    const typed = field.value.toUpperCase().split(/[\s,;]+/).filter(Boolean);
    // What is no unit here stays, to be put right.
    const others = typed.filter((code) => !map.cells.has(code));
    map.pick(typed.filter((code) => map.cells.has(code)), (codes) => { field.value = [...others, ...codes].join(' '); });
  };
  if (sheet.open) listen();
  sheet.addEventListener('toggle', () => { if (sheet.open) listen(); });
  field.addEventListener('change', () => { if (sheet.open) listen(); });
}

function show(said = '') {
  const stop = stops[index];
  at('water-place').textContent = `${stop.place} · ${stop.treatment}${stop.target ? ` · up to ${stop.target}` : ''}`;
  at('water-unit').textContent = stop.unit;
  at('water-left').textContent = `${index + 1} of ${stops.length}`;
  at('water-weight').value = '';
  at('water-says').textContent = said;
  at('water-give').disabled = true;
  at('water-give').textContent = 'Given';
}

async function work() {
  const weight = at('water-weight').value.trim();
  const number = ++asked;
  at('water-give').disabled = true;
  if (!weight) return;
  try {
    const query = new URLSearchParams({ unit: stops[index].unit, weight, target: at('target').value.trim() });
    const answer = await (await fetch(`${place.dataset.url}/need?${query}`)).json();
    if (number !== asked) return;
    need = answer.millilitres;
    at('water-says').textContent = answer.text;
    at('water-give').disabled = need < 0;
    at('water-give').textContent = need < 0.5 ? 'None, next' : `Given ${Math.round(need)} mL`;
  } catch {
    if (number === asked) at('water-says').textContent = 'No connection: try again when it is back.';
  }
}

function next(said) {
  index = (index + 1) % stops.length;
  show(index === 0 ? `${said}${said ? '. ' : ''}That was the last one.` : said);
  at('water-weight').focus({ preventScroll: true });
}

async function give() {
  if (need < 0.5) {
    next('');
    return;
  }
  at('water-give').disabled = true;
  try {
    const { status, body } = await post(`${place.dataset.url}/unit`, { unit: stops[index].unit, millilitres: need, token: weighing });
    if (status === 200) {
      weighing = newToken();
      next(`${body.message} written down; next ${stops[(index + 1) % stops.length].unit}`);
    } else {
      at('water-says').textContent = body.message;
      at('water-give').disabled = false;
    }
  } catch {
    at('water-says').textContent = 'No connection: it is not written down yet.';
    at('water-give').disabled = false;
  }
}

async function take() {
  const stop = stops[index];
  for (let tries = 0; tries < 8; tries++) {
    const { body } = await post('/device/scale/weigh', { trial, unit: stop.unit, look: stop.look, endpoint: stop.endpoint });
    if (body.stands === 'STEADY') {
      at('water-weight').value = body.display.replace('−', '-');
      await work();
      return;
    }
    if (body.stands !== 'MOVING') {
      at('water-says').textContent = body.message || 'The scale shows nothing. Type the weight.';
      return;
    }
    await new Promise((done) => { setTimeout(done, 250); });
  }
}

if (stops.length) {
  weighing = newToken();
  at('water-weight').addEventListener('input', work);
  at('water-weight').addEventListener('keydown', (event) => { if (event.key === 'Enter' && !at('water-give').disabled) give(); });
  at('target').addEventListener('input', work);
  at('water-take').addEventListener('click', take);
  at('water-give').addEventListener('click', give);
  at('water-skip').addEventListener('click', () => next(''));
  show();
}
