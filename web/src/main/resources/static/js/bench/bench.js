// Measuring unit by unit. The server understands, judges and keeps; this walks, shows, and never loses what was typed.

import { typing } from '../kit/frame.js';
import { newToken, post } from '../kit/sending.js';
import { Drafts } from './drafts.js';
import { mishapDialog } from './mishap.js';
import { Outbox } from './outbox.js';
import { Picker } from './picker.js';
import { Scale } from './scale.js';
import { Understanding } from './understanding.js';

const PATIENCE_MS = 1500;

const root = document.getElementById('bench');
const data = JSON.parse(root.dataset.bench);
const base = `/trials/${data.trial}/bench`;
const drafts = new Drafts(`elsom-draft-${data.trial}-${data.look}`);
const at = (id) => document.getElementById(id);
const field = at('value');

const byKey = new Map(data.tasks.map((task) => [task.key, task]));
const done = []; // what this page entered, for undo
let index = Math.max(0, data.tasks.findIndex((task) => task.key === data.start));
let instrument = 'HAND';
let keepOdd = ''; // the text that was already asked about
let busy = false;
let ahead = ''; // what is typed for the next unit while this one is being saved

const picker = at('picker') ? new Picker(at('picker'), picked) : null;
const outbox = new Outbox(`${base}/readings`, `elsom-outbox-${data.trial}`, arrived, netState);
const current = () => data.tasks[index];

// ---- showing ----

function cellOf(task) {
  return root.querySelector(`.unit[data-unit="${task.code}"]`);
}

/** The one reading of a unit, or how many of several are done. */
function faceText(code) {
  const tasks = data.tasks.filter((task) => task.code === code);
  const read = tasks.filter((task) => task.current);
  if (!read.length) return '';
  return tasks.length === 1 ? read[0].current.value.replace(/ (?:g|points?)(?:,.*)?$/, '') : `${read.length} of ${tasks.filter((task) => task.possible).length}`;
}

function paint(task) {
  const cell = cellOf(task);
  const waiting = outbox.read().some((entry) => entry.key === task.key && entry.look === data.look);
  const here = task.code === current().code;
  cell.classList.toggle('now', here);
  cell.classList.toggle('lost', !here && task.lost > 0);
  cell.classList.toggle('done', !here && Boolean(task.current));
  cell.classList.toggle('todo', !here && !task.current && !waiting && !task.lost);
  cell.classList.toggle('waiting', waiting);
  cell.classList.toggle('odd', Boolean(task.odd));
  cell.setAttribute('tabindex', here ? '0' : '-1');
  const face = faceText(task.code);
  cell.querySelector('text.face').textContent = waiting ? 'waits' : here && !face ? 'now' : face;
  cell.classList.toggle('bare', !face && !here && !waiting);
  cell.setAttribute('aria-label', `${task.code}, ${task.treatmentName}${here ? ', measuring now' : ''}${face ? `, ${face}` : task.lost ? ', lost' : ', to do'}`);
}

function show() {
  const task = current();
  at('unit-place').textContent = task.place;
  at('unit-code').textContent = task.code;
  at('unit-all').href = `/trials/${data.trial}/units/${task.code}`;
  at('unit-before').textContent = task.before.map((one) => `${one.look}: ${one.text}`).join(' · ');
  at('unit-treatment').querySelector('rect').setAttribute('fill', `url(#tex-${task.treatment})`);
  at('unit-treatment').querySelector('span').textContent = task.treatmentName;
  at('value-label').textContent = task.lost ? `${task.endpointName} · it was lost, nothing is expected` : task.possible ? task.endpointName : `${task.endpointName} · none to read`;
  at('symbol').textContent = task.symbol;
  field.value = drafts.of(task.key) ?? task.current?.text ?? '';
  field.setAttribute('aria-label', `${task.endpointName}, ${task.code}`);
  at('back').disabled = index === 0;
  instrument = 'HAND';
  keepOdd = task.odd ? field.value : '';
  ask(task.odd ?? '', false);
  showHistory(task);
  showWhy();
  const next = nextIndex();
  const after = next === null ? null : data.tasks[next];
  at('save').textContent = !after ? 'Save' : `Save and go to ${after.code === task.code ? after.endpointName : after.code}`;
  understood('', true);
  pick(task);
  // A finger picks; the keyboard of a phone would only cover what it picks from.
  if (!task.plant || !matchMedia('(pointer: coarse)').matches) {
    field.focus({ preventScroll: Boolean(task.plant) });
    field.select();
  }
}

