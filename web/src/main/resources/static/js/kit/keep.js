// Pictures as SVG, tables as CSV or copied as they stand: what a page shows, taken along.

const STYLES = ['fill', 'stroke', 'stroke-width', 'stroke-dasharray', 'stroke-opacity', 'fill-opacity', 'opacity', 'font-family', 'font-size', 'font-weight', 'text-anchor', 'display', 'visibility', 'paint-order'];
const FORMULA = /^'*[=+\-@\t\r]/;

/** A name for a file: the words of a heading. */
export function named(words, ending) {
  const plain = words.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '');
  return `${plain.slice(0, 60) || 'elsom'}.${ending}`;
}

/** One cell of a CSV: numbers plain, so that spreadsheets take them for numbers; text that would be run as a formula guarded. */
export function csvCell(text) {
  const tidy = text.replace(/\s+/g, ' ').trim();
  const number = tidy.replace(/^[−-]/, '-').replace(/^\+/, '');
  if (/^-?\d+(\.\d+)?$/.test(number)) return number;
  const guarded = FORMULA.test(tidy) ? `'${tidy}` : tidy;
  return /[",\n]/.test(guarded) ? `"${guarded.replaceAll('"', '""')}"` : guarded;
}

/** A table as rows of text, cells that span repeated empty. */
export function rowsOf(table) {
  return [...table.rows].map((row) =>
    [...row.cells].flatMap((cell) => [cell.innerText ?? cell.textContent, ...Array(Math.max(0, (cell.colSpan || 1) - 1)).fill('')]));
}

export const csvOf = (table) => `${rowsOf(table).map((row) => row.map(csvCell).join(',')).join('\r\n')}\r\n`;

/** A drawing that needs no style sheet: every part carries what it looks like, and patterns come along. */
export function standing(svg) {
  const copy = svg.cloneNode(true);
  const from = [svg, ...svg.querySelectorAll('*')];
  const to = [copy, ...copy.querySelectorAll('*')];
  from.forEach((part, i) => {
    const seen = getComputedStyle(part);
    // As attributes of the drawing: a style attribute is what the page's security policy forbids.
    STYLES.forEach((name) => to[i].setAttribute(name, seen.getPropertyValue(name)));
    to[i].removeAttribute('style');
    to[i].removeAttribute('class');
  });
  copy.querySelectorAll('a').forEach((link) => link.removeAttribute('href'));
  const defs = document.createElementNS('http://www.w3.org/2000/svg', 'defs');
  const wanted = new Set([...copy.outerHTML.matchAll(/url\((?:&quot;|["'])?[^)#]*#([\w-]+)/g)].map((match) => match[1]));
  wanted.forEach((id) => {
    const pattern = copy.querySelector(`#${CSS.escape(id)}`) ? null : document.getElementById(id);
    if (pattern) defs.append(withStyles(pattern));
  });
  copy.prepend(defs);
  const { width, height } = svg.getBoundingClientRect();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', Math.round(width));
  copy.setAttribute('height', Math.round(height));
  return copy;
}

function withStyles(pattern) {
  const copy = pattern.cloneNode(true);
  const from = [...pattern.querySelectorAll('*')];
  [...copy.querySelectorAll('*')].forEach((part, i) => {
    const seen = getComputedStyle(from[i]);
    ['fill', 'stroke', 'stroke-width'].forEach((name) => part.setAttribute(name, seen.getPropertyValue(name)));
  });
  return copy;
}

/** Lets the browser save a text under a name. */
export function save(text, name, type) {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type: `${type};charset=utf-8` }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

/** Copies a table with its rows and columns, as a spreadsheet takes it. */
function copyTable(table) {
  const range = document.createRange();
  range.selectNode(table);
  const selection = getSelection();
  selection.removeAllRanges();
  selection.addRange(range);
  const done = document.execCommand('copy');
  selection.removeAllRanges();
  return done;
}

function button(label, says, act) {
  const one = document.createElement('button');
  one.type = 'button';
  one.textContent = label;
  one.setAttribute('aria-label', says);
  one.addEventListener('click', act);
  return one;
}

const shownIn = (sheet, selector) => [...sheet.querySelectorAll(selector)].filter((one) => one.closest('.sheet') === sheet && !one.closest('[hidden]'));

/** Buttons under each sheet that has a picture or a table. */
export function offerToKeep(sheet) {
  const pictures = () => shownIn(sheet, 'svg.chart, figure.map svg');
  const tables = () => shownIn(sheet, 'table.figures').filter((table) => table.rows.length > 1);
  if (sheet.querySelector(':scope > .keeps') || (!pictures().length && !tables().length)) return;
  const words = sheet.querySelector('h2')?.innerText ?? document.title;
  const line = document.createElement('p');
  line.className = 'keeps no-print';
  if (pictures().length) {
    line.append(button('Picture as SVG', `Picture of ${words} as SVG`, () =>
      pictures().forEach((svg, i) => save(standing(svg).outerHTML, named(`${words}${i ? ` ${i + 1}` : ''}`, 'svg'), 'image/svg+xml'))));
  }
  if (tables().length) {
    line.append(button('Table as CSV', `Table of ${words} as CSV`, () =>
      save(tables().map(csvOf).join('\r\n'), named(words, 'csv'), 'text/csv')));
    const copying = button('Copy the table', `Copy the table of ${words}`, () => {
      copying.textContent = copyTable(tables()[0]) ? 'Copied' : 'The browser refused; mark the table and copy it';
    });
    line.append(copying);
  }
  sheet.append(line);
}
