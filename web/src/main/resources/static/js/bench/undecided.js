// Readings the server did not take, whatever look they were of: each stays until somebody decides.

import { newToken, post } from '../kit/sending.js';

const SAYS = { 404: 'It is not there any more.', 409: 'Another reading stands there.', 422: 'It can’t be.' };

/** What is said of one. */
export function told(one) {
  const place = [one.unit, one.says?.endpoint, one.says?.look && `at “${one.says.look}”`].filter(Boolean).join(' ');
  return `${place}: “${one.text}”. ${one.message || SAYS[one.status] || 'It was not taken.'}`;
}

export class UndecidedList {
  /**
   * @param {HTMLElement} box where they are listed
   * @param {import('../kit/waiting.js').Undecided} kept
   * @param {string} url where readings go
   * @param {(entry: object, answer: object) => void} onSaved
   */
  constructor(box, kept, url, onSaved) {
    this.box = box;
    this.kept = kept;
    this.url = url;
    this.onSaved = onSaved;
  }

  draw() {
    const all = this.kept.read();
    this.box.hidden = all.length === 0;
    this.box.querySelector('ul').replaceChildren(...all.map((one) => this.line(one)));
  }

  line(one) {
    const line = document.createElement('li');
    const says = document.createElement('span');
    says.textContent = told(one);
    line.append(says, this.button(one.current ? 'Put it in its place' : 'Send it again', one, () => this.again(one)),
      this.button('Let it go', one, () => { this.kept.drop(one.token); this.draw(); }));
    return line;
  }

  button(label, one, act) {
    const button = document.createElement('button');
    button.type = 'button';
    button.className = 'button';
    button.textContent = label;
    button.setAttribute('aria-label', `${label}: ${one.unit} ${one.text}`);
    button.addEventListener('click', act);
    return button;
  }

  /** As a measurement of its own beside the one that stands, from when it was typed. */
  async again(one) {
    const { typedAt, key, says, person, status, message, current, token, ...fields } = one;
    const entry = { ...fields, replaces: current?.id ?? null, reason: current ? 'WEIGHED_AGAIN' : null, token: newToken() };
    try {
      const answer = await post(this.url, { ...entry, ageMs: Math.max(0, Date.now() - typedAt) });
      this.kept.drop(token);
      if (answer.status === 200) this.onSaved({ ...one, token: entry.token }, answer);
      else this.kept.keep({ ...one, token: entry.token }, answer);
    } catch {
      // Without a connection it stays as it is.
    }
    this.draw();
  }
}
