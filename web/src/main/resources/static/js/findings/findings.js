// The findings page: draws its charts, swaps chart and table, opens the working of a number.

import { typing } from '../kit/frame.js';
import { drawCourse, courseTable } from './course.js';
import { drawPortions } from './portions.js';

const courses = [...document.querySelectorAll('[data-course-chart]')];
courses.forEach((place) => {
  const chart = JSON.parse(place.dataset.courseChart);
  const drawn = document.createElement('div');
  const table = document.createElement('div');
  table.className = 'scroll';
  table.tabIndex = 0;
  table.setAttribute('role', 'region');
  table.setAttribute('aria-label', 'Numbers of the chart');
  table.hidden = true;
  place.append(drawn, table);
  drawCourse(drawn, chart);
  table.append(courseTable(chart));
});
document.querySelectorAll('[data-portions]').forEach((place) => drawPortions(place, JSON.parse(place.dataset.portions)));

const switches = [...document.querySelectorAll('[data-course]')];
switches.forEach((button) =>
  button.addEventListener('click', () => {
    switches.forEach((one) => one.setAttribute('aria-pressed', one === button));
    courses.forEach((place, i) => { place.hidden = String(i) !== button.dataset.course; });
  }));

const tableSwitch = document.querySelector('[data-table]');
function swapTable() {
  const on = tableSwitch.getAttribute('aria-pressed') !== 'true';
  tableSwitch.setAttribute('aria-pressed', on);
  courses.forEach((place) => {
    place.children[0].hidden = on;
    place.children[1].hidden = !on;
  });
}
tableSwitch?.addEventListener('click', swapTable);
document.addEventListener('keydown', (event) => {
  if (event.key === 'n' && tableSwitch && !typing(event.target) && !event.ctrlKey && !event.metaKey && !document.querySelector('dialog[open]')) swapTable();
});

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
  if (table) units.querySelector('.hint').replaceWith(table);
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
