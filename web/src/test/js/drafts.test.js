import { Drafts } from '/static/js/bench/drafts.js';
import { newToken } from '/static/js/kit/sending.js';

export const tests = {
  'what was typed is found again by a page opened later': (is) => {
    const name = 'elsom-draft-test';
    localStorage.removeItem(name);
    sessionStorage.removeItem(name);
    new Drafts(name).keep('K34/wet-mass/1', '48.');
    is(new Drafts(name).of('K34/wet-mass/1'), '48.');
    new Drafts(name).keep('K34/wet-mass/1', '');
    is(new Drafts(name).of('K34/wet-mass/1') ?? '', '');
  },
  'no two tokens are alike, and each is a UUID': (is) => {
    const tokens = new Set(Array.from({ length: 500 }, newToken));
    is(tokens.size, 500);
    is([...tokens].every((token) => /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/.test(token)), true);
  },
};
