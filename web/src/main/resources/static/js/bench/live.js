// What other stations enter meanwhile, asked for while the page is seen.

const EVERY_MS = 1200;

export class Live {
  /**
   * @param {string} url of the changes
   * @param {{look: number, seen: number}} data the look, and the number of the last reading the page knows
   * @param {(change: object) => void} onChange called for each observation that was read anew
   * @param {(done: number) => void} onDone called with how many are read
   */
  constructor(url, data, onChange, onDone) {
    Object.assign(this, { url, data, onChange, onDone, timer: 0 });
    document.addEventListener('visibilitychange', () => this.next(0));
    this.next(EVERY_MS);
  }

  next(after) {
    clearTimeout(this.timer);
    if (!document.hidden) this.timer = setTimeout(() => this.ask(), after);
  }

  async ask() {
    try {
      const response = await fetch(`${this.url}?look=${this.data.look}&since=${this.data.seen}`, { signal: AbortSignal.timeout(4000) });
      if (response.status === 200) {
        const { seen, done, changes } = await response.json();
        this.data.seen = seen;
        changes.forEach(this.onChange);
        this.onDone(done);
      }
    } catch {
      // Without a connection nothing is new; what waits here is told by the queue.
    }
    this.next(EVERY_MS);
  }
}
