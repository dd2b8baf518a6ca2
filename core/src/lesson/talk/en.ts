import { describeHand } from '../../dial/describe-pose.js';
import { hour12, minuteOfHour, nextHour12 } from '../../time/second-of-day.js';
import { say } from '../../words/say.js';
import { CLOSE_MIN, countedTo, sentence, type Talk } from './talk.js';

/** How far round the long hand is where that has a name. */
const PART_OF_THE_WAY: Readonly<Record<number, string>> = {
  15: ', a quarter of the way round',
  30: ', half way round',
  45: ', three quarters of the way round',
};

export const english: Talk = {
  look: 'What time is it?',
  tells: { hour: 'The short hand tells the hour.', minute: 'The long hand tells the minutes.' },
  where: describeHand,
  shortHour(at, rule) {
    const [hour, minute] = [hour12(at), minuteOfHour(at)];
    const next = nextHour12(hour);
    if (minute === 0) return `It points at ${hour}: the hour is ${hour}.`;
    if (rule === 'step-back') return `Step back to the numeral before it: ${hour}.`;
    if (rule === 'zone') return `It is in the zone of ${hour}: ${hour}.`;
    if (minute <= CLOSE_MIN) return `It is just past ${hour}: the hour is ${hour}.`;
    if (minute >= 60 - CLOSE_MIN) return `It is almost at ${next}, but not there yet: still ${hour}.`;
    return hour === 12 ? 'It has passed 12, and 1 comes next: 12.' : `It has passed ${hour}, not ${next} yet: ${hour}.`;
  },
  hourReason(at, rule) {
    const [hour, minute] = [hour12(at), minuteOfHour(at)];
    if (minute === 0) return `The short hand points at ${hour}: the hour is ${hour}.`;
    const next = nextHour12(hour);
    const after = hour === 12 ? ' After 12 the hours begin again at 1.' : '';
    const isAlmost = minute >= 60 - CLOSE_MIN;
    const where = isAlmost
      ? `The short hand is almost at ${next}, but not there yet`
      : minute <= CLOSE_MIN
        ? `The short hand is just past ${hour}`
        : `The short hand has passed ${hour} and not reached ${next} yet`;
    const sentences = {
      passed: `${where}: the hour is ${isAlmost ? 'still ' : ''}${hour}.`,
      'step-back': `${isAlmost ? `The short hand is almost at ${next}. ` : ''}Step back to the numeral before the short hand: the hour is ${hour}.`,
      zone: `The short hand is in the zone of ${hour}, from ${hour} to ${next}: the hour is ${hour}.`,
    };
    return sentences[rule] + after;
  },
  shortMinutes(at) {
    const minute = minuteOfHour(at);
    if (minute === 0) return 'It points at 12: no minutes, 00.';
    if (minute === 1) return 'One tick past the 12: 1 minute.';
    if (minute < 5) return `Tick by tick from the 12: ${countedTo(minute, 'and')}.`;
    if (minute === 5) return 'From the 12 to the 1: 5.';
    const part = { 15: ': a quarter of the way round', 30: ': half way round' }[minute] ?? '';
    return `${countedTo(minute, 'and')}${part}.`;
  },
  minuteReason(at) {
    const minute = minuteOfHour(at);
    if (minute === 0) return 'The long hand points at 12: no minutes yet, 00.';
    if (minute === 1) return 'The long hand is one tick past the 12: 1 minute.';
    if (minute < 5) return `Tick by tick from the 12: ${countedTo(minute, 'and')} minutes.`;
    if (minute === 5) return 'From the 12 to the 1: 5 minutes.';
    return `In fives from the 12: ${countedTo(minute, 'and')} minutes${PART_OF_THE_WAY[minute] ?? ''}.`;
  },
  left(at) {
    const left = 60 - minuteOfHour(at);
    const next = nextHour12(hour12(at));
    const span = left === 15 ? 'A quarter' : left === 1 ? '1 minute' : `${left} minutes`;
    return `${span} to go to ${next} o’clock.`;
  },
  wordings(at, pack) {
    const [taught, ...others] = say(at, pack, 'past-to');
    const digital = say(at, pack, 'hour-minutes');
    if (others.length > 0) return `${sentence(taught!)} Others say ${others.join(' or ')}.`;
    return digital.length > 0 ? `${sentence(taught!)} Or ${digital.join(' or ')}.` : sentence(taught!);
  },
  board: {
    hand: (where) => `Short hand: ${where}.`,
    hour: (hour) => `The hour is ${hour}.`,
    longHand: 'Long hand: the minutes.',
    noMinutes: 'No minutes yet: 00.',
    left: (at) => `${60 - minuteOfHour(at)} left to ${nextHour12(hour12(at))}.`,
  },
  whichHour: {
    passed: 'which numeral has it passed?',
    'step-back': 'which numeral comes before it?',
    zone: 'in the zone of which numeral is it?',
  },
  whichNumeral: 'which numeral does it point at?',
  itIs: (time) => `It is ${time}.`,
};
