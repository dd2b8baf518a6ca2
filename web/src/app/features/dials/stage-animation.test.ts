import { NEW_BUILD, stageOfBuild } from '@zeitpunkt/core/stage/dial-build';
import { StageAnimation } from './stage-animation';

let arrived: string[];
let animation: StageAnimation;
const stage = stageOfBuild(NEW_BUILD);
const at = (elapsedMs: number) => ({ ...stage, stem: String(Math.round(elapsedMs)) });
const shown = () => animation.stage()?.stem ?? null;
const motion = (reduced: boolean) =>
  Object.defineProperty(window, 'matchMedia', { configurable: true, value: () => ({ matches: reduced }) });

beforeEach(() => {
  jest.useFakeTimers();
  motion(false);
  arrived = [];
  animation = new StageAnimation(() => () => undefined);
});
afterEach(() => jest.useRealTimers());

test('a stage moves from frame to frame, and arrives once', () => {
  animation.run(100, at, () => arrived.push('there'));
  expect(shown()).toBe('0');
  jest.advanceTimersByTime(50);
  expect(Number(shown())).toBeGreaterThan(20);
  expect(arrived).toEqual([]);
  jest.advanceTimersByTime(500);
  expect([shown(), arrived]).toEqual([null, ['there']]);
});

test('stopped, or overtaken by another, it never arrives', () => {
  animation.run(100, at, () => arrived.push('first'));
  jest.advanceTimersByTime(50);
  animation.run(200, at, () => arrived.push('second'));
  jest.advanceTimersByTime(150);
  expect(arrived).toEqual([]);
  animation.stop();
  jest.advanceTimersByTime(1000);
  expect([shown(), arrived]).toEqual([null, []]);
});

test('with reduced motion it goes in steps of a second', () => {
  motion(true);
  animation.run(5000, at, () => undefined);
  jest.advanceTimersByTime(900);
  expect(shown()).toBe('0');
  jest.advanceTimersByTime(1500);
  expect(shown()).toBe('2000');
});
