// The oxygen meter's display goes into the fields; whoever stands there may type over it.

document.querySelectorAll('[data-oxygen]').forEach((button) => {
  const says = document.querySelector('[data-oxygen-says]');
  button.addEventListener('click', async () => {
    says.textContent = 'The meter settles …';
    try {
      const answer = await fetch(button.dataset.oxygen, { headers: { Accept: 'application/json' } });
      const shown = await answer.json();
      if (!answer.ok) throw new Error(shown.message ?? 'The meter does not answer.');
      document.getElementById('oxygen').value = shown.oxygen;
      document.getElementById('temperature').value = shown.temperature;
      says.textContent = `${shown.oxygen}, ${shown.temperature}`;
    } catch (problem) {
      says.textContent = `${problem.message} You can type the value.`;
    }
  });
});
