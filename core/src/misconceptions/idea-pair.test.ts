import { gearedPose } from '../dial/pose.js';
import { RUNG_IDS, RUNGS } from '../ladder/registry.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { displayText } from '../time/display.js';
import { secondOfDay, toSecondOfDay } from '../time/second-of-day.js';
import { actsOf } from './distorted-acts.js';
import { ideaPair, pairOfAnswer } from './idea-pair.js';
import type { MisconceptionId } from './registry.js';

const shown = (at: number) => displayText(toSecondOfDay(at));
const said = (id: MisconceptionId, rung: (typeof RUNG_IDS)[number]) => {
  const pair = ideaPair(id, rung, DEFAULT_SETTINGS);
  return pair && `${pair.act} ${shown(pair.at)} as ${pair.answeredAt === null ? 'no time' : shown(pair.answeredAt)}`;
};

test('an idea is shown at a time of the rung at which it misleads, those that mislead on purpose first', () => {
  expect(said('nearest-hour', 'any-minute')).toBe('read 2:58 as 3:58');
  expect(said('nearest-hour', 'quarter-to')).toBe('read 8:45 as 9:45');
  expect(said('hour-hand-on-numeral', 'half-past')).toMatch(/^set \d+:30 as no time$/);
  expect(said('fence-post', 'durations')).toBeNull();
});

test('on every rung at least half of the usual ideas have a pair, and each pair is what the idea does', () => {
  for (const rung of RUNG_IDS) {
    const pairs = RUNGS[rung].misconceptions.flatMap((id) => {
      const pair = ideaPair(id, rung, DEFAULT_SETTINGS);
      return pair ? [{ id, pair }] : [];
    });
    if (RUNGS[rung].byMinutes) expect(pairs.length).toBeGreaterThanOrEqual(RUNGS[rung].misconceptions.length / 2);
    for (const { id, pair } of pairs) {
      const acts = actsOf([id], DEFAULT_SETTINGS);
      expect(pair.asked).toEqual(gearedPose(toSecondOfDay(pair.at)));
      if (pair.act === 'set') expect(acts.set(toSecondOfDay(pair.at))).toContainEqual(pair.answered);
      else expect(acts.read(pair.asked).flatMap((typed) => acts.digits(typed, null)).map(({ hour, minute }) => `${Number(hour) % 12}:${minute.padStart(2, '0')}`)).toContain(shown(pair.answeredAt!).replace(/^12/, '0')); // prettier-ignore
    }
  }
});

test('an answer is a pair where it was read from a dial or set on one', () => {
  const item = { kind: 'read-dial', id: 'q', timeSec: secondOfDay(8, 50) } as never;
  expect(pairOfAnswer(item, { kind: 'read-dial', hour: '9', minute: '50' } as never)).toMatchObject({
    act: 'read',
    answeredAt: secondOfDay(9, 50),
  });
  expect(pairOfAnswer(item, { kind: 'read-dial', hour: '8', minute: '60' } as never)).toBeNull();
  expect(pairOfAnswer(item, { kind: 'not-sure' } as never)).toBeNull();
});
