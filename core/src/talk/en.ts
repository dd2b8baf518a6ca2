import { describeHand } from '../dial/describe-pose.js';
import { reportPose } from '../dial/possible.js';
import { hour12, minuteOfHour, nextHour12 } from '../time/second-of-day.js';
import { bestWording, say } from '../words/say.js';
import { CLOSE_MIN, countedTo, handsTogether, partOfHour, SEEMS_NEXT_MIN, sentence, type Talk } from './talk.js';

/** How far round the long hand is where that has a name: half past and the quarters are explained by it, before fives are counted. */
const SHORT_PART: Readonly<Record<number, string>> = {
  15: 'a quarter of the way round',
  30: 'half way round',
  45: 'three quarters of the way round',
};

export const english: Talk = {
  look: 'What time is it?',
  lookAt(at) {
    if (hour12(at) === 12 && minuteOfHour(at) === 0) return 'Both hands point up.';
    return handsTogether(at) ? 'The hands are close together.' : 'What time is it?';
  },
  setTo: (given) => `Set the clock to ${given}.`,
  means(at, pack) {
    const [hour, minute] = [hour12(at), minuteOfHour(at)];
    const said = sentence(bestWording(at, pack)).slice(0, -1);
    if (minute === 0) return `${said}: exactly ${hour}, and no minutes.`;
    if (minute === 30) return `${said}: half of the hour after ${hour} has gone.`;
    if (minute < 30) return `${said}: ${minute} ${minute === 1 ? 'minute' : 'minutes'} after ${hour}.`;
    const left = 60 - minute;
    return `${said}: ${left} ${left === 1 ? 'minute' : 'minutes'} to go until ${nextHour12(hour)}, so the hour is still ${hour}.`;
  },
  startAt: (at) => `Begin at ${hour12(at)} o’clock.`,
  putHour(at) {
    const [hour, minute] = [hour12(at), minuteOfHour(at)];
    const next = nextHour12(hour);
    if (minute === 0) return `The short hand points exactly at ${hour}.`;
    if (minute === 30) return `The short hand stands half way between ${hour} and ${next}.`;
    if (minute <= CLOSE_MIN) return `The short hand is just past ${hour}.`;
    if (minute >= 60 - CLOSE_MIN) return `The short hand is almost at ${next}, but not there yet.`;
    return `The short hand is between ${hour} and ${next}, nearer to ${minute < 30 ? hour : next}.`;
  },
  putMinute(at) {
    const minute = minuteOfHour(at);
    if (minute === 0) return 'No minutes: the long hand points at 12.';
    const [numeral, ticks] = [Math.floor(minute / 5) || 12, minute % 5];
    const part = SHORT_PART[minute];
    if (part) return `${sentence(part).slice(0, -1)}: the long hand points at ${numeral}.`;
    const counted = `Count ${minute < 5 ? 'the ticks' : 'in fives'}: ${countedTo(minute, ', and')}.`;
    if (ticks === 0) return `${counted} The long hand points at ${numeral}.`;
    return `${counted} The long hand is ${ticks} ${ticks === 1 ? 'tick' : 'ticks'} past ${numeral}.`;
  },
  isSet: (at) => `And the short hand? ${english.putHour(at)}`,
  stopHere: 'Stop here and think.',
  chapters: {
    beginning: 'Beginning',
    watch: 'Watch',
    turn: (from, to) => `Your turn: ${from === to ? `question ${from}` : `questions ${from} to ${to}`}`,
    end: 'End',
  },
  noPrinter: 'No printer?',
  oneHand: {
    hour(at) {
      const [hour, next] = [hour12(at), nextHour12(hour12(at))];
      return {
        at: `The short hand points at ${hour}: ${hour} o’clock.`,
        'just-past': `Just past ${hour}: a few minutes past ${hour}.`,
        'a-little': `A little past ${hour}: five or ten minutes past ${hour}.`,
        quarter: `A quarter of the way to ${next}: about quarter past ${hour}.`,
        half: `Half way between ${hour} and ${next}: about half past ${hour}.`,
        'three-quarters': `Three quarters of the way to ${next}: about quarter to ${next}.`,
        close: `Close to ${next}: five or ten minutes to ${next}.`,
        almost: `Almost at ${next}: a few minutes to ${next}.`,
      }[partOfHour(minuteOfHour(at))];
    },
    minute(at) {
      const minute = minuteOfHour(at);
      if (minute === 0) return 'The long hand alone says o’clock, but which hour? Twelve times are possible.';
      return `The long hand alone says ${minute} ${minute === 1 ? 'minute' : 'minutes'} past, but of which hour? Twelve times are possible.`;
    },
    ask: {
      hour: 'Only the short hand. About what time is it, and how do you know?',
      minute: 'Only the long hand. What do we know, and what not?',
    },
    both: (words) => `Here are both hands: ${words}.`,
  },
  possible: {
    ask: 'Can a clock look like this?',
    verdict: (pose) => reportPose(pose).sentence.replace('hour hand', 'short hand'),
    moved: 'The hands agree.',
    mended: 'Like this, the hands agree.',
  },
  mistake: {
    wrote: (reading) => `Somebody wrote ${reading}.`,
    how: (reading) => `Somebody wrote ${reading}. How could that have happened?`,
  },
  howCouldSomebody: 'How could somebody get this answer?',
  cards: { number: (card) => `Card ${card}`, guess: 'What comes next? Guess before it is shown.' },
  criteria: {
    order: {
      'hour-first': 'I look at the short hand first, then at the long one.',
      'minute-first': 'I look at the long hand first, then at the short one.',
    },
    between: {
      passed: 'The hour is the numeral that the short hand has passed.',
      'step-back': 'Between two numerals I step back to the one before.',
      zone: 'The hour is the zone that the short hand is in.',
    },
  },
  tells: { hour: 'The short hand tells the hour.', minute: 'The long hand tells the minutes.' },
  where: describeHand,
  shortHour(at, rule) {
    const [hour, minute] = [hour12(at), minuteOfHour(at)];
    const next = nextHour12(hour);
    if (minute === 0) return `It points at ${hour}: the hour is ${hour}.`;
    if (rule === 'step-back') return `Step back to the numeral before it: that is ${hour}.`;
    if (rule === 'zone') return `It is in the zone of ${hour}, so the hour is ${hour}.`;
    if (minute <= CLOSE_MIN) return `It is just past ${hour}: the hour is ${hour}.`;
    if (minute >= 60 - CLOSE_MIN) return `It is almost at ${next}, but not there yet: the hour is still ${hour}.`;
    if (minute >= SEEMS_NEXT_MIN) return `Close to ${next}, but not there yet: the hour is still ${hour}.`;
    return hour === 12
      ? 'It has passed 12, and 1 comes next: the hour is 12.'
      : `It has passed ${hour} but not ${next}: the hour is ${hour}.`;
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
    const written = minute < 10 ? `, written 0${minute}` : '';
    if (minute === 1) return `One tick past the 12: 1 minute${written}.`;
    if (minute < 5) return `Tick by tick from the 12: ${countedTo(minute, ', and')}${written}.`;
    if (minute === 5) return `From the 12 to the 1: 5${written}.`;
    const part = SHORT_PART[minute];
    if (part) return `${sentence(part).slice(0, -1)}, on the ${minute / 5}: ${minute}.`;
    return `${countedTo(minute, ', and')}${written}.`;
  },
  minuteReason(at) {
    const minute = minuteOfHour(at);
    if (minute === 0) return 'The long hand points at 12: no minutes yet, 00.';
    if (minute === 1) return 'The long hand is one tick past the 12: 1 minute.';
    if (minute < 5) return `Tick by tick from the 12: ${countedTo(minute, ', and')} minutes.`;
    if (minute === 5) return 'From the 12 to the 1: 5 minutes.';
    const part = SHORT_PART[minute];
    if (part) return `The long hand is on ${minute / 5}, ${part}: ${minute} minutes.`;
    return `In fives from the 12: ${countedTo(minute, ', and')} minutes.`;
  },
  left(at) {
    const left = 60 - minuteOfHour(at);
    const next = nextHour12(hour12(at));
    const span = left === 15 ? 'A quarter of an hour' : left === 1 ? '1 minute' : `${left} minutes`;
    return `${span} to go until ${next} o’clock.`;
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
