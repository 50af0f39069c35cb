// Several plants of one unit in one line: "42 38 45". What each number means is the server's to say.

const NUMBER = /^[0-9]+(?:[.,][0-9]+)?$/;

/**
 * Parts a line among the plants that are still to come.
 * @param {string} text
 * @param {object[]} tasks one for each plant, this one first
 * @returns {{parts: {task: object, text: string}[], problem?: string}}
 */
export function several(text, tasks) {
  const numbers = text.split(/[\s;]+/);
  if (tasks.length < 2 || numbers.length < 2 || !numbers.every((one) => NUMBER.test(one))) return { parts: [{ task: tasks[0], text }] };
  if (numbers.length > tasks.length) return { parts: [], problem: `${numbers.length} numbers, but ${tasks.length === 1 ? 'one plant is' : `${tasks.length} plants are`} left to read here.` };
  return { parts: numbers.map((one, i) => ({ task: tasks[i], text: one })) };
}
