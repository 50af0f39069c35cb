// Symptoms picked on a drawn seedling. What is picked is written as text, "7 cupped, twisted", as it could be typed.

/** The number and the symptoms of a text such as "7 cupped, twisted". */
export function read(text) {
  const [, number, words] = /^\s*([0-9]+(?:[.,][0-9]+)?)?\s*(?:points?)?\s*(.*)$/.exec(text);
  return { number: number ?? '', symptoms: words.split(/[,;]/).map((word) => word.trim()).filter(Boolean) };
}

/** The text of a number with symptoms. */
export function write(number, symptoms) {
  return `${number}${symptoms.length ? ` ${symptoms.join(', ')}` : ''}`.trim();
}

export class Picker {
  /**
   * @param {HTMLElement} root the picker's element
   * @param {(text: string, done: boolean) => void} onPick called with the text; done when a severity was chosen
   */
  constructor(root, onPick) {
    this.root = root;
    this.onPick = onPick;
    this.symptoms = new Set();
    this.number = '';
    this.parts = [...root.querySelectorAll('[data-part]')];
    this.groups = [...root.querySelectorAll('[data-symptoms]')];
    this.parts.forEach((part) => {
      part.addEventListener('click', () => this.open(part.dataset.part));
      part.addEventListener('keydown', (event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        event.stopPropagation();
        this.open(part.dataset.part);
      });
    });
    root.addEventListener('click', (event) => {
      const symptom = event.target.closest('[data-symptom]')?.dataset.symptom;
      const score = event.target.closest('[data-score]')?.dataset.score;
      if (symptom) this.toggle(symptom);
      if (score) this.score(score);
    });
  }

  /** Shows what a reading says, on the drawing of its plant. */
  show(plant, text) {
    this.root.hidden = false;
    this.root.querySelectorAll('[data-plant]').forEach((drawn) => {
      drawn.toggleAttribute('hidden', !drawn.dataset.plant.split(' ').includes(plant));
    });
    this.open('LEAF');
    this.hear(text);
  }

  /** Takes over what was typed. */
  hear(text) {
    const { number, symptoms } = read(text);
    this.number = number;
    this.symptoms = new Set(symptoms);
    this.paint();
  }

  hide() {
    this.root.hidden = true;
  }

  open(name) {
    this.groups.forEach((group) => { group.hidden = group.dataset.symptoms !== name; });
    this.parts.forEach((part) => {
      part.classList.toggle('open', part.dataset.part === name);
      part.setAttribute('aria-pressed', String(part.dataset.part === name));
    });
  }

  toggle(symptom) {
    if (!this.symptoms.delete(symptom)) this.symptoms.add(symptom);
    this.paint();
    this.onPick(write(this.number, [...this.symptoms]), false);
  }

  score(number) {
    this.number = number;
    // Healthy is healthy: what was picked by mistake goes with it.
    if (number === '0') this.symptoms.clear();
    this.paint();
    this.onPick(write(number, [...this.symptoms]), true);
  }

  /** What is picked is hatched where it shows, and its button pressed. */
  paint() {
    this.groups.forEach((group) => {
      const buttons = [...group.querySelectorAll('[data-symptom]')];
      buttons.forEach((button) => button.setAttribute('aria-pressed', String(this.symptoms.has(button.dataset.symptom))));
      const here = this.parts.find((part) => part.dataset.part === group.dataset.symptoms);
      here.classList.toggle('picked', buttons.some((button) => this.symptoms.has(button.dataset.symptom)));
    });
    this.root.querySelectorAll('[data-score]').forEach((button) => button.setAttribute('aria-pressed', String(button.dataset.score === this.number)));
  }
}
