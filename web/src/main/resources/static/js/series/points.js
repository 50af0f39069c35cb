// Points of a course as the server writes them, "hours value;…"; a long silence is a point without a value.

/**
 * @param {string} text
 * @param {number} silence in hours: a longer one parts the line
 */
export function points(text, silence) {
  const read = [];
  if (!text) return read;
  text.split(';').forEach((one) => {
    const [hours, value] = one.split(' ').map(Number);
    const before = read.at(-1);
    if (before && hours - before.hours > silence) read.push({ hours: before.hours, value: null });
    read.push({ hours, value });
  });
  return read;
}
