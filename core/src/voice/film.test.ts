import fc from 'fast-check';
import { draftLesson } from '../draft/draft.js';
import { changeBeat, writeText } from '../edit/edit.js';
import type { Lesson } from '../lesson/lesson.js';
import { motionMs, narrationAt, stageAt } from '../stage/player.js';
import { prepareLesson } from '../lesson/prepare.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { BREATH_MS, cueAt, filmOf, shotAt, type ThinkAs } from './film.js';
import { fingerprintOf } from './fingerprint.js';
import type { Take } from './take.js';
import { paceOfTakes, planByTakes } from './take-times.js';
import { spokenSteps, takeFor, voicedSteps } from './takes-of.js';

const LESSON = draftLesson({ rung: 'quarter-past', minutes: 9, seed: 4, delivery: 'recorded', settings: DEFAULT_SETTINGS });

/** A lesson recorded whole, each step for so long. */
function recorded(lesson: Lesson, durationMs: (index: number) => number): Take[] {
  const prepared = prepareLesson(lesson);
  return spokenSteps(prepared).map(({ ref }, index) => ({
    id: `00000000-0000-4000-8000-${String(index).padStart(12, '0')}`,
    at: ref,
    durationMs: durationMs(index),
    mime: 'audio/wav',
    speechDb: -20,
    speech: [{ fromMs: 100, toMs: durationMs(index) }],
    said: narrationAt(prepared, ref),
    fingerprint: fingerprintOf(prepared, ref),
    cues: [{ fromMs: 100, toMs: durationMs(index), text: `Take ${index}` }],
    cuesEdited: false,
    madeAtMs: 0,
  }));
}

test('shots, captions and chapters of a film follow one another without a gap, and takes are heard whole', () => {
  fc.assert(
    fc.property(fc.constantFrom('script', 'countdown', 'card'), fc.integer({ min: 300, max: 9000 }), (thinkAs, ms) => {
      const takes = recorded(LESSON, (index) => ms + 37 * index);
      const { shots, totalMs, cues, chapters, prepared } = filmOf(LESSON, takes, thinkAs);
      expect(shots.map(({ step }) => step.ref)).toEqual(prepared.steps.map(({ ref }) => ref));
      shots.forEach(({ startMs, durationMs, take, step }, index) => {
        expect(startMs).toBe(index === 0 ? 0 : shots[index - 1]!.startMs + shots[index - 1]!.durationMs);
        if (take) expect(durationMs).toBeGreaterThanOrEqual(take.durationMs + BREATH_MS);
        expect(durationMs).toBeGreaterThanOrEqual(Math.min(motionMs(prepared, step.ref), durationMs));
        expect(shotAt({ shots } as never, startMs)).toBe(shots[index]);
      });
      expect(shots.filter(({ take }) => take)).toHaveLength(takes.length);
      for (const [list, whole] of [
        [cues, false],
        [chapters, true],
      ] as const) {
        list.forEach(({ fromMs, toMs }, index) => {
          const before = list[index - 1]?.toMs ?? 0;
          if (whole) expect(fromMs).toBe(before);
          else expect(fromMs).toBeGreaterThanOrEqual(before);
          expect(toMs).toBeGreaterThan(fromMs);
        });
      }
      expect(chapters.at(-1)!.toMs).toBe(totalMs);
    }),
    { numRuns: 12 },
  );
});

test('a question is counted down, or a card asks to stop: as the script says where nothing else is said', () => {
  const takes = recorded(LESSON, () => 2000);
  const thinkOf = (thinkAs: ThinkAs, lesson = LESSON) => {
    const { shots, prepared } = filmOf(lesson, takes, thinkAs);
    const { step, durationMs } = shots.find(({ step: { beat } }) => beat.kind === 'think')!;
    return { stage: stageAt(prepared, step.ref, 1000), durationMs, seconds: step.beat.kind === 'think' ? step.beat.seconds : 0 };
  };
  const counted = thinkOf('countdown');
  expect(counted.stage.countdown).toMatchObject({ leftMs: counted.seconds * 1000 - 1000 });
  expect(counted.durationMs).toBe(counted.seconds * 1000);
  const card = thinkOf('card');
  expect(card.stage.countdown).toBeNull();
  expect(card.stage.board).toContain('Stop here and think.');
  expect(card.durationMs).toBe(6000);
  const saying = (stops: boolean): Lesson => ({
    ...LESSON,
    beats: LESSON.beats.map((beat) => {
      if (beat.kind !== 'think') return beat;
      const { stops: _stops, ...counts } = beat;
      return stops ? { ...counts, stops } : counts;
    }),
  });
  expect(thinkOf('script', saying(false))).toEqual(counted);
  expect(thinkOf('script', saying(true))).toEqual(card);
  expect(thinkOf('countdown', saying(true))).toEqual(counted);
});

