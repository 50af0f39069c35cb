import { alone, oneFile, usedRules } from '/static/js/report/onefile.js';

function article() {
  const made = document.createElement('article');
  made.className = 'report';
  made.dataset.question = 'Which </script> grows?';
  made.innerHTML = '<h1 class="on-paper">Which?</h1><p class="no-print">button</p><details data-x="1"><summary>How</summary><p>So.</p></details><a href="/trials/1">3.1</a><form><button>Go</button></form>';
  return made;
}

function rules(text) {
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(text);
  return sheet.cssRules;
}

export const tests = {
  'only rules that touch something are kept, also inside media': (is) => {
    const root = article();
    is(usedRules(rules('.report { color: red } .other { color: blue } @media print { .report { color: black } .other { color: white } }'), root).length, 2);
    is(usedRules(rules('.report summary::before { content: "x" }'), root).length, 1);
  },
  'what only the application can do is left out, and nothing leads back': (is) => {
    const copy = alone(article());
    is(copy.querySelectorAll('.no-print, form, button').length, 0);
    is(copy.querySelector('a').hasAttribute('href'), false);
    is(copy.querySelector('details').hasAttribute('open'), true);
    is(copy.querySelector('details').hasAttribute('data-x'), false);
    is(copy.querySelector('h1').className, 'kept');
  },
  'the file needs nothing else': (is) => {
    const file = oneFile(article(), [{ cssRules: rules('.report { color: red }') }]);
    is(file.startsWith('<!DOCTYPE html>'), true);
    is(/<(script|link|img)/.test(file), false);
    is(file.includes('&lt;/script&gt; grows?</title>'), true);
    is(file.includes('.report { color: red; }'), true);
  },
};
