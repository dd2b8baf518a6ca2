import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { until } from '../testing/render';
import { inSlices } from './in-slices';

test('what is long is drawn frame by frame, and what comes to it as well; what is drawn stays', async () => {
  const total = signal(7);
  const drawn = TestBed.runInInjectionContext(() => inSlices(total, 3));
  TestBed.tick();
  expect(drawn()).toBe(3);
  await until(() => drawn() >= 7);
  total.set(2);
  TestBed.tick();
  expect(drawn()).toBe(9);
  total.set(11);
  TestBed.tick();
  await until(() => drawn() >= 11);
});
