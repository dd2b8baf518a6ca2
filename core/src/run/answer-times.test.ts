import fc from 'fast-check';
import { answerTimes, plannedThinkSec } from './answer-times.js';

const answers = (kind: 'read-dial' | 'set-dial', ...times: number[]) => times.map((responseTimeMs) => ({ kind, responseTimeMs }));

test('half and four in five of the answers are in by the times that are told; a few answers tell nothing', () => {
  const times = Array.from({ length: 20 }, (_, index) => (index + 1) * 1000);
  expect(answerTimes([...answers('read-dial', ...times), ...answers('set-dial', 1000, 2000)])).toEqual({
    'read-dial': { answers: 20, halfSec: 11, mostSec: 17 },
  });
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
