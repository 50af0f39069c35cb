// The findings page: draws its charts, swaps chart and table, opens the working of a number.

import { typing } from '../kit/frame.js';
import { offerToKeep } from '../kit/keep.js';
import { drawContrasts } from './contrasts.js';
import { drawCourse, courseTable, points } from './course.js';
import { doses } from './dose.js';
import { oneStop } from './grid.js';
import { drawInteraction } from './interaction.js';
import { drawLime } from './lime.js';
import { drawPlantBack } from './plantback.js';
import { drawScatter } from './scatter.js';
import { drawThreshold } from './threshold.js';
import { drawVolumes } from './volumes.js';

document.querySelectorAll('.no-script').forEach((words) => words.remove());

/** Draws what each place holds, as wide as the place is; again when that changes by much. */
function drawEach(attribute, draw) {
  document.querySelectorAll(`[data-${attribute}]`).forEach((place) => {
    draw(place, JSON.parse(place.dataset[attribute]));
  });
}
drawEach('contrasts', drawContrasts);
drawEach('interaction', drawInteraction);
drawEach('scatter', drawScatter);
drawEach('portions', drawVolumes);
drawEach('threshold', drawThreshold);
drawEach('lime', drawLime);
drawEach('plantback', drawPlantBack);
document.querySelectorAll('[data-doses]').forEach(doses);
document.querySelectorAll('table[data-grid]').forEach(oneStop);

const courseSections = [...document.querySelectorAll('.courses')].map((section) => {
  const courses = [...section.querySelectorAll('[data-course-chart]')];
  const drawn = courses.map((place) => {
    const chart = JSON.parse(place.dataset.courseChart);
    chart.lines.forEach((line) => { line.points = points(line.points); });
    const picture = document.createElement('div');
    const table = document.createElement('div');
    table.className = 'scroll';
    table.tabIndex = 0;
    table.setAttribute('role', 'region');
    table.setAttribute('aria-label', `Numbers of the chart: ${chart.label}`);
    table.hidden = true;
    place.append(picture, table);
    table.append(courseTable(chart));
    return { place, picture, table, chart, done: false };
  });
  // A hidden place has no width to draw in: it is drawn when it is first shown.
  const show = (one) => {
    if (!one.done && !one.place.hidden) {
      one.done = true;
      drawCourse(one.picture, one.chart);
    }
  };
  drawn.forEach(show);
  const switches = [...section.querySelectorAll('[data-course]')];
  switches.forEach((button) =>
    button.addEventListener('click', () => {
      switches.forEach((one) => one.setAttribute('aria-pressed', one === button));
      drawn.forEach((one, i) => {
        one.place.hidden = String(i) !== button.dataset.course;
        show(one);
      });
    }));
  const tableSwitch = section.querySelector('[data-table]');
  const swap = () => {
    const on = tableSwitch.getAttribute('aria-pressed') !== 'true';
    tableSwitch.setAttribute('aria-pressed', on);
    drawn.forEach((one) => {
      one.picture.hidden = on;
      one.table.hidden = !on;
    });
  };
  tableSwitch?.addEventListener('click', swap);
  return tableSwitch ? swap : null;
}).filter(Boolean);

document.addEventListener('keydown', (event) => {
  if (event.key === 'n' && !typing(event.target) && !event.ctrlKey && !event.metaKey && !document.querySelector('dialog[open]')) courseSections.forEach((swap) => swap());
});

document.querySelectorAll('.sheet:not(.report)').forEach(offerToKeep);

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
