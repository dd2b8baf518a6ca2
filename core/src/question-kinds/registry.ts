import { chooseAll } from './choose-all/choose-all.js';
import { betweenTimes } from './between-times/between-times.js';
import { chooseOne } from './choose-one/choose-one.js';
import { convert24 } from './convert-24/convert-24.js';
import { earlyLate } from './early-late/early-late.js';
import { explainMistake } from './explain-mistake/explain-mistake.js';
import { fillFace } from './fill-face/fill-face.js';
import { halfOfDayKind } from './half-of-day/half-of-day.js';
import { handsInWords } from './hands-in-words/hands-in-words.js';
import { hourHandAlone } from './hour-hand-alone/hour-hand-alone.js';
import { labelParts } from './label-parts/label-parts.js';
import { laterEarlier } from './later-earlier/later-earlier.js';
import { match } from './match/match.js';
import { minuteHandAlone } from './minute-hand-alone/minute-hand-alone.js';
import { oddOneOut } from './odd-one-out/odd-one-out.js';
import { orderTimes } from './order-times/order-times.js';
import { pattern } from './pattern/pattern.js';
import { placeOnLine } from './place-on-line/place-on-line.js';
import { possibleDial } from './possible-dial/possible-dial.js';
import { ringMinutes } from './ring-minutes/ring-minutes.js';
import { secondHand } from './second-hand/second-hand.js';
import { sensibleTime } from './sensible-time/sensible-time.js';
import { units } from './units/units.js';
import { writeDisplay } from './write-display/write-display.js';
import { writeWords } from './write-words/write-words.js';
import { isNotSure, NOT_SURE_TEXT, type NotSure } from './not-sure.js';
import type { QuestionKind } from './question-kind.js';
import type { LessonSettings } from '../lesson/settings.js';
import { readDial } from './read-dial/read-dial.js';
import { setDial } from './set-dial/set-dial.js';

/** Every question kind by its id. Ids stand in saved lessons and responses: add, never rename or reuse. */
export const QUESTION_KINDS = {
  'read-dial': readDial,
  'set-dial': setDial,
  'choose-all': chooseAll,
  'choose-one': chooseOne,
  'odd-one-out': oddOneOut,
  match,
  'possible-dial': possibleDial,
  'hour-hand-alone': hourHandAlone,
  'minute-hand-alone': minuteHandAlone,
  'explain-mistake': explainMistake,
  'write-display': writeDisplay,
  'write-words': writeWords,
  'hands-in-words': handsInWords,
  'fill-face': fillFace,
  'ring-minutes': ringMinutes,
  'label-parts': labelParts,
  units,
  'place-on-line': placeOnLine,
  'half-of-day': halfOfDayKind,
  'convert-24': convert24,
  'sensible-time': sensibleTime,
  'early-late': earlyLate,
  'later-earlier': laterEarlier,
  'between-times': betweenTimes,
  pattern,
  'order-times': orderTimes,
  'second-hand': secondHand,
} as const;

type Kinds = typeof QUESTION_KINDS;
export type QuestionKindId = keyof Kinds;
export const QUESTION_KIND_IDS = Object.keys(QUESTION_KINDS) as QuestionKindId[];

/** Items, responses and views by kind: all unions are derived from the registry. */
export type ItemOf<Id extends QuestionKindId> = Parameters<Kinds[Id]['keyOf']>[0];
export type ResponseOf<Id extends QuestionKindId> = ReturnType<Kinds[Id]['keyOf']>;
export type ViewOf<Id extends QuestionKindId> = ReturnType<Kinds[Id]['viewOf']>;
export type Item = { [Id in QuestionKindId]: ItemOf<Id> }[QuestionKindId];
/** An answer of a kind's own, and whatever a pupil can give: that, or that they are not sure. */
export type KindResponse = { [Id in QuestionKindId]: ResponseOf<Id> }[QuestionKindId];
export type Response = KindResponse | NotSure;
export type ItemView = { [Id in QuestionKindId]: ViewOf<Id> }[QuestionKindId];

/**
 * One kind as a record over the unions. The compiler cannot follow that an item finds its own kind by its `kind`, so the
 * promise is made here, once.
 */
type AnyKind = QuestionKind<Item, KindResponse, ItemView>;

/** The kind of an item, a response or a view. */
export function kindOf(of: { readonly kind: QuestionKindId }): AnyKind {
  return QUESTION_KINDS[of.kind] as unknown as AnyKind;
}

/** Whether a response can be given to this very item: of its kind, its hands move as they can, its choices are on the list. */
export function canBeGiven(item: Item, response: Response, settings: LessonSettings): boolean {
  if (isNotSure(response)) return true;
  return response.kind === item.kind && kindOf(item).isPossible(item, response, settings);
}

/** A response in a few characters or words: for walls, tables and screen readers. */
export function textOfResponse(item: Item, response: Response, settings: LessonSettings): string {
  return isNotSure(response) ? NOT_SURE_TEXT : kindOf(item).responseText(item, response, settings);
}