test('without takes a film is as long as planned, and what would be said stands in its captions', () => {
  const { totalMs, cues, prepared, shots } = filmOf(LESSON, [], 'countdown');
  expect(totalMs).toBe(prepared.totalMs);
  expect(cues.length).toBeGreaterThan(20);
  const first = shots.find(({ step }) => narrationAt(prepared, step.ref).trim() !== '')!;
  expect(narrationAt(prepared, first.step.ref)).toContain(cueAt(cues, first.startMs + 1)!.text);
});

test('chapters tell the parts of a lesson, in its language', () => {
  const titles = (settings: Lesson['settings']) =>
    filmOf(draftLesson({ rung: 'half-past', minutes: 9, seed: 2, delivery: 'recorded', settings }), [], 'countdown').chapters.map(
      ({ text }) => text,
    );
  const english = titles(DEFAULT_SETTINGS);
  expect(english[0]).toBe('Beginning');
  expect(english).toContainEqual(expect.stringMatching(/^Watch: \d+:\d\d/));
  expect(english).toContainEqual(expect.stringMatching(/^Your turn: question/));
  expect(titles({ ...DEFAULT_SETTINGS, pack: 'de' })[0]).toBe('Anfang');
});

test('a take is stale once its words or its question change, and not for a note, a time or beats around it', () => {
  const takes = recorded(LESSON, () => 2000);
  const say = LESSON.beats.find(({ kind }) => kind === 'say')!;
  const staleIn = (lesson: Lesson) =>
    voicedSteps(prepareLesson(lesson), takes).flatMap(({ stale, step }) => (stale ? [step.ref.beatId] : []));
  expect(staleIn(LESSON)).toEqual([]);
  expect(staleIn(changeBeat(say.id, { note: 'slowly', plannedSec: 40 })(LESSON))).toEqual([]);
  expect(staleIn({ ...LESSON, beats: [{ kind: 'say', id: 'new', text: 'First this.' }, ...LESSON.beats] })).toEqual([]);
  expect(staleIn(writeText(say.id, 'Other words.')(LESSON))).toEqual([say.id]);
  const ask = LESSON.beats.find((beat) => beat.kind === 'ask')!;
  const other = { ...LESSON, items: LESSON.items.map((item) => (item.id === ask.itemId ? { ...item, note: 'another' } : item)) } as Lesson;
  expect(staleIn(other)).toEqual(expect.arrayContaining([ask.id]));
  const changed = prepareLesson(writeText(say.id, 'Other words.')(LESSON));
  expect(
    takeFor(
      changed,
      changed.steps.find(({ ref }) => ref.beatId === say.id)!,
      takes,
    ),
  ).toBeNull();
});

test('what the takes of a beat took becomes its time; a beat that is not recorded whole keeps its own', () => {
  const takes = recorded(LESSON, () => 4150);
  const prepared = prepareLesson(LESSON);
  const say = LESSON.beats.find(({ kind }) => kind === 'say')!;
  const example = LESSON.beats.find(({ kind }) => kind === 'worked-example')!;
  const plan = (kept: readonly Take[]) => planByTakes(prepared, kept, new Set([say.id, example.id]))(LESSON);
  const timeOf = (lesson: Lesson, id: string) => lesson.beats.find((beat) => beat.id === id)!.plannedSec;
  expect(timeOf(plan(takes), say.id)).toBe(5);
  const steps = prepared.steps.filter(({ ref }) => ref.beatId === example.id);
  expect(timeOf(plan(takes), example.id)).toBeGreaterThanOrEqual(Math.floor((steps.length * 4500) / 1000));
  const lacking = takes.filter(({ at }) => at.beatId !== example.id || at.step !== steps[1]!.ref.step);
  expect(timeOf(plan(lacking), example.id)).toBeUndefined();
  expect(timeOf(plan(takes), LESSON.beats.at(-1)!.id)).toBeUndefined();
  expect(paceOfTakes(prepared, takes)).toBeGreaterThan(
    paceOfTakes(
      prepared,
      recorded(LESSON, () => 9000),
    )!,
  );
});
