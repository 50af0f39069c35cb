// Sliders say their value as they move; a link to the bench goes with them.

document.querySelectorAll('.slider').forEach((place) => {
  const slider = place.querySelector('input');
  const output = place.querySelector('output');
  const says = () => { output.value = `${slider.value} %`; };
  slider.addEventListener('input', () => {
    says();
    linkFollows();
  });
});

function linkFollows() {
  const link = document.querySelector('[data-seed-link]');
  const sliders = [...document.querySelectorAll('.sliders input')];
  if (!link || !sliders.length) return;
  const address = new URL(link.href);
  sliders.forEach((slider) => address.searchParams.set(slider.name, slider.value));
  link.href = address.pathname + address.search;
  link.textContent = address.pathname + address.search;
}
