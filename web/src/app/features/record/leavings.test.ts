import { Leavings, UNDO_MS } from './leavings';

let shown: (readonly string[])[];
let leavings: Leavings;
beforeEach(() => {
  jest.useFakeTimers();
  shown = [];
  leavings = new Leavings((ids) => shown.push(ids));
});
afterEach(() => jest.useRealTimers());

/** Deletes when the test says so. */
function deleting() {
  let done: () => void = () => undefined;
  const forGood = jest.fn(() => new Promise<void>((resolve) => (done = resolve)));
  return { forGood, done: () => done() };
}

test('what was taken away is deleted when the time to undo is over, and stays away until it is', async () => {
  const { forGood, done } = deleting();
  leavings.takeAway('a', forGood);
  jest.advanceTimersByTime(UNDO_MS - 1);
  expect(forGood).not.toHaveBeenCalled();
  jest.advanceTimersByTime(1);
  expect(forGood).toHaveBeenCalledTimes(1);
  // Another one is taken away while the first is on its way: neither comes back for a moment.
  leavings.takeAway('b', deleting().forGood);
  expect(shown.at(-1)).toEqual(['a', 'b']);
  done();
  await Promise.resolve();
  expect(shown.at(-1)).toEqual(['b']);
});

test('undone in time it is never deleted, and what was taken away beside it is all the same', () => {
  const [one, other] = [deleting(), deleting()];
  const undo = leavings.takeAway('a', one.forGood);
  leavings.takeAway('b', other.forGood);
  undo();
  expect(shown.at(-1)).toEqual(['b']);
  jest.advanceTimersByTime(UNDO_MS);
  expect([one.forGood.mock.calls.length, other.forGood.mock.calls.length]).toEqual([0, 1]);
});

test('when the page is left everything goes at once, each once', () => {
  const [one, other] = [deleting(), deleting()];
  leavings.takeAway('a', one.forGood);
  leavings.takeAway('b', other.forGood);
  leavings.goNow();
  leavings.goNow();
  jest.advanceTimersByTime(2 * UNDO_MS);
  expect([one.forGood.mock.calls.length, other.forGood.mock.calls.length]).toEqual([1, 1]);
});
