import { coherenceOf, STRICTNESS } from '../../dial/coherence.js';
import type { Pose } from '../../dial/pose.js';
import { gearedPose, hourHandDeg, minuteHandDeg, turnDeg, wrapDeg } from '../../dial/pose.js';
import { reasonFor } from '../../lesson/reason.js';
import type { LessonSettings } from '../../lesson/settings.js';
import type { MisconceptionId } from '../../misconceptions/registry.js';
import { MISCONCEPTION_IDS, misconceptionOf } from '../../misconceptions/registry.js';
import type { DialLayers } from '../../scene/dial-state.js';
import { EMPTY_LAYERS, PLAIN_LAYERS } from '../../scene/dial-state.js';
import { displayText, minuteDigits } from '../../time/display.js';
import type { SecondOfDay } from '../../time/second-of-day.js';
import { hour12, minuteOfHour, toSecondOfDay, wrapSecondOfDay } from '../../time/second-of-day.js';
import { bestWording } from '../../words/say.js';
import { WORD_PACKS } from '../../words/registry.js';
import { setDialText } from './response-text.js';
import type { ItemBase, Mark, QuestionKind, Verdict } from '../question-kind.js';

/** A time is given on a display or in words; the pupil turns the hands to it. */
export interface SetDialItem extends ItemBase {
  readonly kind: 'set-dial';
  readonly from: 'display' | 'words';
  /** Geared hands move together; free hands one by one, so that the hour hand can be left behind. */
  readonly hands: 'geared' | 'free';
}

export interface SetDialResponse extends Pose {
  readonly kind: 'set-dial';
}

export interface SetDialView {
  readonly kind: 'set-dial';
  readonly itemId: string;
  readonly stem: string;
  readonly hands: 'geared' | 'free';
  /** Where both hands start, in seconds since midnight. */
  readonly startSec: number;
  readonly layers: DialLayers;
}

/** Degrees a hand may be off the place that a misconception predicts: half a tick, and as much again for a thumb. */
const HIT_DEG = { hour: 4, minute: 6 } as const;
/** The minute hand of a response snaps to whole minutes; half a tick more is still that minute. */
const MINUTE_TOLERANCE_DEG = 3;

export const setDial: QuestionKind<SetDialItem, SetDialResponse, SetDialView> = {
  name: 'Set a dial',

  keyOf(item) {
    return { kind: 'set-dial', ...gearedPose(toSecondOfDay(item.timeSec)) };
  },

  viewOf(item, settings) {
    return { kind: 'set-dial', itemId: item.id, stem: stemOf(item, settings), hands: item.hands, startSec: 0, layers: PLAIN_LAYERS };
  },

  mark(item, response, settings): Mark {
    const at = toSecondOfDay(item.timeSec);
    const parts = {
      hour: hourHandFits(at, response.hourDeg, settings),
      minute: Math.abs(turnDeg(minuteHandDeg(at), response.minuteDeg)) <= MINUTE_TOLERANCE_DEG,
      form: true,
    };
    const right = parts.hour && parts.minute;
    const misconceptions = right
      ? []
      : MISCONCEPTION_IDS.filter((id) => setDial.predict(item, id, settings).some((wrong) => isNear(item, wrong, response)));
    const verdict: Verdict = right ? 'right' : parts.hour || parts.minute ? 'partly' : 'not-yet';
    return { verdict, parts, misconceptions, sayToPupil: sentence(at, parts, misconceptions) };
  },

  predict(item, misconception, settings) {
    const at = toSecondOfDay(item.timeSec);
    const poses = misconceptionOf(misconception).predictSetting?.(at) ?? [];
    return poses
      .map((pose) => (item.hands === 'geared' ? intoGear(pose) : pose))
      .filter(
        (pose) => !hourHandFits(at, pose.hourDeg, settings) || Math.abs(turnDeg(minuteHandDeg(at), pose.minuteDeg)) > MINUTE_TOLERANCE_DEG,
      )
      .map((pose) => ({ kind: 'set-dial' as const, ...pose }));
  },

  responseText: setDialText,

  asked(before, item, settings) {
    return {
      ...before,
      dial: { pose: { hourDeg: 0, minuteDeg: 0 }, layers: EMPTY_LAYERS, marks: [] },
      display: null,
      words: [],
      board: [],
      stem: stemOf(item, settings),
      countdown: null,
    };
  },

  answered(before, item, settings) {
    const at = toSecondOfDay(item.timeSec);
    return {
      ...setDial.asked(before, item, settings),
      dial: { pose: gearedPose(at), layers: PLAIN_LAYERS, marks: [] },
      display: { hour: String(hour12(at)), minute: minuteDigits(minuteOfHour(at)), separator: settings.separator },
      stem: null,
      board: reasonFor(at, settings),
    };
  },
};

function stemOf(item: SetDialItem, settings: LessonSettings): string {
  const at = toSecondOfDay(item.timeSec);
  return `Set the hands to ${item.from === 'display' ? displayText(at, settings.separator) : bestWording(at, WORD_PACKS[settings.pack])}.`;
}

/** Whether the hour hand stands where the lesson's strictness wants it. Beginners need only the right hour's side. */
function hourHandFits(at: SecondOfDay, hourDeg: number, settings: LessonSettings): boolean {
  const minute = minuteOfHour(at);
  const offDeg = Math.abs(turnDeg(hourHandDeg(at), hourDeg));
  if (settings.strictness !== 'right-side' || minute === 0) return offDeg <= STRICTNESS[settings.strictness];
  const sinceNumeralDeg = wrapDeg(hourDeg - hour12(at) * 30);
  // A hand exactly on a numeral is not between two of them: from a quarter past to a quarter to that must show.
  const marginDeg = minute >= 15 && minute <= 45 ? 2 : 0;
  return sinceNumeralDeg >= marginDeg && sinceNumeralDeg <= 30 - marginDeg;
}

/** Where geared hands end up when somebody aims at a pose that the gears do not allow: the best reading of it. */
function intoGear(pose: Pose): Pose {
  const { hour, minute } = coherenceOf(pose);
  return gearedPose(wrapSecondOfDay((hour % 12) * 3600 + minute * 60));
}

function isNear(item: SetDialItem, predicted: Pose, given: Pose): boolean {
  const hourDeg = Math.abs(turnDeg(predicted.hourDeg, given.hourDeg));
  const minuteDeg = Math.abs(turnDeg(predicted.minuteDeg, given.minuteDeg));
  return hourDeg <= HIT_DEG.hour && minuteDeg <= (item.hands === 'geared' ? HIT_DEG.minute * 2 : HIT_DEG.minute);
}

function sentence(at: SecondOfDay, parts: Mark['parts'], misconceptions: readonly MisconceptionId[]): string {
  if (parts.hour && parts.minute) return `Yes, that is ${displayText(at)}. Both hands are in place.`;
  const named = misconceptions[0];
  if (named) return misconceptionOf(named).sayToPupil;
  if (parts.minute) return 'Your long hand is right. Look at the short hand again: where is it when the hour has begun?';
  if (parts.hour) return 'Your short hand is right. Count the minutes round from the 12 once more.';
  return 'Not yet. Start with the long hand: how many minutes round from the 12?';
}
