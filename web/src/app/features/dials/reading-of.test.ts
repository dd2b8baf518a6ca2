import { gearedPose, poseBetween } from '@zeitpunkt/core/dial/pose';
import { NEW_BUILD, setTime, stageOfBuild, type DialBuild } from '@zeitpunkt/core/stage/dial-build';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { readingOf } from './reading-of';

const at = (hour: number, minute: number): DialBuild => setTime(secondOfDay(hour, minute))(NEW_BUILD);

test('the time is read in digits and words of the build’s pack, with the way of the hour hand', () => {
  expect(readingOf({ ...at(16, 45), separator: '.', pack: 'de' }, null)).toMatchObject({
    digits: '4.45',
    words: 'Viertel vor fünf',
    progress: 'The hour hand has passed 4 and comes to 5.',
  });
});

test('while hands move, the last full minute that they have reached is read', () => {
  const stage = stageOfBuild(at(2, 0));
  const moving = (part: number) => {
    const pose = poseBetween(gearedPose(secondOfDay(2, 29)), gearedPose(secondOfDay(2, 30)), part);
    return readingOf(at(2, 0), { ...stage, dial: { ...stage.dial!, pose } }).digits;
  };
  expect([0, 0.5, 0.99, 1].map(moving)).toEqual(['2:29', '2:29', '2:29', '2:30']);
});

test('free hands that can be no time are read as none, and what is wrong is said', () => {
  const free = { ...at(9, 0), hands: 'free' as const, freePose: { hourDeg: 270, minuteDeg: 180 } };
  const reading = readingOf(free, null);
  expect([reading.digits, reading.words, reading.report?.possible]).toEqual(['', '', false]);
  expect(readingOf({ ...free, freePose: { hourDeg: 285, minuteDeg: 180 } }, null).digits).toBe('9:30');
});
