// A page that takes longer than a breath to come says so on the one it was asked from.

const AFTER_MS = 600;
const GIVES_UP_MS = 60_000;
const FILE = /\.(?:csv|zip|xlsx|pdf|ics|json|md|txt|jpg)$/;

let timer = 0;

const bar = () => document.getElementById('taking-long');

function hide() {
  clearTimeout(timer);
  bar()?.remove();
}

function show() {
  if (bar()) return;
  const says = document.createElement('p');
  says.id = 'taking-long';
  says.className = 'taking-long no-print';
  says.setAttribute('role', 'status');
  says.textContent = 'Working it out …';
  document.body.append(says);
  timer = setTimeout(hide, GIVES_UP_MS);
}

/** Another page was asked for, unless a script took it up itself or a file comes of it, which leaves this page where it is. */
function asked(event, address, target) {
  const url = new URL(address, location.href);
  const here = url.pathname === location.pathname && url.search === location.search && url.hash;
  if (event.defaultPrevented || url.origin !== location.origin || FILE.test(url.pathname) || here || (target && target !== '_self')) return;
  hide();
  timer = setTimeout(show, AFTER_MS);
}

export function tellWhileWorking() {
  // On the window, after whatever a page does with it itself.
  window.addEventListener('click', (event) => {
    const link = event.target instanceof Element && event.target.closest('a[href]');
    if (link && event.button === 0 && !event.ctrlKey && !event.metaKey && !event.shiftKey && !link.hasAttribute('download')) {
      asked(event, link.getAttribute('href'), link.target);
    }
  });
  window.addEventListener('submit', (event) => {
    if (event.target.method !== 'dialog') asked(event, event.submitter?.getAttribute('formaction') ?? event.target.getAttribute('action') ?? '', event.target.target);
  });
  window.addEventListener('pageshow', hide);
}
