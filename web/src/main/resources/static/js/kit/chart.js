// The chart kit: small parts that all charts are drawn with. d3 is loaded before the modules.

const d3 = globalThis.d3;

/** A drawing with a text alternative, scaled to its place. */
export function drawing(place, width, height, says) {
  if (document.body.dataset.us) queueMicrotask(() => tellScale(place));
  return d3.select(place).append('svg').attr('class', 'chart').attr('viewBox', `0 0 ${width} ${height}`)
    .attr('role', 'img').attr('aria-label', says);
}

/** What an axis counts, with its unit: above the upright one, below the level one. */
export const axisName = (label, unit) => `${label.charAt(0).toUpperCase()}${label.slice(1)}${unit ? `, ${unit}` : ''}`;

/** Names the upright axis, above its top end. */
export function nameUp(svg, y, label, unit) {
  return svg.append('text').attr('class', 'axis-name').attr('x', 0).attr('y', y).text(axisName(label, unit));
}

/** Names the level axis, under its right end. */
export function nameAlong(svg, x, y, label, unit) {
  return svg.append('text').attr('class', 'axis-name').attr('x', x).attr('y', y).attr('text-anchor', 'end').text(axisName(label, unit));
}

const DASHES = ['', '7 4', '2 4', '10 3 2 3', '1 6'];

/** The pattern of a line among others, so that none is told by its colour alone. */
export const dash = (i) => DASHES[i % DASHES.length];

/** Moves heights apart, in order, where they are nearer than that. */
export function apart(placed, least) {
  placed.sort((a, b) => a.at - b.at);
  placed.forEach((one, k) => { if (k && one.at - placed[k - 1].at < least) one.at = placed[k - 1].at + least; });
  return placed;
}

/** A name in as many lines as it needs, none longer than that many letters but a word that is. */
export function lines(text, letters) {
  const wrapped = [];
  text.split(' ').forEach((word) => {
    const last = wrapped.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= letters) wrapped[wrapped.length - 1] = `${last} ${word}`;
    else wrapped.push(word);
  });
  return wrapped;
}

/** Writes a name in lines that end at the same height where they stand alone. */
export function writeLines(svg, text, letters, x, middle, line = 17) {
  const wrapped = lines(text, letters);
  const words = svg.append('text').attr('class', 'name');
  wrapped.forEach((one, i) => words.append('tspan').attr('x', x).attr('y', middle + 4 + (i - (wrapped.length - 1) / 2) * line).text(one));
  return words;
}

/** The symbol among these that a text of a drawing names at its end: "g", "Depth, cm", "difference, g; shaded …". */
export function unitNamed(text, symbols) {
  const words = text.split(';')[0].split(', ').pop().trim();
  return symbols.find((symbol) => symbol === words) ?? null;
}

/** Axes stay metric; a line under the drawing says what their units are in US measures. */
function tellScale(place) {
  const scales = JSON.parse(document.body.dataset.us);
  const named = [...place.querySelectorAll('svg.chart > text, svg.chart g > text')]
    .map((one) => unitNamed(one.textContent, Object.keys(scales))).filter(Boolean);
  place.querySelector('.us-scale')?.remove();
  if (!named.length) return;
  const line = document.createElement('p');
  line.className = 'hint us-scale';
  line.textContent = [...new Set(named)].map((symbol) => scales[symbol]).join('; ');
  place.append(line);
}

/** Hours for an axis: whole days when the time is long, else hours. */
export function timeTicks(hours) {
  if (hours <= 12) return { values: d3.range(0, hours + 0.01, hours <= 6 ? 1 : 2), text: (h) => (h ? `${h} h` : '0') };
  if (hours <= 48) return { values: d3.range(0, hours + 0.01, hours <= 26 ? 6 : 12), text: (h) => (h ? `${h} h` : '0') };
  const step = Math.max(1, Math.ceil(hours / 24 / 6)) * 24;
  return { values: d3.range(0, hours + 0.01, step), text: (h) => (h ? `${h / 24} d` : '0') };
}

/** Days with one decimal. */
export const days = (hours) => (hours / 24).toFixed(1);

/** A table with the numbers of a chart. */
export function numbersTable(caption, heads, rows) {
  const table = document.createElement('table');
  table.className = 'figures numbers';
  table.createCaption().textContent = caption;
  const head = table.createTHead().insertRow();
  heads.forEach((text, i) => {
    const cell = document.createElement('th');
    cell.scope = 'col';
    cell.textContent = text;
    if (i) cell.className = 'num';
    head.append(cell);
  });
  const body = table.createTBody();
  rows.forEach((row) => {
    const line = body.insertRow();
    row.forEach((text, i) => {
      const cell = i ? line.insertCell() : document.createElement('th');
      if (!i) {
        cell.scope = 'row';
        line.append(cell);
      } else {
        cell.className = 'num';
      }
      cell.textContent = text;
    });
  });
  return table;
}
