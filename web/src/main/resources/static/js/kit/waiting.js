// What waits on this device: readings and photos that no answer came to, and those the server did not take, which a person has to
// decide on.
// Every page says how many there are, and sends what can be sent.

import { Outbox } from '../bench/outbox.js';
import { PhotoQueue, photosWaiting } from './photos.js';

const OUTBOX = /^elsom-outbox-(\d+)$/;
const UNDECIDED = 'elsom-undecided-';
const UNDECIDED_KEY = /^elsom-undecided-(\d+)$/;

/** Readings of a trial that were answered and not taken. */
export class Undecided {
  #name;

  constructor(trial) {
    this.#name = `${UNDECIDED}${trial}`;
  }

  read() {
    try {
      return JSON.parse(localStorage.getItem(this.#name) ?? '[]');
    } catch {
      return [];
    }
  }

  #write(all) {
    if (all.length) localStorage.setItem(this.#name, JSON.stringify(all));
    else localStorage.removeItem(this.#name);
  }

  /** Keeps a reading with what was answered; the same one again takes the place of the first. */
  keep(entry, { status, body }) {
    const one = { ...entry, status, message: body.message ?? '', current: body.current ?? null };
    this.#write([...this.read().filter((kept) => kept.token !== entry.token), one]);
  }

  drop(token) {
    this.#write(this.read().filter((kept) => kept.token !== token));
  }

  /** What was waiting for the same place is settled by a reading that was saved there. */
  settle({ key, look }) {
    this.#write(this.read().filter((kept) => kept.key !== key || kept.look !== look));
  }
}

const trialsOf = (pattern) => Object.keys(localStorage).flatMap((key) => pattern.exec(key)?.[1] ?? []);

/** How many readings and photos wait on this device, by trial. */
export function waiting() {
  const byTrial = {};
  const photos = photosWaiting();
  for (const trial of new Set([...trialsOf(OUTBOX), ...trialsOf(UNDECIDED_KEY), ...Object.keys(photos)])) {
    let unsent = [];
    try {
      unsent = JSON.parse(localStorage.getItem(`elsom-outbox-${trial}`) ?? '[]');
    } catch {
      // What can't be read was written by something else.
    }
    byTrial[trial] = { unsent: unsent.length, undecided: new Undecided(trial).read().length, photos: photos[trial] ?? 0 };
  }
  return byTrial;
}

/** The words for a trial; nothing where nothing waits. */
export function words({ unsent, undecided, photos }) {
  const said = [];
  if (unsent) said.push(`${unsent} ${unsent === 1 ? 'reading waits' : 'readings wait'} on this device to be sent`);
  if (undecided) said.push(`${undecided} ${undecided === 1 ? 'reading was' : 'readings were'} not taken and ${undecided === 1 ? 'needs' : 'need'} you to decide`);
  if (photos) said.push(`${photos} ${photos === 1 ? 'photo waits' : 'photos wait'} on this device`);
  return said.join('; ');
}

function tell() {
  document.getElementById('waiting')?.remove();
  const lines = Object.entries(waiting()).map(([trial, counts]) => [trial, words(counts)]).filter(([, said]) => said);
  if (!lines.length) return;
  const box = document.createElement('div');
  box.id = 'waiting';
  box.className = 'waiting no-print';
  box.setAttribute('role', 'status');
  for (const [trial, said] of lines) {
    const line = document.createElement('p');
    const link = document.createElement('a');
    link.href = `/trials/${trial}/bench#undecided`;
    link.textContent = `the bench of trial ${trial}`;
    line.append(`${said[0].toUpperCase()}${said.slice(1)}: `, link);
    box.append(line);
  }
  document.querySelector('main')?.prepend(box);
}

/** On any page but a bench, whose own outbox does it. */
export function sendAndTell() {
  tell();
  for (const trial of trialsOf(OUTBOX)) {
    const undecided = new Undecided(trial);
    new Outbox(`/trials/${trial}/bench/readings`, `elsom-outbox-${trial}`, (entry, answer) => {
      if (answer.status !== 200) undecided.keep(entry, answer);
      tell();
    }, tell).flush();
  }
  if (!document.querySelector('.add-photo')) new PhotoQueue(tell).flush();
}
