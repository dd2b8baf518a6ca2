import { hourHandDeg } from '../dial/pose.js';
import type { MarkBeat } from '../beats/mark.js';
import type { SetBeat } from '../beats/set.js';
import type { SweepBeat } from '../beats/sweep.js';
import { displayText, minuteDigits } from '../time/display.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import { hour12, minuteOfHour, nextHour12 } from '../time/second-of-day.js';
import { bestWording, say } from '../words/say.js';
import { WORD_PACKS } from '../words/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import { talkOf } from '../talk/registry.js';

/** The steps of an explanation by name. Names stand in stored places: add, never rename or reuse. */
export type ExplainStepId =
  | 'look'
  | 'hour-hand'
  | 'hour'
  | 'minute-hand'
  | 'minutes'
  | 'left'
  | 'words'
  /** Setting the hands: what the words mean, where each hand goes, and the whole once more. */
  | 'meaning'
  | 'put-hour-hand'
  | 'put-minute-hand'
  | 'check';

/** What is given: a dial to read, or a display or words to set the hands to. */
export type ExplainFrom = 'dial' | 'display' | 'words';

export interface ExplainStep {
  readonly step: ExplainStepId;
  readonly beat: SetBeat | MarkBeat | SweepBeat;
}

/** The chain of thought for a time in the school of a lesson, from whatever is given, as beats. Its last state is the right time. */
export function explain(at: SecondOfDay, settings: LessonSettings, from: ExplainFrom = 'dial'): ExplainStep[] {
  return from === 'dial' ? explainReading(at, settings) : explainSetting(at, settings, from);
}

/**
 * The chain of thought that reads a time from the dial, as beats: which hand first, which hour and why, the count round
 * to the minute hand, the display filling in, past the half how many minutes are left, and the wordings. Short enough to
 * be said while the dial moves.
 */
function explainReading(at: SecondOfDay, settings: LessonSettings): ExplainStep[] {
  const reading =
    settings.readingOrder === 'hour-first'
      ? [...explainHour(at, settings), ...explainMinutes(at, settings)]
      : [...explainMinutes(at, settings), ...explainHour(at, settings)];
  // A rule that speaks of zones draws them.
  const layers = settings.betweenRule === 'zone' ? { layers: ZONES } : {};
  const text = talkOf(settings).lookAt(at);
  return [
    { step: 'look', beat: { kind: 'set', timeSec: at, display: 'empty', words: false, ...layers, text } },
    ...reading,
    ...explainLeft(at, settings),
    explainWords(at, settings),
  ];
}

const ZONES = { hourZones: true } as const;

const marked = (step: ExplainStepId, beat: Omit<MarkBeat, 'kind'>): ExplainStep => ({ step, beat: { kind: 'mark', ...beat } });

/**
 * The chain of thought that sets the hands: what the words mean, where each hand goes in the order in which the lesson reads
 * them, and a look at the whole.
 */
function explainSetting(at: SecondOfDay, settings: LessonSettings, from: 'display' | 'words'): ExplainStep[] {
  const talk = talkOf(settings);
  const pack = WORD_PACKS[settings.pack];
  const digits = displayText(at, settings.separator);
  const given = from === 'display' ? digits : bestWording(at, pack);
  const zones = settings.betweenRule === 'zone' ? ZONES : {};
  const [hour, minute] = [String(hour12(at)), minuteDigits(minuteOfHour(at))];
  const written = from === 'display' ? ('full' as const) : ('none' as const);
  // Each hand appears where it goes; the one that is not there yet is hidden.
  const put = (step: ExplainStepId, hands: { hourHand: boolean; minuteHand: boolean }, text: string): ExplainStep => ({
    step,
    beat: { kind: 'set', timeSec: at, display: written, words: from === 'words', layers: { ...zones, ...hands }, text },
  });
  const hourFirst = settings.readingOrder === 'hour-first';
  const minuteHand = put('put-minute-hand', { hourHand: hourFirst, minuteHand: true }, talk.putMinute(at));
  const meaning =
    from === 'words'
      ? [marked('meaning', { marks: [], text: talk.means(at, pack), board: talk.itIs(digits), write: { hour, minute } })]
      : [];
  const runs = minuteOfHour(at) !== 0 && hourFirst;
  const setting = runs ? letRun() : setOneByOne();
  return [
    put('look', { hourHand: false, minuteHand: false }, talk.setTo(given)),
    ...meaning,
    ...setting,
    {
      step: 'check',
      beat: {
        kind: 'set',
        timeSec: at,
        display: 'full',
        words: true,
        ...(Object.keys(zones).length > 0 ? { layers: zones } : {}),
        text: runs ? talk.isSet(at) : talk.possible.moved,
      },
    },
  ];

  function setOneByOne(): ExplainStep[] {
    const hourHand = put('put-hour-hand', { hourHand: true, minuteHand: !hourFirst }, talk.putHour(at));
    return hourFirst ? [hourHand, minuteHand] : [minuteHand, hourHand];
  }

  /** From the full hour the hands run on together, so that it is seen why the short hand stands where it stands. */
  function letRun(): ExplainStep[] {
    const fullSec = at - (at % 3600);
    const start = {
      kind: 'set',
      timeSec: fullSec,
      display: written,
      words: false,
      ...(Object.keys(zones).length > 0 ? { layers: zones } : {}),
      text: talk.startAt(at),
    } as const;
    const run = { kind: 'sweep', fromSec: fullSec, toSec: at, turnSeconds: RUN_SECONDS, count: countTo(at), stops: [], text: talk.putMinute(at) } as const; // prettier-ignore
    return [
      { step: 'put-hour-hand', beat: start },
      { step: 'put-minute-hand', beat: run },
    ];
  }
}

/** Seconds a turn at which hands run to a time in an example: slow enough to be counted along. */
const RUN_SECONDS = 20;

/** How minutes are counted on the way: by quarters where the time is one, else in fives, and the first few one by one. */
function countTo(at: SecondOfDay): SweepBeat['count'] {
  const minute = minuteOfHour(at);
  if (minute % 15 === 0) return 'quarters';
  return minute < 5 ? 'ones' : 'fives';
}

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
      marks:
        minute === 0
          ? [{ type: 'hand', hand: 'minute' }]
          : [{ type: 'count', toMinute: minute, by: minute < 5 ? 1 : minute % 15 === 0 ? 15 : 5 }],
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
