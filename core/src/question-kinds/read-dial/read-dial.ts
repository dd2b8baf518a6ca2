import type { Pose } from '../../dial/pose.js';
import { gearedPose } from '../../dial/pose.js';
import { reasonFor } from '../../lesson/reason.js';
import type { MisconceptionId } from '../../misconceptions/registry.js';
import { MISCONCEPTION_IDS, misconceptionOf } from '../../misconceptions/registry.js';
import type { DialLayers } from '../../scene/dial-state.js';
import { PLAIN_LAYERS } from '../../scene/dial-state.js';
import type { DisplaySeparator } from '../../time/display.js';
import { displayText, minuteDigits } from '../../time/display.js';
import { hour12, hour24, minuteOfHour, nextHour12, toSecondOfDay } from '../../time/second-of-day.js';
import { say } from '../../words/say.js';
import { WORD_PACKS } from '../../words/registry.js';
import { readDialText } from './response-text.js';
import type { ItemBase, Mark, QuestionKind, Verdict } from '../question-kind.js';

/** A dial is shown; the pupil fills the two boxes of a display. */
export interface ReadDialItem extends ItemBase {
  readonly kind: 'read-dial';
}

/** The digits as typed, one or two in each box, or none where the pupil gave up. */
export interface ReadDialResponse {
  readonly kind: 'read-dial';
  readonly hour: string;
  readonly minute: string;
}

export interface ReadDialView {
  readonly kind: 'read-dial';
  readonly itemId: string;
  readonly stem: string;
  readonly pose: Pose;
  readonly layers: DialLayers;
  readonly separator: DisplaySeparator;
}

const STEM = 'What time is it?';

export const readDial: QuestionKind<ReadDialItem, ReadDialResponse, ReadDialView> = {
  name: 'Read a dial',

  keyOf(item) {
    const at = toSecondOfDay(item.timeSec);
    return { kind: 'read-dial', hour: String(hour12(at)), minute: minuteDigits(minuteOfHour(at)) };
  },

  viewOf(item, settings) {
    const pose = gearedPose(toSecondOfDay(item.timeSec));
    return { kind: 'read-dial', itemId: item.id, stem: STEM, pose, layers: PLAIN_LAYERS, separator: settings.separator };
  },

  mark(item, response, settings): Mark {
    if (response.hour === '' && response.minute === '') {
      return {
        verdict: 'blank',
        parts: { hour: false, minute: false, form: false },
        misconceptions: [],
        sayToPupil: 'Next time, have a go: a guess helps too.',
      };
    }
    const at = toSecondOfDay(item.timeSec);
    const hour = Number(response.hour || NaN);
    const minute = Number(response.minute || NaN);
    const parts = {
      hour: hour === hour12(at) || hour === hour24(at),
      minute: minute === minuteOfHour(at),
      form: response.minute.length === 2,
    };
    const misconceptions = MISCONCEPTION_IDS.filter((id) =>
      readDial.predict(item, id, settings).some((wrong) => Number(wrong.hour) === hour && wrong.minute === response.minute),
    );
    const verdict = verdictOf(parts, hour === hour12(at));
    return { verdict, parts, misconceptions, sayToPupil: sentence(item, verdict, parts, misconceptions) };
  },

  predict(item, misconception) {
    const key = readDial.keyOf(item);
    const predicted = misconceptionOf(misconception).predictReading?.(toSecondOfDay(item.timeSec)) ?? [];
    return predicted
      .filter((typed) => typed.hour !== key.hour || typed.minute !== key.minute)
      .map((typed) => ({ kind: 'read-dial' as const, ...typed }));
  },

  responseText: readDialText,

  asked(before, item, settings) {
    const pose = gearedPose(toSecondOfDay(item.timeSec));
    return {
      ...before,
      dial: { pose, layers: PLAIN_LAYERS, marks: [] },
      display: { hour: null, minute: null, separator: settings.separator },
      words: [],
      board: [],
      stem: STEM,
      countdown: null,
    };
  },

  answered(before, item, settings) {
    const at = toSecondOfDay(item.timeSec);
    const key = readDial.keyOf(item);
    return {
      ...readDial.asked(before, item, settings),
      stem: null,
      display: { hour: key.hour, minute: key.minute, separator: settings.separator },
      words: say(at, WORD_PACKS[settings.pack]),
      board: reasonFor(at, settings),
    };
  },
};

function verdictOf(parts: Mark['parts'], twelveHour: boolean): Verdict {
  if (parts.hour && parts.minute && parts.form) return twelveHour ? 'right' : 'right-other-form';
  return parts.hour || parts.minute ? 'partly' : 'not-yet';
}

function sentence(item: ReadDialItem, verdict: Verdict, parts: Mark['parts'], misconceptions: readonly MisconceptionId[]): string {
  const at = toSecondOfDay(item.timeSec);
  if (verdict === 'right') return `Yes, it is ${displayText(at)}. You read both hands.`;
  if (verdict === 'right-other-form') return `That is the right time. Today we write it as ${displayText(at)}.`;
  const named = misconceptions[0];
  if (named) return misconceptionOf(named).sayToPupil;
  if (parts.hour && parts.minute) return 'The time is right. The minutes always have two digits.';
  if (parts.minute) {
    const hour = hour12(at);
    const where = minuteOfHour(at) === 0 ? `it points at ${hour}` : `it has passed ${hour} and is not at ${nextHour12(hour)} yet`;
    return `Your minutes are right. Look at the short hand again: ${where}.`;
  }
  if (parts.hour) return 'Your hour is right. Count the minutes round from the 12 once more.';
  return 'Not yet. Start with the short hand: which numeral has it passed?';
}
