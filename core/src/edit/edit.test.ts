import fc from 'fast-check';
import { CoreError } from '../errors.js';
import { secondOfDay } from '../time/second-of-day.js';
import { draftLesson } from '../draft/draft.js';
import {
  addExample,
  addQuestion,
  addSay,
  changeBeat,
  clipOf,
  duplicateBeat,
  edited,
  editStep,
  moveBeat,
  moveBeats,
  pasteClip,
  removeBeat,
  removeBeats,
  writeText,
  type ScriptEdit,
} from './edit.js';
import type { Lesson } from '../lesson/lesson.js';
import { prepareLesson } from '../lesson/prepare.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';

const LESSON = draftLesson({ rung: 'half-past', minutes: 5, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 1 });
const askId = LESSON.beats.find(({ kind }) => kind === 'ask')!.id;
const kinds = ({ beats }: Lesson) => beats.map(({ kind }) => kind);

test('a question goes and is doubled as a whole: asked, thought about, answered', () => {
  const without = edited(LESSON, removeBeat(askId));
  expect([without.items.length, without.beats.length]).toEqual([LESSON.items.length - 1, LESSON.beats.length - 3]);
  const twice = edited(LESSON, duplicateBeat(askId));
  expect([twice.items.length, twice.beats.length]).toEqual([LESSON.items.length + 1, LESSON.beats.length + 3]);
  const [first, second] = twice.beats.flatMap((beat) => (beat.kind === 'ask' ? [twice.items.find(({ id }) => id === beat.itemId)!] : []));
  expect({ ...second, id: '' }).toEqual({ ...first, id: '' });
});

test('beats move one place at a time, and stay at the ends; what would be answered before it is asked is refused', () => {
  const [first, second] = LESSON.beats;
  expect(edited(LESSON, moveBeat(first!.id, -1))).toBe(LESSON);
  expect(edited(LESSON, moveBeat(second!.id, -1)).beats.slice(0, 2)).toEqual([second, first]);
  const answer = LESSON.beats.findIndex(({ kind }) => kind === 'answer');
  const ask = LESSON.beats.findIndex(({ kind }) => kind === 'ask');
  let lesson = LESSON;
  expect(() => {
    for (let step = answer; step > ask - 1; step--) lesson = edited(lesson, moveBeat(LESSON.beats[answer]!.id, -1));
  }).toThrow(expect.objectContaining({ code: 'LESSON_BEAT_ORDER' }));
});

test('what is added stands before the beat that is named, or at the end; words are written where there are any', () => {
  const longer = edited(edited(LESSON, addExample(secondOfDay(4, 30), LESSON.beats[2]!.id)), addSay('Goodbye.', null));
  expect([kinds(longer)[2], kinds(longer).at(-1)]).toEqual(['worked-example', 'say']);
  expect(edited(LESSON, writeText(LESSON.beats[0]!.id, 'Hello.')).beats[0]).toMatchObject({ text: 'Hello.' });
  const asked = edited(LESSON, addQuestion({ id: 'x', kind: 'read-dial', timeSec: 27_000 }, 20, null));
  expect(kinds(asked).slice(-3)).toEqual(['ask', 'think', 'answer']);
});

test('whatever is done to a lesson, it stays one with ids of its own, or the change is refused', () => {
  const edit = (lesson: Lesson, kind: number, place: number): ScriptEdit => {
    const id = lesson.beats[place % lesson.beats.length]!.id;
    const others = [id, lesson.beats[(place * 7) % lesson.beats.length]!.id];
    return [
      moveBeat(id, 1),
      moveBeat(id, -1),
      removeBeat(id),
      duplicateBeat(id),
      addSay('More.', id),
      addExample(secondOfDay(7, 30), id),
      moveBeats(others, lesson.beats[(place * 3) % lesson.beats.length]!.id),
      removeBeats(others),
      pasteClip(clipOf(lesson, others), id),
    ][kind]!;
  };
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.nat({ max: 8 }), fc.nat()), { maxLength: 12 }), (steps) => {
      let lesson = LESSON;
      for (const [kind, place] of steps) {
        try {
          lesson = edited(lesson, edit(lesson, kind, place));
        } catch (error) {
          expect(error).toBeInstanceOf(CoreError);
        }
        expect(prepareLesson(lesson).steps.length).toBeGreaterThan(0);
        expect(new Set(lesson.beats.map(({ id }) => id)).size).toBe(lesson.beats.length);
      }
    }),
    { numRuns: 60 },
  );
});

test('what is copied is pasted with ids of its own, questions as a whole, into another lesson too', () => {
  const other = draftLesson({ rung: 'quarter-to', minutes: 5, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 3 });
  const clip = clipOf(LESSON, [LESSON.beats[1]!.id, askId]);
  const pasted = edited(other, pasteClip(clip, other.beats[1]!.id));
  expect(kinds(pasted).slice(1, 5)).toEqual([LESSON.beats[1]!.kind, 'ask', 'think', 'answer']);
  expect(pasted.items.length).toBe(other.items.length + 1);
  const [, said] = pasted.beats;
  expect({ ...said, id: '' }).toEqual({ ...LESSON.beats[1], id: '' });
});

test('several questions that are pasted together get an id each', () => {
  const clip = clipOf(
    LESSON,
    LESSON.beats.flatMap((beat) => (beat.kind === 'ask' ? [beat.id] : [])),
  );
  expect(clip.items.length).toBeGreaterThan(1);
  const pasted = edited(LESSON, pasteClip(clip, null));
  const ids = pasted.items.map(({ id }) => id);
  expect(new Set(ids).size).toBe(LESSON.items.length + clip.items.length);
  for (const beat of pasted.beats) if ('itemId' in beat) expect(ids).toContain(beat.itemId);
});

test('several beats are moved together and keep their order', () => {
  const ids = [LESSON.beats[4]!.id, LESSON.beats[1]!.id];
  const moved = moveBeats(ids, LESSON.beats[0]!.id)(LESSON);
  expect(moved.beats.slice(0, 3).map(({ id }) => id)).toEqual([LESSON.beats[1]!.id, LESSON.beats[4]!.id, LESSON.beats[0]!.id]);
});

test('words of a worked example are changed step by step, and go back when they are as they were', () => {
  const lesson = addExample(secondOfDay(4, 30), null)(LESSON);
  const { id } = lesson.beats.at(-1)!;
  const changed = editStep(id, 'hour', 'The bakery boat hour: four.')(lesson);
  const saidIn = (one: Lesson) =>
    prepareLesson(one)
      .steps.filter(({ ref }) => ref.beatId === id)
      .map(({ beat }) => ('text' in beat ? beat.text : ''));
  expect(saidIn(changed)).toContain('The bakery boat hour: four.');
  const [{ of }] = (changed.beats.at(-1) as unknown as { edits: [{ of: string }] }).edits;
  expect(saidIn(editStep(id, 'hour', of)(changed))).toEqual(saidIn(lesson));
  expect(edited(lesson, changeBeat(id, { note: 'slowly', plannedSec: 90 })).beats.at(-1)).toMatchObject({ note: 'slowly', plannedSec: 90 });
});
