// The findings page: draws its charts, swaps chart and table, opens the working of a number.

import { lettersOn, typing } from '../kit/frame.js';
import { offerToKeep } from '../kit/keep.js';
import { oneStop } from './grid.js';

document.querySelectorAll('.no-script').forEach((words) => words.remove());

/** Draws what a place holds, at one of its looks, as wide as the place is: a hidden place is drawn when it is first shown. */
async function draw(place, look) {
  const { draw: drawing } = await import(`./${place.dataset.chart}.js`);
  drawing(place, JSON.parse(place.dataset.drawn), look);
}
const drawn = new Set();
async function drawShown(root, look) {
  const places = [...root.querySelectorAll('[data-chart]')].filter((place) => {
    const again = look !== undefined && place.dataset.drawn.includes('"looks"') && !place.closest('.over-time');
    return !place.closest('[hidden], details:not([open])') && (again || !drawn.has(place));
  });
  places.forEach((place) => drawn.add(place));
  await Promise.all(places.map((place) => draw(place, look)));
}
const allDrawn = drawShown(document);
document.querySelectorAll('table[data-grid]').forEach(oneStop);

/** Parts of which one is shown at a time. */
function choosing(section) {
  const parts = [...section.querySelectorAll('[data-part]')];
  const switches = [...section.querySelectorAll('[data-choose]')];
  switches.forEach((button) => button.addEventListener('click', () => {
    switches.forEach((one) => one.setAttribute('aria-pressed', one === button));
    parts.forEach((part) => { part.hidden = part.dataset.part !== button.dataset.choose; });
    drawShown(section);
  }));
}

/** Pictures and their numbers, in turn. */
function swapping(section) {
  const button = section.querySelector('[data-table]');
  if (!button) return null;
  const swap = () => {
    const on = button.getAttribute('aria-pressed') !== 'true';
    button.setAttribute('aria-pressed', on);
    section.querySelectorAll('.pictured').forEach((table) => { table.hidden = !on; });
    section.querySelectorAll('.part > div > [data-chart]').forEach((place) => { place.hidden = on; });
    drawShown(section);
  };
  button.addEventListener('click', swap);
  return swap;
}

/** A slider that takes pictures and facts from look to look. */
function looking(section) {
  const slider = section.querySelector('.look-slider input');
  slider?.addEventListener('input', () => {
    const look = Number(slider.value);
    section.querySelectorAll('[data-look]').forEach((told) => { told.hidden = Number(told.dataset.look) !== look; });
    const { name } = section.querySelector(`.standing[data-look="${look}"]`).dataset;
    section.querySelector('.look-slider output').textContent = name;
    section.querySelector('[data-at]').textContent = ` · ${name}`;
    drawShown(section, look);
  });
}
const accounts = [...document.querySelectorAll('.account')];
accounts.forEach(choosing);
accounts.forEach(looking);
const swaps = accounts.map(swapping).filter(Boolean);

document.addEventListener('keydown', (event) => {
  if (typing(event.target) || event.ctrlKey || event.metaKey || !lettersOn() || document.querySelector('dialog[open]')) return;
  if (event.key === 'n') swaps.forEach((swap) => swap());
  if (event.key === 'o' && opener) openAll();
});

// A picture is offered once it is there.
allDrawn.then(() => document.querySelectorAll('.sheet:not(.report, .fold)').forEach(offerToKeep));

// ---- what is folded ----

const folds = [...document.querySelectorAll('details.fold')];
async function opened(fold) {
  if (!fold.open) return;
  // What was opened before this script ran is being drawn with the page.
  await Promise.all([allDrawn, drawShown(fold)]);
  if (!fold.closest('.report')) offerToKeep(fold);
}
folds.forEach((fold) => {
  fold.addEventListener('toggle', () => opened(fold));
  opened(fold);
});

/** Unfolds what the address names. */
function unfold() {
  const named = location.hash && document.getElementById(decodeURIComponent(location.hash.slice(1)));
  const fold = named && named.closest('details.fold');
  if (!fold) return;
  fold.open = true;
  fold.scrollIntoView();
}
addEventListener('hashchange', unfold);
unfold();

const opener = document.querySelector('[data-open-all]');
function openAll() {
  const open = folds.some((fold) => !fold.open);
  folds.forEach((fold) => { fold.open = open; });
  opener.firstChild.textContent = open ? 'Fold all ' : 'Open all ';
}
opener?.addEventListener('click', openAll);

/** A part of another page of this trial; goes to that page when it can't be had. */
async function part(href, selector) {
  const response = await fetch(`${href}&sheet=true`);
  if (!response.ok) {
    location.assign(href);
    return null;
  }
  return new DOMParser().parseFromString(await response.text(), 'text/html').querySelector(selector);
}

const units = document.getElementById('units');
units?.addEventListener('toggle', async () => {
  const table = await part(units.dataset.href, '.sheet');
  if (!table) return;
  units.querySelector('.hint').replaceWith(table);
  offerToKeep(table);
}, { once: true });

const sheet = document.getElementById('working');
async function showWorking(href) {
  const working = await part(href, '.working');
  if (!working) return;
  sheet.replaceChildren(working);
  sheet.scrollTop = 0;
  if (!sheet.open) sheet.showModal();
}
document.addEventListener('click', (event) => {
  const link = event.target.closest('a');
  if (!sheet || !link || event.ctrlKey || event.metaKey || event.shiftKey) return;
  const href = link.getAttribute('href') ?? '';
  if (href.includes('/findings/working?')) {
    event.preventDefault();
    showWorking(href);
  }
});
