import { TestBed } from '@angular/core/testing';
import { todaysDate } from './todays-date';

afterEach(() => jest.useRealTimers());

test('a window that is left open over night goes on with the next day, and one that slept at once when it is seen', async () => {
  jest.useFakeTimers({ now: new Date(2026, 11, 1, 23, 59, 50) });
  const today = TestBed.runInInjectionContext(todaysDate);
  expect(today()).toBe('2026-12-01');
  await jest.advanceTimersByTimeAsync(30_000);
  expect(today()).toBe('2026-12-02');
  jest.setSystemTime(new Date(2026, 11, 4, 8));
  document.dispatchEvent(new Event('visibilitychange'));
  expect(today()).toBe('2026-12-04');
});
