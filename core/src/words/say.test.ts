import { secondOfDay } from '../time/second-of-day.js';
import { WORD_PACKS } from './registry.js';
import { say } from './say.js';

const { 'en-GB': gb, 'en-US': us } = WORD_PACKS;

test.each([
  [16, 30, ['half past four', 'four thirty']],
  [7, 0, ['seven o’clock']],
  [12, 45, ['quarter to one', 'twelve forty-five']],
  [6, 5, ['five past six', 'six oh five']],
  [6, 1, ['one minute past six', 'six oh one']],
  [11, 57, ['three minutes to twelve', 'eleven fifty-seven']],
  [7, 35, ['twenty-five to eight', 'seven thirty-five']],
])('%i:%i in British English', (hour, minute, wordings) => {
  expect(say(secondOfDay(hour, minute), gb)).toEqual(wordings);
});

test('American English has after and of besides', () => {
  expect(say(secondOfDay(3, 15), us)).toContain('quarter after three');
  expect(say(secondOfDay(3, 45), us)).toContain('quarter of four');
});

test('every minute of twelve hours has a wording of its own, in each pack and register', () => {
  for (const pack of [gb, us]) {
    for (const register of ['past-to', undefined] as const) {
      const best = new Set<string>();
      for (let minute = 0; minute < 720; minute++) best.add(say(secondOfDay(Math.floor(minute / 60), minute % 60), pack, register)[0]!);
      expect(best.size).toBe(720);
    }
  }
});

test('no template slot is left unfilled', () => {
  for (const pack of [gb, us]) {
    for (let minute = 0; minute < 720; minute++) {
      for (const wording of say(secondOfDay(Math.floor(minute / 60), minute % 60), pack)) expect(wording).toMatch(/^[a-z’ -]+$/);
    }
  }
});
