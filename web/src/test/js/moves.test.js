import { MoveQueue } from '/static/js/plan/moves.js';

/** A server that answers when it is told to. */
function server() {
  const calls = [];
  return { calls, send: (move) => new Promise((answer, fail) => { calls.push({ move, answer, fail }); }) };
}

const soon = () => new Promise((done) => { setTimeout(done, 0); });

export const tests = {
  'the second move is sent when the first is kept, and not before': async (is) => {
    const { calls, send } = server();
    const kept = [];
    const queue = new MoveQueue(send, (move, answer) => kept.push(`${move} ${answer}`), () => {});
    const done = (queue.add('a'), queue.add('b'));
    await soon();
    is(calls.map((call) => call.move), ['a']);
    calls[0].answer('one');
    await soon();
    is(calls.map((call) => call.move), ['a', 'b']);
    calls[1].answer('two');
    await done;
    is(kept, ['a one', 'b two']);
  },
  'a refused move takes those after it back, the last one first': async (is) => {
    const { calls, send } = server();
    let undone = [];
    const queue = new MoveQueue(send, () => {}, (moves) => { undone = moves; });
    const done = (queue.add('a'), queue.add('b'), queue.add('c'));
    await soon();
    calls[0].answer(null);
    await done;
    is(undone, ['c', 'b', 'a']);
    is(calls.length, 1);
  },
  'a lost connection is a refusal, and the next move is sent again': async (is) => {
    const { calls, send } = server();
    const lost = [];
    const queue = new MoveQueue(send, () => {}, (moves) => lost.push(...moves));
    const first = queue.add('a');
    await soon();
    calls[0].fail(new Error('gone'));
    await first;
    is(lost, ['a']);
    queue.add('b');
    await soon();
    is(calls.map((call) => call.move), ['a', 'b']);
  },
};
