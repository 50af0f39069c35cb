// A file that is opened is put into the field, so that it is seen before it is entered.

document.querySelectorAll('[data-into]').forEach((input) => {
  input.addEventListener('change', async () => {
    const [file] = input.files;
    if (file) document.getElementById(input.dataset.into).value = await file.text();
  });
});
