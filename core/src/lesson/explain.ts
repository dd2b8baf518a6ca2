import { describeHand } from '../dial/describe-pose.js';
import { hourHandDeg } from '../dial/pose.js';
import type { MarkBeat } from '../beats/mark.js';
import type { SetBeat } from '../beats/set.js';
import { minuteDigits } from '../time/display.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import { hour12, minuteOfHour, nextHour12 } from '../time/second-of-day.js';
import { say } from '../words/say.js';
import { WORD_PACKS } from '../words/registry.js';
import { hourReason, minuteReason } from './reason.js';
import type { LessonSettings } from './settings.js';

/** The steps of an explanation by name. Names stand in stored places: add, never rename or reuse. */
export type ExplainStepId = 'look' | 'hour-hand' | 'hour' | 'minute-hand' | 'minutes' | 'left' | 'words';

export interface ExplainStep {
  readonly step: ExplainStepId;
  readonly beat: SetBeat | MarkBeat;
}

/**
 * The chain of thought that reads a time from the dial, as beats: which hand first, which hour and why, the count round
 * to the minute hand, the display filling in, the wordings, and past the half how many minutes are left.
 */
export function explain(at: SecondOfDay, settings: LessonSettings): ExplainStep[] {
  const reading =
    settings.readingOrder === 'hour-first'
      ? [...explainHour(at, settings, 'Look at'), ...explainMinutes(at, 'Now')]
      : [...explainMinutes(at, 'Look at'), ...explainHour(at, settings, 'Now')];
  const look = 'What does this clock say? Think with me, step by step.';
  return [
    { step: 'look', beat: { kind: 'set', timeSec: at, display: 'empty', words: false, text: look } },
    ...reading,
    ...explainLeft(at),
    explainWords(at, settings),
  ];
}

const marked = (step: ExplainStepId, beat: Omit<MarkBeat, 'kind'>): ExplainStep => ({ step, beat: { kind: 'mark', ...beat } });

/** How the talk comes to a hand: the first one is looked at, the other one is next. */
type Opening = 'Look at' | 'Now';

function explainHour(at: SecondOfDay, settings: LessonSettings, opening: Opening): ExplainStep[] {
  const hour = hour12(at);
  const where = describeHand(hourHandDeg(at));
  return [
    marked('hour-hand', {
      marks: [{ type: 'hand', hand: 'hour' }],
      text: `${opening} the short hand: it tells the hour.${minuteOfHour(at) === 0 ? '' : ` It is ${where}.`}`,
      board: `Short hand: ${where}.`,
    }),
    marked('hour', {
      marks: [
        { type: 'hand', hand: 'hour' },
        { type: 'numeral', numeral: hour },
      ],
      text: hourReason(at, settings),
      board: `The hour is ${hour}.`,
      write: { hour: String(hour) },
    }),
  ];
}

function explainMinutes(at: SecondOfDay, opening: Opening): ExplainStep[] {
  const minute = minuteOfHour(at);
  return [
    marked('minute-hand', {
      marks: [{ type: 'hand', hand: 'minute' }],
      text: `${opening} the long hand: it tells the minutes.`,
      board: 'Long hand: the minutes.',
    }),
    marked('minutes', {
      marks: minute === 0 ? [{ type: 'hand', hand: 'minute' }] : [{ type: 'count', toMinute: minute, by: 5 }],
      text: minuteReason(at),
      board: minute === 0 ? 'No minutes yet: 00.' : minuteReason(at),
      write: { minute: minuteDigits(minute) },
    }),
  ];
}

/** Past the half, how many minutes are left and which hour is coming. */
function explainLeft(at: SecondOfDay): ExplainStep[] {
  const minute = minuteOfHour(at);
  if (minute <= 30) return [];
  const left = 60 - minute;
  const next = nextHour12(hour12(at));
  return [
    marked('left', {
      marks: [
        { type: 'hand', hand: 'minute' },
        { type: 'numeral', numeral: next },
      ],
      text: `${left} ${left === 1 ? 'minute' : 'minutes'} to go to ${next} o’clock.`,
      board: `${left} left to ${next}.`,
    }),
  ];
}

function explainWords(at: SecondOfDay, settings: LessonSettings): ExplainStep {
  const wordings = say(at, WORD_PACKS[settings.pack]);
  return marked('words', { marks: [], text: `We say: ${wordings.join(', or ')}.`, write: { words: wordings } });
}
