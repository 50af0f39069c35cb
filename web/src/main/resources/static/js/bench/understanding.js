// Asks the server how a typed text is understood, while it is typed. Only the answer to the last question counts.

const AFTER_MS = 120;
const PATIENCE_MS = 3000;

export class Understanding {
  /**
   * @param {string} url of the answer
   * @param {(text: string, good: boolean) => void} say shows what was understood; an empty text when nothing is known
   */
  constructor(url, say) {
    this.url = url;
    this.say = say;
    this.asked = 0;
  }

  /** Forgets what was asked: its answer would come too late. */
  drop() {
    clearTimeout(this.waiting);
    this.asked++;
  }

  /** Asks once typing rests for a moment. */
  ask(endpoint, text) {
    this.drop();
    if (!text) {
      this.say('', true);
      return;
    }
    const question = this.asked;
    this.waiting = setTimeout(async () => {
      try {
        const response = await fetch(`${this.url}?${new URLSearchParams({ endpoint, text })}`, { signal: AbortSignal.timeout(PATIENCE_MS) });
        const answer = await response.json();
        if (question === this.asked) this.say(answer.good && answer.text ? `understood as ${answer.text}` : answer.text, answer.good);
      } catch {
        if (question === this.asked) this.say('', true);
      }
    }, AFTER_MS);
  }
}
