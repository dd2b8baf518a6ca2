import { describeHand } from '../dial/describe-pose.js';
import { hourHandDeg } from '../dial/pose.js';
import type { PlayBeat } from '../beats/registry.js';
import { minuteDigits } from '../time/display.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import { hour12, minuteOfHour, nextHour12 } from '../time/second-of-day.js';
import { say } from '../words/say.js';
import { WORD_PACKS } from '../words/registry.js';
import { hourReason, minuteReason } from './reason.js';
import type { LessonSettings } from './settings.js';

/**
 * The chain of thought that reads a time from the dial, as beats: which hand first, which hour and why, the count round
 * to the minute hand, the display filling in, the wordings, and past the half how many minutes are left.
 */
export function explain(at: SecondOfDay, settings: LessonSettings): PlayBeat[] {
  const hourSteps = explainHour(at, settings);
  const minuteSteps = explainMinutes(at);
  const reading = settings.readingOrder === 'hour-first' ? [...hourSteps, ...minuteSteps] : [...minuteSteps, ...hourSteps];
  return [
    { kind: 'set', timeSec: at, display: 'empty', words: false, text: 'What does this clock say? Think with me, step by step.' },
    ...reading,
    ...explainLeft(at),
    explainWords(at, settings),
  ];
}

function explainHour(at: SecondOfDay, settings: LessonSettings): PlayBeat[] {
  const hour = hour12(at);
  const where = describeHand(hourHandDeg(at));
  return [
    { kind: 'mark', marks: [{ type: 'hand', hand: 'hour' }], text: `Look at the short hand: it tells the hour. It is ${where}.`, board: `Short hand: ${where}.` },
    {
      kind: 'mark',
      marks: [{ type: 'hand', hand: 'hour' }, { type: 'numeral', numeral: hour }],
      text: hourReason(at, settings),
      board: `The hour is ${hour}.`,
      write: { hour: String(hour) },
    },
  ]; // prettier-ignore
}

function explainMinutes(at: SecondOfDay): PlayBeat[] {
  const minute = minuteOfHour(at);
  const digits = minuteDigits(minute);
  return [
    {
      kind: 'mark',
      marks: [{ type: 'hand', hand: 'minute' }],
      text: 'Now the long hand: it tells the minutes.',
      board: 'Long hand: the minutes.',
    },
    {
      kind: 'mark',
      marks: minute === 0 ? [{ type: 'hand', hand: 'minute' }] : [{ type: 'count', toMinute: minute, by: 5 }],
      text: minute === 0 ? minuteReason(at) : `Count round from the 12 in fives. ${minuteReason(at)}`,
      board: minute === 0 ? 'No minutes yet: 00.' : minuteReason(at),
      write: { minute: digits },
    },
  ];
}

/** Past the half, how many minutes are left and which hour is coming. */
function explainLeft(at: SecondOfDay): PlayBeat[] {
  const minute = minuteOfHour(at);
  if (minute <= 30) return [];
  const left = 60 - minute;
  const next = nextHour12(hour12(at));
  const text = `From the long hand on to the 12 are ${left} ${left === 1 ? 'minute' : 'minutes'}. Then it will be ${next} o’clock.`;
  return [
    {
      kind: 'mark',
      marks: [
        { type: 'hand', hand: 'minute' },
        { type: 'numeral', numeral: next },
      ],
      text,
      board: `${left} left to ${next}.`,
    },
  ];
}

function explainWords(at: SecondOfDay, settings: LessonSettings): PlayBeat {
  const wordings = say(at, WORD_PACKS[settings.pack]);
  return { kind: 'mark', marks: [], text: `We say: ${wordings.join(', or ')}.`, write: { words: wordings } };
}