/** Scores with symptoms are picked; a count of all is one button. */
function pick(task) {
  if (task.plant) {
    picker.show(task.plant, field.value);
    if (matchMedia('(max-width: 600px)').matches && !at('station-name')) root.querySelector('.unit-line').scrollIntoView({ block: 'start' });
  } else {
    picker?.hide();
  }
  root.querySelector('.big').classList.toggle('worded', Boolean(task.plant));
  at('quick').hidden = !task.among;
  at('all-of-them').textContent = `All ${task.among}`;
}

function picked(text, chosen) {
  field.value = text;
  field.dispatchEvent(new Event('input'));
  if (chosen) save();
}

function showHistory(task) {
  const list = at('history').querySelector('ul');
  list.replaceChildren(
    ...task.history.map((one) => {
      const item = document.createElement('li');
      const value = document.createElement('b');
      value.textContent = one.text;
      item.classList.toggle('stands', one.stands);
      item.append(value, ` ${one.when}, ${one.station}${one.reason ? ` · ${one.reason}` : ''}`);
      return item;
    }),
  );
  at('history').hidden = task.history.length === 0;
}

function showWhy() {
  const task = current();
  at('why').hidden = !task.current || field.value.trim() === task.current.text;
}

function ask(text, bad) {
  const box = at('asked');
  box.hidden = !text;
  box.textContent = text;
  box.classList.toggle('bad', bad);
}

function understood(text, good) {
  at('understood').textContent = text;
  at('understood').classList.toggle('bad', !good);
}

function netState(waiting, failing) {
  const net = at('net');
  net.hidden = !(waiting && failing);
  net.textContent = outbox.reason
    || `No connection. ${waiting === 1 ? 'One reading waits' : `${waiting} readings wait`} on this device and ${waiting === 1 ? 'is' : 'are'} sent as soon as it is back. Go on measuring.`;
  data.tasks.forEach(paint);
}

// ---- walking ----

function wants(task) {
  return !task.lost && task.possible && !task.current && !outbox.read().some((entry) => entry.key === task.key && entry.look === data.look);
}

/** The next task without a reading, round the shelf; else simply the next; null at the end of a finished round. */
function nextIndex() {
  const order = data.tasks.map((_, offset) => (index + 1 + offset) % data.tasks.length).slice(0, -1);
  const open = order.find((candidate) => wants(data.tasks[candidate]));
  if (open !== undefined) return open;
  return index + 1 < data.tasks.length ? index + 1 : null;
}

function go(to) {
  const left = current();
  index = to;
  paint(left);
  paint(current());
  show();
}

// ---- saving ----

async function save() {
  const task = current();
  const text = field.value.trim();
  if (busy) return;
  if (!text) {
    ask('Nothing is typed. Type the number, or press s for the scale.', true);
    return;
  }
  if ((task.current && text === task.current.text && !task.stale) || text === keepOdd) {
    task.odd = undefined;
    drafts.keep(task.key, '');
    advance();
    return;
  }
  wait(true);
  understanding.drop();
  drafts.keep(task.key, text);
  const entry = {
    key: task.key, unit: task.code, look: data.look, endpoint: task.endpoint, sub: task.sub, text,
    replaces: task.current?.id ?? null, reason: task.current ? at('reason').value : null,
    timing: data.timing, instrument, token: newToken(), typedAt: Date.now(),
  };
  const answer = await outbox.add(entry, PATIENCE_MS);
  wait(false);
  if (!answer) drafts.keep(task.key, '');
  if (!answer || (answer.status === 200 && answer.body.status === 'SAVED')) {
    const typedAhead = ahead;
    advance();
    if (typedAhead) retype(typedAhead);
  } else {
    if (ahead) at('asked').append(` You had begun to type ${ahead} for the next one.`);
    // Selected, so that a number replaces it and a letter is an order again.
    field.focus();
    field.select();
  }
}

/** While an answer is awaited the field holds still, and what is typed is meant for the next unit. */
function wait(on) {
  busy = on;
  field.readOnly = on;
  if (on) ahead = '';
}

function retype(text) {
  field.value = text;
  field.setSelectionRange(text.length, text.length);
  field.dispatchEvent(new Event('input'));
}

function advance() {
  const next = nextIndex();
  if (next === null) {
    show();
    understood(`Saved. All of “${data.lookName}” is measured.`, true);
  } else {
    go(next);
  }
}

/** What can be read of a unit changes with its counts. */
function learn(code, nothing = []) {
  data.tasks.filter((task) => task.code === code).forEach((task) => { task.possible = !nothing.includes(task.key); });
}

