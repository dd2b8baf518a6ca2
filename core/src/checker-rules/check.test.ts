import type { Beat } from '../beats/registry.js';
import { RUNG_IDS } from '../ladder/registry.js';
import { draftLesson } from '../lesson/draft/draft.js';
import type { Lesson } from '../lesson/lesson.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import type { Item } from '../question-kinds/registry.js';
import { checkLesson } from './check.js';
import type { CheckerRuleId } from './registry.js';

/** A sound lesson of about six minutes, to be broken. */
const SOUND = draftLesson({ rung: 'quarter-past', minutes: 10, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 4 });
const rulesOf = (lesson: Lesson) => checkLesson(lesson).map(({ rule }) => rule);
const beatsOf = (change: (beat: Beat, index: number) => Beat): Lesson => ({ ...SOUND, beats: SOUND.beats.map(change) });
const itemsOf = (change: (item: Item, index: number) => Item): Lesson => ({ ...SOUND, items: SOUND.items.map(change) });
const firstThink = SOUND.beats.findIndex(({ kind }) => kind === 'think');
const withThink = (seconds: number) =>
  beatsOf((beat, index) => (index === firstThink && beat.kind === 'think' ? { ...beat, seconds } : beat));
const short = (hours: readonly number[], kind: 'read' | 'both' = 'both'): Lesson => {
  const items = hours.map((hour, index): Item => {
    const base = { id: `q${index + 1}`, timeSec: hour * 3600 + 900 };
    return kind === 'both' && index % 2 === 1
      ? { ...base, kind: 'set-dial', from: 'display', hands: 'geared' }
      : { ...base, kind: 'read-dial' };
  });
  const beats = items.flatMap(({ id }): Omit<Beat, 'id'>[] => [
    { kind: 'ask', itemId: id, text: '' } as never,
    { kind: 'think', itemId: id, seconds: 20, text: '' } as never,
    { kind: 'answer', itemId: id } as never,
  ]);
  const lesson: Lesson = { ...SOUND, items, beats: beats.map((beat, index) => ({ ...beat, id: `b${index + 1}` }) as Beat) };
  return onTarget(lesson);
};
/** The lesson with the target that it takes. */
function onTarget(lesson: Lesson): Lesson {
  const off = checkLesson(lesson).find(({ rule }) => rule === 'off-target');
  return off ? off.mend.apply(lesson) : lesson;
}
const words = (count: number) => Array.from({ length: count }, () => 'watch').join(' ');

/** For each rule a lesson that breaks it, and one that just does not. */
const CASES: Record<CheckerRuleId, readonly [broken: Lesson, sound: Lesson]> = {
  'think-too-short': [onTarget(withThink(3)), onTarget(withThink(8))],
  'off-target': [
    { ...SOUND, targetMinutes: 12 },
    { ...SOUND, targetMinutes: 10 },
  ],
  'long-silence': [
    onTarget({ ...SOUND, beats: [{ id: 'long', kind: 'say', text: words(480) }, ...SOUND.beats] }),
    onTarget({ ...SOUND, beats: [{ id: 'long', kind: 'say', text: words(330) }, ...SOUND.beats] }),
  ],
  'one-direction': [short([2, 8, 4], 'read'), short([2, 8, 4])],
  'no-exit-check': [
    onTarget({ ...SOUND, beats: [...SOUND.beats, { id: 'long', kind: 'say', text: words(460) }] }),
    onTarget({ ...SOUND, beats: [...SOUND.beats, { id: 'long', kind: 'say', text: words(60) }] }),
  ],
  'same-hour-again': [short([2, 2, 8]), short([2, 8, 2])],
  'answer-just-shown': [
    onTarget({ ...SOUND, beats: beforeFirstAsk(SOUND.items[0]!.timeSec) }),
    onTarget({ ...SOUND, beats: beforeFirstAsk(SOUND.items[0]!.timeSec + 3600) }),
  ],
  'one-half-of-dial': [short([1, 3, 5, 2]), short([1, 3, 5, 8])],
  'never-past-twelve': [short([1, 8, 3, 9, 5, 7]), short([1, 8, 12, 9, 5, 7])],
};
function beforeFirstAsk(timeSec: number): readonly Beat[] {
  const index = SOUND.beats.findIndex((beat) => beat.kind === 'ask' && beat.itemId === 'q1');
  const shown: Beat = { id: 'shown', kind: 'set', timeSec, display: 'full', words: false, text: '' };
  return [...SOUND.beats.slice(0, index), shown, ...SOUND.beats.slice(index)];
}

test('the sound lesson is one', () => {
  expect(rulesOf(SOUND)).toEqual([]);
  expect(rulesOf(itemsOf((item) => item))).toEqual([]);
});

test.each(Object.entries(CASES))(
  '%s: found where it is broken and not where it just is not; its mend takes it away and adds nothing',
  (rule, [broken, sound]) => {
    expect(rulesOf(sound)).not.toContain(rule);
    const found = checkLesson(broken).filter((finding) => finding.rule === rule);
    expect(found.length).toBeGreaterThan(0);
    for (const { what, why, mend } of found) for (const text of [what, why, `${mend.label}.`]) expect(text).toMatch(/^[A-Z].*\.$/);
    const before = rulesOf(broken);
    const mended = onTarget(found[0]!.mend.apply(broken));
    expect(rulesOf(mended).filter((one) => one === rule).length).toBe(found.length - 1);
    for (const other of rulesOf(mended)) expect(before).toContain(other);
  },
);

test('a draft has no findings, on any rung, of any length', () => {
  for (const rung of RUNG_IDS)
    for (const minutes of [5, 15, 30]) {
      const found = checkLesson(draftLesson({ rung, minutes, delivery: 'live', settings: DEFAULT_SETTINGS, seed: minutes }));
      expect([rung, minutes, found.map(({ rule, what }) => `${rule}: ${what}`)]).toEqual([rung, minutes, []]);
    }
});
