import { Hub, REPLACED } from './hub.js';
import type { Line } from './line.js';

test('however quickly a pupil’s windows are opened, four of them listen and the others are let go', () => {
  const told = new Map<number, number>();
  const closed: [number, number][] = [];
  const hub = new Hub(() => undefined);
  const stops = Array.from({ length: 40 }, (_, window) => {
    const line = { close: (code: number) => closed.push([window, code]), show: () => told.set(window, (told.get(window) ?? 0) + 1) };
    return hub.listenDesk('anouk', line as unknown as Line);
  });
  hub.tellDesk('anouk', () => '{}');
  expect([...told.keys()]).toEqual([36, 37, 38, 39]);
  expect(closed).toEqual(Array.from({ length: 36 }, (_, window) => [window, REPLACED]));
  for (const stop of stops) stop();
  told.clear();
  hub.tellDesk('anouk', () => '{}');
  expect(told.size).toBe(0);
});
