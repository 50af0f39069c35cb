// Readings wait here, in the browser's own store, until the server says they are in its database.
// A reload, a crash or a dropped connection finds them again.

import { post } from '../kit/sending.js';

const RETRY_MS = 2000;
const DISK_FULL = 507;

/** Why an entry waits though the server answered; empty when nothing is known but that it did not take it. */
export function reasonToWait({ status, body }) {
  if (status === 401 && body?.message?.startsWith('Typed by')) return body.message;
  if (status === 401) return 'Nobody is signed in on this device now. Sign in, in another tab if you like: what waits here is sent then.';
  if (status === 403 && body?.message?.startsWith('You may')) return body.message;
  if (status === 403) return 'This page was open too long: reload it, and what waits here is sent.';
  return status === DISK_FULL ? `${body.message} What waits on this device is sent then.` : '';
}

/** What is told while readings wait here. */
export function waitingWords(waiting) {
  return `No connection. ${waiting === 1 ? 'One reading waits' : `${waiting} readings wait`} on this device and ${waiting === 1 ? 'is' : 'are'} sent as soon as it is back. Go on measuring.`;
}

export class Outbox {
  /**
   * @param {string} url where readings go
   * @param {string} name of the browser's store for this trial
   * @param {(entry: object, answer: {status: number, body: object}) => void} onAnswer called once for each entry
   * @param {(waiting: number, failing: boolean) => void} onState called when the queue changes
   */
  constructor(url, name, onAnswer, onState) {
    this.url = url;
    this.name = name;
    this.onAnswer = onAnswer;
    this.onState = onState;
    this.sending = false;
    this.failing = false;
    this.watchers = new Map();
    window.addEventListener('online', () => this.flush());
  }

  read() {
    try {
      return JSON.parse(localStorage.getItem(this.name) ?? '[]');
    } catch {
      return [];
    }
  }

  write(entries) {
    if (entries.length) localStorage.setItem(this.name, JSON.stringify(entries));
    else localStorage.removeItem(this.name);
    this.onState(entries.length, this.failing);
  }

  /** Keeps an entry and starts sending. Resolves to the answer, or to null when none came in time. */
  add(entry, patienceMs) {
    this.write([...this.read(), entry]);
    const answered = new Promise((resolve) => {
      this.watchers.set(entry.token, resolve);
      setTimeout(() => resolve(null), patienceMs);
    });
    this.flush();
    return answered;
  }

  async flush() {
    if (this.sending) return;
    this.sending = true;
    try {
      for (let entries = this.read(); entries.length; entries = this.read()) {
        const entry = entries[0];
        const answer = await this.send(entry);
        if (!answer) {
          this.watchers.forEach((tell) => tell(null));
          break;
        }
        this.failing = false;
        this.write(this.read().filter((kept) => kept.token !== entry.token));
        this.watchers.get(entry.token)?.(answer);
        this.watchers.delete(entry.token);
        this.onAnswer(entry, answer);
      }
    } finally {
      this.sending = false;
    }
    if (this.read().length) setTimeout(() => this.flush(), RETRY_MS);
  }

  /** The answer to an entry; null when it must be sent again. */
  async send(entry) {
    const { typedAt, key, says, ...fields } = entry;
    try {
      const answer = await post(this.url, { ...fields, ageMs: Math.max(0, Date.now() - typedAt) });
      if (answer.status < 500 && ![401, 403].includes(answer.status)) return answer;
      this.reason = reasonToWait(answer);
    } catch {
      this.reason = '';
    }
    this.failing = true;
    this.onState(this.read().length, true);
    return null;
  }
}
