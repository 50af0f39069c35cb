// Text typed but not yet entered, kept on this device until it is.

export class Drafts {
  #name;

  constructor(name) {
    this.#name = name;
  }

  #read() {
    try {
      return JSON.parse(localStorage.getItem(this.#name) ?? '{}');
    } catch {
      return {};
    }
  }

  of(key) {
    return this.#read()[key];
  }

  /** Keeps a text; an empty one is forgotten. */
  keep(key, text) {
    const kept = this.#read();
    if (text) kept[key] = text;
    else delete kept[key];
    if (Object.keys(kept).length) localStorage.setItem(this.#name, JSON.stringify(kept));
    else localStorage.removeItem(this.#name);
  }
}
