import fc from 'fast-check';
import { LatestAttempts } from './latest.js';

const attempt = fc.record({
  pupilId: fc.constantFrom('Anouk', 'Bo', 'Ceri'),
  askingId: fc.constantFrom('q1', 'q1.2', 'q2'),
  attempt: fc.integer({ min: 1, max: 5 }),
});

test('in whatever order attempts come, each pupil’s highest at each asking is the latest', () => {
  fc.assert(
    fc.property(fc.array(attempt), (attempts) => {
      const latest = new LatestAttempts(attempts);
      for (const { pupilId, askingId } of attempts) {
        const own = attempts.filter((one) => one.pupilId === pupilId && one.askingId === askingId);
        expect(latest.of(pupilId, askingId)!.attempt).toBe(Math.max(...own.map((one) => one.attempt)));
        expect(latest.at(askingId).get(pupilId)).toBe(latest.of(pupilId, askingId));
      }
    }),
  );
});

test('a pupil who is forgotten has given nothing', () => {
  const latest = new LatestAttempts([{ pupilId: 'Bo', askingId: 'q1', attempt: 1 }]);
  latest.forget('Bo');
  expect(latest.of('Bo', 'q1')).toBeUndefined();
  expect(latest.at('q2').size).toBe(0);
});
