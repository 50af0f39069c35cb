// The report as one HTML file that needs nothing else: its pictures as they are drawn, and of the styles only what it uses.

import { named, save } from '../kit/keep.js';

/** Rules of a style sheet that touch an element of the document, media rules for print and narrow screens with what is left in them. */
export function usedRules(rules, root) {
  return [...rules].flatMap((rule) => {
    if (rule instanceof CSSMediaRule || rule instanceof CSSSupportsRule) {
      const inner = usedRules(rule.cssRules, root);
      return inner.length ? [`@${rule instanceof CSSMediaRule ? 'media' : 'supports'} ${rule.conditionText}{${inner.join('')}}`] : [];
    }
    if (rule instanceof CSSPageRule) return [rule.cssText];
    if (!(rule instanceof CSSStyleRule)) return [];
    return touches(rule.selectorText, root) ? [rule.cssText] : [];
  });
}

function touches(selector, root) {
  const plain = selector.replace(/::?(before|after|marker|placeholder|selection|hover|focus|focus-visible|focus-within|active|visited)/g, '');
  try {
    return selector.includes(':root') || /^(html|body|\*)/.test(selector.trim()) || root.matches(plain) || root.querySelector(plain) !== null;
  } catch {
    return false;
  }
}

/** The report without what only a page of the application can do. */
export function alone(article) {
  const copy = article.cloneNode(true);
  copy.querySelectorAll('.no-print, script, form, button, .scripted, [hidden]').forEach((part) => part.remove());
  copy.querySelectorAll('details.fold:not([open])').forEach((part) => part.remove());
  copy.querySelectorAll('a').forEach((link) => link.removeAttribute('href'));
  copy.querySelectorAll('h1.on-paper').forEach((title) => title.setAttribute('class', 'kept'));
  copy.querySelectorAll('details').forEach((part) => part.setAttribute('open', ''));
  copy.querySelectorAll('*').forEach((part) => [...part.attributes].filter(({ name }) => name.startsWith('data-')).forEach(({ name }) => part.removeAttribute(name)));
  return copy;
}

export function oneFile(article, sheets) {
  const body = document.createElement('main');
  const textures = document.querySelector('.trial-head svg defs')?.closest('svg');
  if (textures) body.append(textures.cloneNode(true));
  body.append(alone(article));
  const css = [...sheets].flatMap((sheet) => usedRules(sheet.cssRules, body)).join('\n').replaceAll('</', '<\\/');
  const title = document.createElement('title');
  title.textContent = article.dataset.question ?? document.title;
  return `<!DOCTYPE html>\n<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">${title.outerHTML}<style>${css}</style></head><body>${body.outerHTML}</body></html>\n`;
}

document.querySelector('[data-onefile]')?.addEventListener('click', () => {
  const article = document.querySelector('article.report');
  save(oneFile(article, document.styleSheets), named(article.dataset.question, 'html'), 'text/html');
});
