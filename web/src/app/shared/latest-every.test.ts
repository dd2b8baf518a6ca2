import { latestEvery } from './latest-every';

test('the first value goes out at once, and of those that follow only the latest of each while', () => {
  jest.useFakeTimers();
  const sent: number[] = [];
  const show = latestEvery(250, (value: number) => sent.push(value));
  for (const value of [1, 2, 3]) show(value);
  expect(sent).toEqual([1]);
  jest.advanceTimersByTime(250);
  expect(sent).toEqual([1, 3]);
  jest.advanceTimersByTime(1000);
  show(4);
  expect(sent).toEqual([1, 3, 4]);
  jest.useRealTimers();
});
