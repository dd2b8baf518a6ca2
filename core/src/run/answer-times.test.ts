import fc from 'fast-check';
import { answerTimes, plannedThinkSec } from './answer-times.js';

const answers = (kind: 'read-dial' | 'set-dial', ...times: number[]) =>
  times.map((responseTimeMs) => ({ kind, rung: 'half-past' as const, responseTimeMs }));

test('half and four in five of the answers are in by the times that are told; a few answers tell nothing', () => {
  const times = Array.from({ length: 20 }, (_, index) => (index + 1) * 1000);
  expect(answerTimes([...answers('read-dial', ...times), ...answers('set-dial', 1000, 2000)])).toEqual({
    'read-dial': { answers: 20, halfSec: 11, mostSec: 17, byRung: { 'half-past': { answers: 20, halfSec: 11, mostSec: 17 } } },
  });
});

test('a kind is told by its rungs, too, where enough was answered there', () => {
  const quick = answers('read-dial', ...Array.from({ length: 20 }, () => 4000));
  const slow = answers('read-dial', ...Array.from({ length: 16 }, () => 30_000)).map((one) => ({ ...one, rung: 'any-minute' as const }));
  const few = answers('read-dial', 90_000).map((one) => ({ ...one, rung: 'seconds' as const }));
  const { byRung } = answerTimes([...quick, ...slow, ...few])['read-dial']!;
  expect(Object.entries(byRung).map(([rung, { mostSec }]) => [rung, mostSec])).toEqual([
    ['half-past', 4],
    ['any-minute', 30],
  ]);
});

test('whatever order they come in, the shares hold', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 300_000 }), { minLength: 15, maxLength: 60 }), (times) => {
      const { halfSec, mostSec } = answerTimes(answers('read-dial', ...times))['read-dial']!;
      const share = (sec: number) => times.filter((time) => Math.round(time / 1000) <= sec).length / times.length;
      expect(share(halfSec)).toBeGreaterThanOrEqual(0.5);
      expect(share(mostSec)).toBeGreaterThanOrEqual(0.8);
      expect(halfSec).toBeLessThanOrEqual(mostSec);
    }),
  );
});

test('a slow class is planned more time, a quick one less, and neither beyond reason', () => {
  const most = (mostSec: number) => plannedThinkSec(20, { answers: 50, halfSec: 5, mostSec });
  expect([plannedThinkSec(20, undefined), most(22), most(14), most(3), most(200)]).toEqual([20, 25, 15, 12, 40]);
});
