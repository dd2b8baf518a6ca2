import { nextFrame } from './next-frame';

let frames: (() => void)[];
beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['requestAnimationFrame', 'cancelAnimationFrame'] });
  frames = [];
  window.requestAnimationFrame = (callback) => frames.push(() => callback(0));
  window.cancelAnimationFrame = (id) => void (frames[id - 1] = () => undefined);
});
afterEach(() => jest.useRealTimers());

test('work is done once, at the frame where one comes, after a second where none does', () => {
  const seen = jest.fn();
  nextFrame(seen);
  frames[0]!();
  jest.advanceTimersByTime(5000);
  expect(seen).toHaveBeenCalledTimes(1);

  const hidden = jest.fn();
  nextFrame(hidden);
  jest.advanceTimersByTime(1000);
  frames[1]!();
  expect(hidden).toHaveBeenCalledTimes(1);
});

test('what is called off never happens', () => {
  const never = jest.fn();
  nextFrame(never)();
  jest.advanceTimersByTime(5000);
  frames.forEach((frame) => frame());
  expect(never).not.toHaveBeenCalled();
});

test('a frame of another window serves as well, and is not waited for any more once one has come', () => {
  const seen = jest.fn();
  const callOff = jest.fn();
  let there!: () => void;
  nextFrame(seen, (work) => {
    there = work;
    return callOff;
  });
  there();
  jest.advanceTimersByTime(5000);
  frames.forEach((frame) => frame());
  expect(seen).toHaveBeenCalledTimes(1);
  expect(callOff).toHaveBeenCalledTimes(1);
});
