import { nameOfKind, type BeatKindId, type NewBeat } from '@zeitpunkt/core/beats/registry';
import { addBeats, addQuestion, type ScriptEdit } from '@zeitpunkt/core/edit/edit';
import { RUNGS, type RungId } from '@zeitpunkt/core/ladder/registry';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { rungOfLesson } from '@zeitpunkt/core/lesson/rung-of-lesson';
import { thinkSecondsFor } from '@zeitpunkt/core/lesson/think-times';
import { makeItem } from '@zeitpunkt/core/question-kinds/make-item';
import { QUESTION_KIND_IDS, QUESTION_KINDS, type Item, type QuestionKindId } from '@zeitpunkt/core/question-kinds/registry';
import { NEW_BUILD } from '@zeitpunkt/core/stage/dial-build';
import { secondOfDay, toSecondOfDay, type SecondOfDay } from '@zeitpunkt/core/time/second-of-day';

/** Questions and beats may have the same name: "Explain the mistake" is both. */
const questionValue = (id: QuestionKindId) => `question:${id}`;

/** Whether a question can be about another time as it stands: nothing else in it belongs to the time that it has. */
export function isAboutOneTime(item: Item): item is Extract<Item, { readonly timeSec: number }> {
  return 'timeSec' in item && !('choices' in item) && !('event' in item);
}

/** Something that can be put into a script, with its words in a menu. */
interface Insert {
  readonly value: string;
  readonly text: string;
}

/** A question of each kind. */
export const QUESTION_INSERTS: readonly Insert[] = QUESTION_KIND_IDS.map((id) => ({
  value: questionValue(id),
  text: QUESTION_KINDS[id].name,
}));

const OTHERS: readonly BeatKindId[] = [
  'sweep',
  'layers',
  'mark',
  'mistake',
  'possible',
  'missing-hand',
  'chart',
  'task',
  'verse',
  'daily-card',
  'show',
];
/** A beat of each kind that has no press of its own. */
export const OTHER_INSERTS: readonly Insert[] = OTHERS.map((value) => ({ value, text: nameOfKind(value) }));

/** What puts one of them in, about a time, before a beat or at the end. */
export function insertOf(what: string, at: SecondOfDay | null, lesson: Lesson, beforeId: string | null): ScriptEdit {
  const rung = rungOfLesson(lesson);
  const kind = QUESTION_KIND_IDS.find((id) => questionValue(id) === what);
  if (kind) {
    const made = makeItem(kind, RUNGS[rung], lesson);
    const item = at !== null && isAboutOneTime(made) ? { ...made, timeSec: at } : made;
    return addQuestion(item, thinkSecondsFor(item.kind, rung), beforeId);
  }
  return addBeats([newBeat(what as BeatKindId, at ?? secondOfDay(8, RUNGS[rung].newMinutes[0] ?? 0), rung)], beforeId);
}

function newBeat(kind: BeatKindId, timeSec: SecondOfDay, rung: RungId): NewBeat {
  const text = '';
  switch (kind) {
    case 'set':
      return { kind, timeSec, display: 'full', words: true, text };
    case 'sweep':
      return {
        kind,
        fromSec: timeSec - (timeSec % 3600),
        toSec: Math.min(timeSec - (timeSec % 3600) + 3600, 86_340),
        turnSeconds: 24,
        count: 'fives',
        stops: [],
        text,
      };
    case 'layers':
      return { kind, layers: { minuteRing: 'none' }, lasts: true, text };
    case 'mark':
      return { kind, marks: [{ type: 'hand', hand: 'hour' }], text };
    case 'mistake':
      return { kind, timeSec, misconception: 'hands-exchanged', text };
    case 'possible':
      return { kind, pose: { hourDeg: (Math.floor(timeSec / 3600) % 12) * 30, minuteDeg: 180 }, text };
    case 'missing-hand':
      return { kind, timeSec, shows: 'hour', text };
    case 'chart':
      return { kind, rung, text };
    case 'task':
      return {
        kind,
        sheet: 'Practice sheet',
        text: 'Draw the hands.',
        withoutPrinter: 'Draw round a plate and use two pencils as hands.',
        seconds: 120,
      };
    case 'verse':
      return { kind, lines: [{ text: 'The first line', timeSec }] };
    case 'daily-card':
      return { kind, pattern: { firstSec: timeSec, stepsMin: [30] }, since: 1, card: 1, text };
    case 'show':
      return { kind, build: { ...NEW_BUILD, timeSec: toSecondOfDay(timeSec) }, text };
    case 'worked-example':
      return { kind, timeSec };
    default:
      return { kind: 'say', text };
  }
}

/** Adds questions before a beat, each with its time to think and its answer. @param beforeId null for the end */
export const questionsBefore =
  (beforeId: string | null, items: readonly Item[], lesson: Lesson): ScriptEdit =>
  (one) =>
    items.reduce((now, item) => addQuestion(item, thinkSecondsFor(item.kind, rungOfLesson(lesson)), beforeId)(now), one);
