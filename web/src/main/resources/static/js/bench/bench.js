// Measuring unit by unit. The server understands, judges and keeps; this walks, shows, and never loses what was typed.

import { newToken, post } from '../kit/sending.js';
import { Undecided } from '../kit/waiting.js';
import { Asking } from './asking.js';
import { Drafts } from './drafts.js';
import { drawHistory } from './history.js';
import { KeptBench } from './kept.js';
import { listenForKeys } from './keys.js';
import { Lately } from './lately.js';
import { Live } from './live.js';
import { HandMeter } from './meter.js';
import { UnitMap, faceText } from './map.js';
import { Outbox, waitingWords } from './outbox.js';
import { benchPhotos } from './photos.js';
import { Picker } from './picker.js';
import { Scale } from './scale.js';
import { several } from './several.js';
import { UndecidedList } from './undecided.js';
import { Understanding } from './understanding.js';
import { inOrder } from './walk.js';
import { wentWrong } from './wrong.js';

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

const asking = new Asking(at('asked'));
const map = new UnitMap(root.querySelector('.maps'), goToUnit);
const picker = at('picker') ? new Picker(at('picker'), picked) : null;
const outbox = new Outbox(`${base}/readings`, `elsom-outbox-${data.trial}`, arrived, netState);
const kept = new KeptBench(data.trial);
const undecided = new Undecided(data.trial);
const lately = new Lately(at('lately'), data.tasks);
const undecidedList = new UndecidedList(at('undecided'), undecided, `${base}/readings`, arrived);
const current = () => data.tasks[index];
const meter = new HandMeter(at('take-meter'), () => ({ trial: data.trial, unit: current().code, look: data.look, endpoint: current().endpoint, sub: current().sub }),
  (shown) => taken(current().meter, shown, 'GAUGE'), (message) => ask(message, true));

// ---- showing ----

const tasksOf = (code) => data.tasks.filter((task) => task.code === code);
const waits = (task) => outbox.read().some((entry) => entry.key === task.key && entry.look === data.look);

function paint(task) {
  const tasks = tasksOf(task.code);
  map.paint(task, faceText(tasks), task.code === current().code, tasks.some(waits));
  lately.draw(task.code);
}

