// What was read of an observation before, struck out where it was corrected.

export function drawHistory(place, history) {
  place.querySelector('ul').replaceChildren(...history.map((one) => {
    const item = document.createElement('li');
    const value = document.createElement('b');
    value.textContent = one.text;
    item.classList.toggle('stands', one.stands);
    item.append(value, ` ${one.when}, ${one.station}${one.reason ? ` · ${one.reason}` : ''}`);
    return item;
  }));
  place.hidden = history.length === 0;
}
