// What waits on this device until it is sent, or until somebody decides.

import { told } from '/static/js/bench/undecided.js';
import { Undecided, waiting, words } from '/static/js/kit/waiting.js';

const entry = (token, more = {}) => ({ token, key: 'K34/mass/1', unit: 'K34', look: 2, text: '201.7', ...more });

export const tests = {
  'a reading that was not taken is kept until somebody decides': (is) => {
    const kept = new Undecided('test');
    kept.keep(entry('a'), { status: 409, body: { message: 'Bench B entered 205.5 meanwhile.', current: { id: 7 } } });
    kept.keep(entry('a'), { status: 404, body: {} });
    kept.keep(entry('b', { look: 3 }), { status: 422, body: { message: 'It can’t be.' } });
    is(kept.read().map((one) => [one.token, one.status]), [['a', 404], ['b', 422]]);
    is(waiting().test ?? 'only numbers are trials', 'only numbers are trials');
    kept.settle({ key: 'K34/mass/1', look: 2 });
    is(kept.read().map((one) => one.token), ['b']);
    kept.drop('b');
    is(kept.read(), []);
  },
  'what is said of it names the place, the text and why': (is) => {
    is(told({ ...entry('a'), message: 'Bench B entered 205.5 meanwhile.', says: { endpoint: 'Mass', look: 'day 2' } }),
      'K34 Mass at “day 2”: “201.7”. Bench B entered 205.5 meanwhile.');
    is(told({ ...entry('a'), status: 404, message: '' }), 'K34: “201.7”. It is not there any more.');
  },
  'every page counts what waits': (is) => {
    is(words({ unsent: 2, undecided: 0 }), '2 readings wait on this device to be sent');
    is(words({ unsent: 0, undecided: 1 }), '1 reading was not taken and needs you to decide');
    is(words({ unsent: 0, undecided: 0 }), '');
  },
};
