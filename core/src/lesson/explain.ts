import { hourHandDeg } from '../dial/pose.js';
import type { MarkBeat } from '../beats/mark.js';
import type { SetBeat } from '../beats/set.js';
import { minuteDigits } from '../time/display.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import { hour12, minuteOfHour, nextHour12 } from '../time/second-of-day.js';
import { say } from '../words/say.js';
import { WORD_PACKS } from '../words/registry.js';
import type { LessonSettings } from './settings.js';
import { talkOf } from './talk/registry.js';

/** The steps of an explanation by name. Names stand in stored places: add, never rename or reuse. */
export type ExplainStepId = 'look' | 'hour-hand' | 'hour' | 'minute-hand' | 'minutes' | 'left' | 'words';

export interface ExplainStep {
  readonly step: ExplainStepId;
  readonly beat: SetBeat | MarkBeat;
}

/**
 * The chain of thought that reads a time from the dial, as beats: which hand first, which hour and why, the count round
 * to the minute hand, the display filling in, past the half how many minutes are left, and the wordings. Short enough to
 * be said while the dial moves.
 */
export function explain(at: SecondOfDay, settings: LessonSettings): ExplainStep[] {
  const reading =
    settings.readingOrder === 'hour-first'
      ? [...explainHour(at, settings), ...explainMinutes(at, settings)]
      : [...explainMinutes(at, settings), ...explainHour(at, settings)];
  // A rule that speaks of zones draws them.
  const layers = settings.betweenRule === 'zone' ? { layers: ZONES } : {};
  const text = talkOf(settings).look;
  return [
    { step: 'look', beat: { kind: 'set', timeSec: at, display: 'empty', words: false, ...layers, text } },
    ...reading,
    ...explainLeft(at, settings),
    explainWords(at, settings),
  ];
}

const ZONES = { hourZones: true } as const;

const marked = (step: ExplainStepId, beat: Omit<MarkBeat, 'kind'>): ExplainStep => ({ step, beat: { kind: 'mark', ...beat } });

function explainHour(at: SecondOfDay, settings: LessonSettings): ExplainStep[] {
  const hour = hour12(at);
  const talk = talkOf(settings);
  return [
    marked('hour-hand', {
      marks: [{ type: 'hand', hand: 'hour' }],
      text: talk.tells.hour,
      board: talk.board.hand(talk.where(hourHandDeg(at))),
    }),
    marked('hour', {
      marks: [
        { type: 'hand', hand: 'hour' },
        { type: 'numeral', numeral: hour },
      ],
      text: talk.shortHour(at, settings.betweenRule),
      board: talk.board.hour(hour),
      write: { hour: String(hour) },
    }),
  ];
}

function explainMinutes(at: SecondOfDay, settings: LessonSettings): ExplainStep[] {
  const minute = minuteOfHour(at);
  const talk = talkOf(settings);
  return [
    marked('minute-hand', {
      marks: [{ type: 'hand', hand: 'minute' }],
      text: talk.tells.minute,
      board: talk.board.longHand,
    }),
    marked('minutes', {
      marks: minute === 0 ? [{ type: 'hand', hand: 'minute' }] : [{ type: 'count', toMinute: minute, by: minute < 5 ? 1 : 5 }],
      text: talk.shortMinutes(at),
      board: minute === 0 ? talk.board.noMinutes : talk.minuteReason(at),
      write: { minute: minuteDigits(minute) },
    }),
  ];
}

/** Past the half, how many minutes are left and which hour is coming. */
function explainLeft(at: SecondOfDay, settings: LessonSettings): ExplainStep[] {
  if (minuteOfHour(at) <= 30) return [];
  const talk = talkOf(settings);
  return [
    marked('left', {
      marks: [
        { type: 'hand', hand: 'minute' },
        { type: 'numeral', numeral: nextHour12(hour12(at)) },
      ],
      text: talk.left(at),
      board: talk.board.left(at),
    }),
  ];
}

function explainWords(at: SecondOfDay, settings: LessonSettings): ExplainStep {
  const pack = WORD_PACKS[settings.pack];
  return marked('words', { marks: [], text: talkOf(settings).wordings(at, pack), write: { words: say(at, pack) } });
}