/** An answer came for an entry, now or after a wait. */
function arrived(entry, { status, body }) {
  if (entry.look !== data.look) return;
  const task = byKey.get(entry.key);
  if (!task) return;
  const here = task === current();
  if (status === 200) {
    learn(task.code, body.nothing);
    task.current = body.current;
    task.history = body.history ?? [];
    task.stale = false;
    task.odd = body.status === 'ODD' ? `Saved: ${body.current.value}. ${body.message}` : undefined;
    done.push({ key: task.key, id: body.current.id });
    at('undo').disabled = false;
    drafts.keep(task.key, '');
    if (here && task.odd) {
      keepOdd = entry.text;
      ask(`${task.odd} Enter keeps it and goes on; or type it again.`, false);
      showHistory(task);
      showWhy();
    }
  } else {
    drafts.keep(task.key, entry.text);
    if (status === 409) {
      task.current = body.current ?? undefined;
      task.history = body.history ?? [];
      task.stale = true;
    }
    task.odd = `${entry.text}: ${body.message || 'not saved'}`;
    if (here) {
      ask(body.message || 'It was not saved.', true);
      showHistory(task);
    }
  }
  if (body.expected) {
    at('done').textContent = body.done;
    at('expected').textContent = body.expected;
  }
  paint(task);
}

async function undo() {
  const last = done.pop();
  at('undo').disabled = done.length === 0;
  if (!last || busy) return;
  wait(true);
  const task = byKey.get(last.key);
  try {
    const { status, body } = await post(`${base}/readings/${last.id}/undo`, { token: newToken() });
    learn(task.code, body.nothing);
    task.current = body.current ?? undefined;
    task.history = body.history ?? [];
    task.odd = undefined;
    // What stands again has a new number; an earlier entry here is undone under that one.
    done.filter((one) => one.key === last.key).forEach((one) => { one.id = body.current?.id ?? one.id; });
    wait(false);
    go(data.tasks.indexOf(task));
    if (body.expected) at('done').textContent = body.done;
    understood(status === 200 ? 'Undone.' : body.message, status === 200);
  } catch {
    done.push(last);
    at('undo').disabled = false;
    ask('No connection: it was not undone. Try again when it is back.', true);
  } finally {
    wait(false);
  }
}

// ---- what is typed ----

const understanding = new Understanding(`${base}/understood`, understood);
field.addEventListener('input', () => {
  const task = current();
  instrument = 'HAND';
  keepOdd = '';
  if (task.plant) picker.hear(field.value);
  drafts.keep(task.key, field.value.trim());
  showWhy();
  ask('', false);
  understanding.ask(task.endpoint, field.value.trim());
});

at('entry').addEventListener('submit', (event) => {
  event.preventDefault();
  save();
});
at('all-of-them').addEventListener('click', () => picked(String(current().among), true));
at('back').addEventListener('click', () => index > 0 && go(index - 1));
at('undo').addEventListener('click', undo);

root.querySelectorAll('.unit').forEach((cell) => {
  cell.addEventListener('click', (event) => {
    event.preventDefault();
    const to = data.tasks.findIndex((task) => task.code === cell.dataset.unit);
    if (to >= 0) go(to);
  });
});

// ---- the scale ----

const scale = at('take')
  ? new Scale(() => ({ trial: data.trial, unit: current().code, look: data.look, endpoint: current().endpoint }))
  : null;

async function takeFromScale() {
  const task = current();
  const shown = await scale.take();
  if (shown && task === current()) {
    field.value = shown;
    instrument = 'SCALE';
    showWhy();
    await save();
  }
}
at('take')?.addEventListener('click', takeFromScale);

const openMishap = mishapDialog(() => current().code, (lost) => `${base}?look=${data.look}${lost ? '' : `&unit=${current().code}`}`);

// ---- keys ----

const letters = {
  s: takeFromScale,
  t: () => scale?.tare(),
  u: undo,
  l: () => openMishap('LOST'),
  k: () => openMishap('OTHER'),
};

document.addEventListener('keydown', (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || document.querySelector('dialog[open]')) return;
  if (typing(event.target) && event.target !== field) return;
  if (busy) {
    if (/^[0-9.,]$/.test(event.key)) ahead += event.key;
    if (event.key === 'Backspace') ahead = ahead.slice(0, -1);
    event.preventDefault();
    return;
  }
  if (event.key === 'Enter' && event.shiftKey) {
    event.preventDefault();
    if (index > 0) go(index - 1);
    return;
  }
  // A letter is an order unless it continues a number: "48 lb" stays text.
  const act = letters[event.key];
  const startsFresh = event.target !== field || !field.value || (field.selectionStart === 0 && field.selectionEnd === field.value.length);
  if (act && startsFresh) {
    if ((event.key === 's' || event.key === 't') && !scale) return;
    event.preventDefault();
    act();
  }
});

data.tasks.forEach(paint);
show();
if (at('station-name')) {
  at('station-name').focus();
  at('station-name').select();
}
outbox.flush();
