import { NEW_BUILD, secondOfDay } from '@zeitpunkt/core';
import { sweepOf } from './sweep-of';

test('a sweep that would cross midnight begins half a day earlier, where the dial looks the same', () => {
  const { beat } = sweepOf(secondOfDay(23, 50), secondOfDay(0, 20), 30, 'fives', NEW_BUILD);
  expect(beat).toMatchObject({ fromSec: secondOfDay(11, 50), toSec: secondOfDay(12, 20) });
  expect(sweepOf(secondOfDay(7, 0), secondOfDay(8, 0), 30, 'none', NEW_BUILD).beat).toMatchObject({
    fromSec: secondOfDay(7, 0),
    toSec: secondOfDay(8, 0),
  });
});
