import { Outbox, reasonToWait } from '/static/js/bench/outbox.js';

const NAME = 'elsom-outbox-test';

/** An outbox whose connection is what the test says. */
function outbox(answers) {
  localStorage.removeItem(NAME);
  const sent = [];
  const got = [];
  const box = new Outbox('/nowhere', NAME, (entry, answer) => got.push([entry.token, answer.status]), () => {});
  box.send = async (entry) => { sent.push(entry.token); return answers.shift() ?? null; };
  return { box, sent, got };
}

export const tests = {
  'an entry is kept until it is answered': async (is) => {
    const { box, got } = outbox([{ status: 200, body: {} }]);
    is(await box.add({ token: 't1' }, 500), { status: 200, body: {} });
    is(box.read(), []);
    is(got, [['t1', 200]]);
  },
  'without an answer it stays on the device': async (is) => {
    const { box } = outbox([]);
    is(await box.add({ token: 't2' }, 20), null);
    is(box.read().map((entry) => entry.token), ['t2']);
    localStorage.removeItem(NAME);
  },
  'entries go out in the order they were made': async (is) => {
    const { box, sent } = outbox([{ status: 200 }, { status: 409 }]);
    box.add({ token: 'a' }, 500);
    await box.add({ token: 'b' }, 500);
    is(sent, ['a', 'b']);
  },
  'a full disk is the reason that is shown': (is) => {
    is(reasonToWait({ status: 507, body: { message: 'The disk is full.' } }), 'The disk is full. What waits on this device is sent then.');
    is(reasonToWait({ status: 500, body: { message: '' } }), '');
    is(reasonToWait({ status: 401, body: { message: '' } }).startsWith('Nobody is signed in'), true);
    is(reasonToWait({ status: 401, body: { message: 'Typed by Mo, and Ida is at this device now' } }).startsWith('Typed by Mo'), true);
    is(reasonToWait({ status: 403, body: { message: 'You may read here, and this takes more.' } }).startsWith('You may read'), true);
    is(reasonToWait({ status: 403, body: {} }).startsWith('This page was open too long'), true);
  },
};
