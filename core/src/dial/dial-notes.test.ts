import { secondOfDay, toSecondOfDay } from '../time/second-of-day.js';
import { dialNotes } from './dial-notes.js';
import { gearedPose } from './pose.js';

const both = { hourHand: true, minuteHand: true, alike: false };
const at = (hour: number, minute: number) => gearedPose(secondOfDay(hour, minute));

test('one hand alone tells about what time it is, or twelve times', () => {
  expect(dialNotes(at(8, 15), { ...both, minuteHand: false })).toEqual(['The hour hand alone: about 8:15, give or take 4 minutes.']);
  expect(dialNotes(at(8, 15), { ...both, hourHand: false })).toEqual([
    'The minute hand alone: 12 times are possible, 12:15, 1:15, … 11:15.',
  ]);
  expect(dialNotes(at(8, 15), { ...both, hourHand: false, minuteHand: false })).toEqual([]);
});

test('an overlap is told of at eleven places of the dial, each about two minutes wide', () => {
  const told = (sec: number) => dialNotes(gearedPose(toSecondOfDay(sec)), both).length > 0;
  let beginnings = 0;
  for (let sec = 600; sec < 600 + 43_200; sec += 10) if (told(sec) && !told(sec - 10)) beginnings += 1;
  expect(beginnings).toBe(11);
});

test('hands that look alike may be taken for each other, but only where that is a time', () => {
  expect(dialNotes(at(1, 8), { ...both, alike: true })).toEqual([]);
  expect(dialNotes(gearedPose(toSecondOfDay(302)), { ...both, alike: true })).toEqual([
    expect.stringMatching(/would show a time too: about 1:0/),
  ]);
  expect(dialNotes(gearedPose(toSecondOfDay(302)), both)).toEqual([]);
});
