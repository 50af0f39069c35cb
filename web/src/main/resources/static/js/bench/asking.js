// Questions in place: what is asked about a reading, with a button for each answer.

export class Asking {
  /** @param {HTMLElement} box where it is asked */
  constructor(box) {
    this.box = box;
  }

  /**
   * Asks, or says nothing when the text is empty.
   * @param {string} text
   * @param {boolean} bad whether it was refused
   * @param {{label: string, act: () => void}[]} answers
   */
  ask(text, bad = false, answers = []) {
    this.box.hidden = !text;
    this.box.classList.toggle('bad', bad);
    const says = document.createElement('p');
    says.textContent = text;
    const row = document.createElement('p');
    row.className = 'answers';
    row.append(...answers.map(({ label, act }) => {
      const button = document.createElement('button');
      button.type = 'button';
      button.className = 'button';
      button.textContent = label;
      button.addEventListener('click', act);
      return button;
    }));
    this.box.replaceChildren(says, ...(answers.length ? [row] : []));
  }

  add(text) {
    this.box.querySelector('p')?.append(` ${text}`);
  }
}
