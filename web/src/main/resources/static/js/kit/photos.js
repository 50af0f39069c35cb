// Photos taken at the bench wait in the browser's own store until the server has them: a reload, a crash or a dropped connection
// finds them again. One that the server does not take stays until somebody decides.

import { newToken } from './sending.js';

const DATABASE = 'elsom';
const STORE = 'photos';
const COUNTS = 'elsom-photos';
const RETRY_MS = 3000;
const SLOW_MS = 60_000;

/** One step in the store; resolves to what it gave. */
function inStore(mode, act) {
  return new Promise((resolve, reject) => {
    const opening = indexedDB.open(DATABASE, 1);
    opening.onupgradeneeded = () => opening.result.createObjectStore(STORE, { keyPath: 'token' });
    opening.onerror = () => reject(opening.error);
    opening.onsuccess = () => {
      const change = opening.result.transaction(STORE, mode, { durability: 'strict' });
      const request = act(change.objectStore(STORE));
      change.oncomplete = () => { opening.result.close(); resolve(request.result); };
      change.onabort = () => { opening.result.close(); reject(change.error); };
    };
  });
}

/** How many photos wait on this device, by trial, without opening the store. */
export function photosWaiting() {
  try {
    return JSON.parse(localStorage.getItem(COUNTS) ?? '{}');
  } catch {
    return {};
  }
}

export class PhotoQueue {
  #onChange;
  #onSent;
  #sending = null;
  #timer = 0;

  /**
   * @param {(photos: object[]) => void} onChange hears what waits
   * @param {(photo: object, body: {href: string}) => void} onSent hears of each that was taken
   */
  constructor(onChange, onSent = () => {}) {
    this.#onChange = onChange;
    this.#onSent = onSent;
    window.addEventListener('online', () => this.flush());
  }

  /** Those that wait, in the order they were taken. */
  async read() {
    const all = await inStore('readonly', (store) => store.getAll());
    return all.sort((one, other) => one.takenAt - other.takenAt);
  }

  async #changed() {
    const all = await this.read();
    const counts = {};
    all.forEach(({ trial }) => { counts[trial] = (counts[trial] ?? 0) + 1; });
    if (all.length) localStorage.setItem(COUNTS, JSON.stringify(counts));
    else localStorage.removeItem(COUNTS);
    this.#onChange(all);
  }

  /**
   * Keeps a photo and sends it.
   * @param {{trial: number, unit: string, look: number, lookName: string}} of what it is of
   * @param {File} file
   */
  async add(of, file) {
    await inStore('readwrite', (store) => store.put({ ...of, file, name: file.name, token: newToken(), takenAt: Date.now() }));
    await this.#changed();
    await this.flush();
  }

  async drop(token) {
    await inStore('readwrite', (store) => store.delete(token));
    await this.#changed();
  }

  /** One that was not taken, once more. */
  async again(photo) {
    const { problem, ...fresh } = photo;
    await inStore('readwrite', (store) => store.put(fresh));
    await this.flush();
  }

  /** Sends what waits; those that were refused wait for somebody to decide. */
  flush() {
    clearTimeout(this.#timer);
    this.#sending ??= this.#sendAll().finally(() => { this.#sending = null; });
    return this.#sending;
  }

  async #sendAll() {
    const next = async () => (await this.read()).find((photo) => !photo.problem);
    for (let photo = await next(); photo; photo = await next()) {
      const { status, body } = await this.#send(photo);
      if (status === 200) {
        await this.drop(photo.token);
        this.#onSent(photo, body);
      } else if (status >= 400 && status < 500 && ![401, 403, 408, 429].includes(status)) {
        await inStore('readwrite', (store) => store.put({ ...photo, problem: body.message || 'It was not taken.' }));
      } else {
        this.#timer = setTimeout(() => this.flush(), RETRY_MS);
        break;
      }
    }
    await this.#changed();
  }

  async #send(photo) {
    const body = new FormData();
    body.set('unit', photo.unit);
    body.set('look', photo.look);
    body.set('token', photo.token);
    body.set('ageMs', Math.max(0, Date.now() - photo.takenAt));
    body.set('file', photo.file, photo.name);
    try {
      const response = await fetch(`/trials/${photo.trial}/photos/waiting`, {
        method: 'POST',
        body,
        headers: { Accept: 'application/json', 'X-XSRF-TOKEN': document.querySelector('meta[name=csrf]').content },
        signal: AbortSignal.timeout(SLOW_MS),
      });
      const json = (response.headers.get('content-type') ?? '').includes('json');
      return { status: response.status, body: json ? await response.json() : {} };
    } catch {
      return { status: 0, body: {} };
    }
  }
}

/** Draws what waits of one trial: how many, and those that were not taken with what can be done about them. */
export function drawPhotos(box, photos, queue) {
  const open = photos.filter((photo) => !photo.problem).length;
  box.hidden = photos.length === 0;
  const says = box.querySelector('p');
  says.textContent = open === 1 ? 'One photo waits on this device.' : `${open} photos wait on this device.`;
  says.hidden = open === 0;
  box.querySelector('ul').replaceChildren(...photos.filter((photo) => photo.problem).map((photo) => {
    const line = document.createElement('li');
    const told = document.createElement('span');
    told.textContent = `Photo of ${photo.unit} at “${photo.lookName}” was not taken: ${photo.problem}`;
    line.append(told);
    for (const [label, act] of [['Send it again', () => queue.again(photo)], ['Let it go', () => queue.drop(photo.token)]]) {
      const button = document.createElement('button');
      button.type = 'button';
      button.className = 'button';
      button.textContent = label;
      button.setAttribute('aria-label', `${label}: photo of ${photo.unit}`);
      button.addEventListener('click', act);
      line.append(button);
    }
    return line;
  }));
}