/** @param {boolean} walked whether somebody came here by measuring: a page that opens leaves the focus at its start */
function show(walked = true) {
  const task = current();
  at('unit-place').textContent = task.place;
  at('unit-code').textContent = task.code;
  at('unit-all').href = `/trials/${data.trial}/units/${task.code}`;
  at('unit-before').textContent = task.before.map((one) => `${one.look}: ${one.text}`).join(' · ');
  at('unit-treatment').querySelector('rect').setAttribute('fill', `url(#tex-${task.treatment})`);
  at('unit-treatment').querySelector('span').textContent = task.treatmentName;
  at('value-label').textContent = task.lost ? `${task.endpointName} · it was lost, nothing is expected` : task.possible ? task.endpointName : `${task.endpointName} · none to read`;
  at('symbol').textContent = task.symbol;
  meter.stand(task.meter);
  field.inputMode = task.words ? 'text' : 'decimal';
  field.value = drafts.of(task.key) ?? task.current?.text ?? '';
  field.setAttribute('aria-label', `${task.endpointName}, ${task.code}`);
  at('back').disabled = index === 0;
  instrument = 'HAND';
  keepOdd = task.odd && !task.stale ? field.value : '';
  askAgain(task);
  drawHistory(at('history'), task.history);
  showWhy();
  const next = nextIndex();
  const after = next === null ? null : data.tasks[next];
  at('save').textContent = !after ? 'Save' : `Save and go to ${after.code === task.code ? after.endpointName : after.code}`;
  understood('', true);
  pick(task);
  // A finger picks; the keyboard of a phone would only cover what it picks from.
  if (walked && (!task.plant || !matchMedia('(pointer: coarse)').matches)) {
    field.focus({ preventScroll: Boolean(task.plant) });
    field.select();
  }
  map.reveal(task.code);
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

function showWhy(asked = false) {
  const task = current();
  at('why').hidden = !task.current || (!asked && field.value.trim() === task.current.text);
}

function ask(text, bad, answers) {
  asking.ask(text, bad, answers);
}

const again = { label: 'Type it again', act: () => { field.focus(); field.select(); } };

/** What is open about a reading is asked again whenever its unit is come to. */
function askAgain(task) {
  if (task.stale) {
    ask(task.odd, true, [{ label: 'Put mine in its place', act: save }, { label: `Keep ${task.current?.value ?? 'it empty'}`, act: keepTheirs }]);
  } else if (task.odd && task.current && task.odd.startsWith('Saved')) {
    ask(task.odd, false, [{ label: `Keep ${task.current.value} and go on`, act: save }, again]);
  } else {
    ask(task.odd ?? '', Boolean(task.odd));
  }
}

/** The other station's reading stands; what was typed here is let go. */
function keepTheirs() {
  const task = current();
  task.stale = false;
  task.odd = undefined;
  undecided.settle({ key: task.key, look: data.look });
  undecidedList.draw();
  drafts.keep(task.key, '');
  field.value = task.current?.text ?? '';
  advance(`${task.code} ${task.current?.value ?? 'nothing'} kept`);
}

function understood(text, good) {
  at('understood').textContent = text;
  at('understood').classList.toggle('bad', !good);
}

function netState(waiting, failing) {
  at('net').hidden = !(waiting && failing);
  at('net-says').textContent = outbox.reason || waitingWords(waiting);
  at('net-queue').textContent = outbox.read().map((entry) => `${entry.unit} ${entry.text}`).join(' · ');
  data.tasks.forEach(paint);
}

// ---- walking ----

function wants(task) {
  return !task.lost && task.possible && !task.current && !waits(task);
}

/** The next task without a reading, round the shelf; else simply the next; null at the end of a finished round. */
function nextIndex() {
  const order = data.tasks.map((_, offset) => (index + 1 + offset) % data.tasks.length).slice(0, -1);
  const open = order.find((candidate) => wants(data.tasks[candidate]));
  if (open !== undefined) return open;
  return index + 1 < data.tasks.length ? index + 1 : null;
}

function goToUnit(code) {
  const to = data.tasks.findIndex((task) => task.code === code && wants(task));
  go(to >= 0 ? to : data.tasks.findIndex((task) => task.code === code));
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
    ask('Nothing is typed. Type the number.', true);
    return;
  }
  if ((task.current && text === task.current.text && !task.stale) || text === keepOdd) {
    task.odd = undefined;
    drafts.keep(task.key, '');
    advance(task.current ? `${task.code} ${task.current.value} kept` : '');
    return;
  }
  const { parts, problem } = several(text, data.tasks.filter((one) => one.code === task.code && one.endpoint === task.endpoint && one.sub >= task.sub));
  if (problem) {
    ask(problem, true);
    return;
  }
  wait(true);
  understanding.drop();
  drafts.keep(task.key, text);
  let answer = null;
  let sent = 0;
  let stopped = null;
  while (sent < parts.length && !stopped) {
    answer = await outbox.add(entryOf(parts[sent].task, parts[sent].text), PATIENCE_MS);
    if (refused(answer)) stopped = parts[sent].task;
    sent++;
  }
  wait(false);
  // What of a line was not sent stays with the plant it was meant for.
  parts.slice(sent).forEach((part) => drafts.keep(part.task.key, part.text));
  if (stopped && stopped !== task) {
    go(data.tasks.indexOf(stopped));
    return;
  }
  if (!answer) drafts.keep(task.key, '');
  if (refused(answer)) {
    if (ahead) asking.add(`You had begun to type ${ahead} for the next one.`);
    // Selected, so that a number replaces it and a letter is an order again.
    field.focus();
    field.select();
    return;
  }
  const typedAhead = ahead;
  const last = parts[parts.length - 1].task;
  index = data.tasks.indexOf(last);
  advance(`${task.code} ${parts.map((part) => part.task.current?.value ?? part.text).join(', ')} ${answer ? 'saved' : 'waits for the connection'}`);
  if (typedAhead) retype(typedAhead);
}

const refused = (answer) => answer && !(answer.status === 200 && answer.body.status === 'SAVED');

