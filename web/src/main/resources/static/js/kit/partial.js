// A part of a page that the server draws anew: fetched as text, parsed without running anything, put in place.

/** The first element of an answer's text. */
export function parsed(text) {
  return new DOMParser().parseFromString(text, 'text/html').body.firstElementChild;
}

/** Posts a form's fields and resolves to the answer's text; null when it was refused. */
export async function postForm(url, fields, signal) {
  const response = await fetch(url, {
    method: 'POST',
    body: new URLSearchParams(fields),
    headers: { Accept: 'text/html', 'X-XSRF-TOKEN': document.querySelector('meta[name=csrf]').content },
    signal,
  });
  return response.ok ? response.text() : null;
}
