// Moves of units on the map: shown at once, kept by the server one after another in the order they were made.

/**
 * A queue of moves.
 * @template M
 */
export class MoveQueue {
  /**
   * @param {(move: M) => Promise<string|null>} send keeps a move; null when it was refused or lost on the way
   * @param {(move: M, answer: string) => void} kept called for each move that was kept
   * @param {(undone: M[]) => void} lost called with the moves to take back on the map, the last one first: the one that
   *     was refused, and those made after it, which may have stood on it
   */
  constructor(send, kept, lost) {
    this.send = send;
    this.kept = kept;
    this.lost = lost;
    this.waiting = [];
    this.sending = null;
  }

  /** Queues a move; resolves when nothing waits any more. */
  add(move) {
    this.waiting.push(move);
    this.sending ??= this.run().finally(() => { this.sending = null; });
    return this.sending;
  }

  async run() {
    while (this.waiting.length) {
      const move = this.waiting[0];
      let answer = null;
      try {
        answer = await this.send(move);
      } catch {
        answer = null;
      }
      if (answer === null) {
        this.lost(this.waiting.splice(0).reverse());
      } else {
        this.waiting.shift();
        this.kept(move, answer);
      }
    }
  }
}