function entryOf(task, text) {
  return {
    key: task.key, unit: task.code, look: data.look, endpoint: task.endpoint, sub: task.sub, text,
    replaces: task.current?.id ?? null, reason: task.current ? at('reason').value : null,
    timing: data.timing, instrument, token: newToken(), typedAt: Date.now(), person: document.body.dataset.person ?? null,
    says: { look: data.lookName, endpoint: task.endpointName },
  };
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

/** On to the next, saying aloud what became of this one. */
function advance(what = '') {
  const next = nextIndex();
  if (next === null) {
    show();
    understood(`Saved. All of “${data.lookName}” is measured.`, true);
  } else {
    go(next);
  }
  if (what) at('said').textContent = `${what}${next === null ? '' : `; next ${data.tasks[next].code}`}`;
}

/** What can be read of a unit changes with its counts. */
function learn(code, nothing = []) {
  data.tasks.filter((task) => task.code === code).forEach((task) => { task.possible = !nothing.includes(task.key); });
}

/** An answer came for an entry, now or after a wait. */
function arrived(entry, { status, body }) {
  const task = entry.look === data.look ? byKey.get(entry.key) : undefined;
  const here = task !== undefined && task === current();
  // What was not taken is kept until somebody decides; what was just typed and is in the field still is asked about there.
  if (status === 200) {
    undecided.settle(entry);
    kept.changed();
  }
  if (status !== 200 && (!here || !busy)) undecided.keep(entry, { status, body });
  undecidedList.draw();
  if (!task) return;
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
      askAgain(task);
      drawHistory(at('history'), task.history);
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
      if (task.stale) task.odd = body.message;
      askAgain(task);
      drawHistory(at('history'), task.history);
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

// ---- the scale ----

const scale = at('take')
  ? new Scale(() => ({ trial: data.trial, unit: current().code, look: data.look, endpoint: current().endpoint }))
  : null;

async function takeFromScale() {
  const task = current();
  const shown = await scale.take();
  if (shown && task === current()) await taken('scale', shown, 'SCALE');
}

/** A device's value in the place of one that stands is asked about first. */
async function taken(device, shown, what) {
  const task = current();
  if (task.current && shown !== task.current.text) {
    ask(`${task.code} has ${task.current.value}. The ${device} shows ${shown}.`, false, [
      { label: `Put ${shown} in its place`, act: () => fromDevice(shown, what) },
      { label: `Keep ${task.current.value}`, act: () => { ask(''); field.focus(); field.select(); } },
    ]);
    showWhy(true);
    return;
  }
  await fromDevice(shown, what);
}

async function fromDevice(shown, what) {
  field.value = shown;
  instrument = what;
  showWhy();
  await save();
}
at('take')?.addEventListener('click', takeFromScale);

const openWrong = wentWrong(map, () => current().code, (ends) => `${base}?look=${data.look}${ends ? '' : `&unit=${current().code}`}`);

listenForKeys(field, {
  busy: () => busy,
  typedAhead: (change) => { ahead = change(ahead); },
  back: () => index > 0 && go(index - 1),
  words: () => current().words,
  letters: { s: scale && takeFromScale, t: scale && (() => scale.tare()), u: undo, k: openWrong },
});

// ---- others at the same trial ----

new Live(`${base}/changes`, data, ({ key, station, ...news }) => {
  const task = byKey.get(key);
  if (!task || waits(task) || news.current?.id === task.current?.id) return;
  // Only what was typed here and is not saved yet can clash; a value that is merely shown is replaced.
  const typed = task === current() ? field.value.trim() : '';
  const mine = typed !== (task.current?.text ?? '') ? typed : '';
  Object.assign(task, { current: news.current, history: news.history ?? [], odd: undefined, stale: false });
  if (mine && mine !== news.current?.text && !busy) {
    task.stale = true;
    task.odd = `Meanwhile ${station} has ${news.current ? news.current.value : 'nothing'} here. Yours, ${mine}, is still in the field.`;
    askAgain(task);
  } else if (task === current() && !busy) {
    field.value = news.current?.text ?? '';
    understood(news.current ? `${station}: ${news.current.value}` : '', true);
  }
  if (task === current()) drawHistory(at('history'), task.history);
  paint(task);
}, (done) => { at('done').textContent = done; });

// ---- the order of walking ----

at('walk')?.addEventListener('change', (event) => {
  const here = current();
  data.tasks = inOrder(data.tasks, event.target.value === 'endpoint');
  index = data.tasks.indexOf(here);
  show();
});

data.tasks.forEach(paint);
show(false);
undecidedList.draw();
benchPhotos(data, () => current().code);
outbox.flush();
