// The truth of a practice bench over the units of its trial, and what other plans would have told.

import { drawing } from '../kit/chart.js';

const d3 = globalThis.d3;
const STEP = 46;
const UNITS = [2, 3, 4, 6, 8, 12, 16];

/** What the picture says, for those who can't see it. */
export function saysTruth({ unit, rows }) {
  return rows.map((row) => `${row.swatch.name}: truly ${row.truth.toFixed(1)}, units ${row.figures.map((v) => v.toFixed(1)).join(', ')}`).join('. ') + `. ${unit}`;
}

function drawTruth(place, chart) {
  const wide = Math.max(300, place.clientWidth);
  const left = Math.min(200, wide * 0.4);
  const high = 24 + chart.rows.length * STEP;
  const svg = drawing(place, wide, high + 44, saysTruth(chart));
  const values = chart.rows.flatMap((row) => [...row.figures, row.truth]);
  const x = d3.scaleLinear().domain([Math.min(0, d3.min(values)), d3.max(values) * 1.05 || 1]).range([left, wide - 14]).nice();
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${high})`).call(d3.axisBottom(x).ticks(wide < 480 ? 4 : 6).tickSize(5));
  svg.append('text').attr('class', 'says').attr('x', wide - 14).attr('y', high + 36).attr('text-anchor', 'end').text(chart.unit);
  chart.rows.forEach((row, i) => drawRow(svg, row, x, 24 + i * STEP + STEP / 2, i));
}

function drawRow(svg, row, x, middle, i) {
  svg.append('text').attr('class', 'name').attr('x', 0).attr('y', middle + 5).text(`${row.swatch.code} ${row.swatch.name}`);
  const group = svg.append('g').attr('class', `tint-${row.swatch.tint}`);
  row.figures.forEach((value, k) => {
    group.append('circle').attr('class', 'point').attr('cx', x(value)).attr('cy', middle + ((k % 5) - 2) * 3).attr('r', 4);
  });
  if (row.figures.length) {
    const mean = d3.mean(row.figures);
    group.append('line').attr('class', 'mean').attr('x1', x(mean)).attr('x2', x(mean)).attr('y1', middle - 13).attr('y2', middle + 13);
  }
  svg.append('path').attr('class', 'truth-mark').attr('d', 'M0-9L7 0L0 9L-7 0Z').attr('transform', `translate(${x(row.truth)},${middle})`);
  if (i === 0) svg.append('text').attr('class', 'says').attr('x', x(row.truth)).attr('y', middle - 14).attr('text-anchor', 'middle').text('true');
}

document.querySelectorAll('[data-truth]').forEach((place) => drawTruth(place, JSON.parse(place.dataset.truth)));
document.querySelectorAll('[data-what-if]').forEach(whatIf);

/** Reruns one plan after another; every answer is drawn as it comes, and the rest can be stopped. */
function whatIf(form) {
  const reruns = JSON.parse(form.dataset.reruns);
  const run = form.querySelector('[data-run]');
  const stop = form.querySelector('[data-stop]');
  const says = form.querySelector('[data-says]');
  const place = document.querySelector('[data-what-if-chart]');
  let going = false;
  stop.addEventListener('click', () => { going = false; });
  run.addEventListener('click', async () => {
    going = true;
    run.disabled = true;
    stop.hidden = false;
    place.replaceChildren();
    const answers = [];
    for (const placing of reruns.placings) {
      for (const units of UNITS) {
        if (!going) break;
        says.textContent = `${units} of each, ${placing.label} …`;
        const answer = await asked(reruns.href, units, placing.code);
        if (!answer) {
          going = false;
          says.textContent = 'The bench did not answer. Try again.';
          break;
        }
        answers.push({ units, placing, answer });
        drawAnswers(place, answers, reruns);
      }
    }
    if (going) says.textContent = 'Done.';
    going = false;
    stop.hidden = true;
    run.disabled = false;
  });
}

async function asked(href, units, placing) {
  try {
    const answer = await fetch(`${href}?units=${units}&placing=${placing}`, { headers: { Accept: 'application/json' } });
    return answer.ok ? await answer.json() : null;
  } catch {
    return null;
  }
}

const SHARES = [['right', 'hit', 'right'], ['cantTell', 'open', 'can’t tell'], ['wrong', 'miss', 'wrong']];

function drawAnswers(place, answers, reruns) {
  place.replaceChildren();
  const wide = Math.max(300, place.clientWidth);
  const panels = reruns.placings.filter((placing) => answers.some((one) => one.placing === placing));
  const step = 26;
  const head = 26;
  const block = head + UNITS.length * step;
  const words = answers.map(({ units, placing, answer }) => `${units} of each, ${placing.label}: right in ${percent(answer, 'right')}, wrong in ${percent(answer, 'wrong')} of 100`).join('. ');
  const svg = drawing(place, wide, panels.length * block + 10, words);
  panels.forEach((placing, p) => {
    svg.append('text').attr('class', 'name').attr('x', 0).attr('y', p * block + 16).text(placing.label);
    answers.filter((one) => one.placing === placing).forEach((one, i) => drawBar(svg, one, p * block + head + i * step, wide, reruns));
  });
}

const percent = (answer, what) => Math.round((100 * answer[what]) / (answer.right + answer.wrong + answer.cantTell));

function drawBar(svg, { units, placing, answer }, y, wide, reruns) {
  const own = units === reruns.units && placing.code === reruns.placing;
  const x = d3.scaleLinear().domain([0, 100]).range([92, wide - 8]);
  svg.append('text').attr('class', 'says').attr('x', 84).attr('y', y + 15).attr('text-anchor', 'end').text(`${units} of each${own ? ' (yours)' : ''}`);
  let from = 0;
  SHARES.forEach(([what, css, word]) => {
    const share = (100 * answer[what]) / (answer.right + answer.wrong + answer.cantTell);
    const group = svg.append('g').attr('class', `rerun-share ${css}`);
    group.append('rect').attr('x', x(from)).attr('y', y).attr('height', 20).attr('width', Math.max(0, x(from + share) - x(from)));
    if (share >= 8) group.append('text').attr('x', x(from) + 6).attr('y', y + 15).text(`${word} ${Math.round(share)} %`);
    from += share;
  });
}
