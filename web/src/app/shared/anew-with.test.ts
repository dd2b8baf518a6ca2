import { signal } from '@angular/core';
import { anewWith } from './anew-with';

test('a value stays while its key does, whatever else changes, and begins anew with another key', () => {
  const at = signal({ id: 'a', revision: 1 });
  const first = signal(0);
  const place = anewWith(
    () => at().id,
    () => first(),
  );
  place.set(3);
  at.set({ id: 'a', revision: 2 });
  first.set(7);
  expect(place()).toBe(3);
  at.set({ id: 'b', revision: 1 });
  expect(place()).toBe(7);
});
