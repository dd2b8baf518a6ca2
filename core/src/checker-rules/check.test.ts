import type { Beat, NewBeat } from '../beats/registry.js';
import { RUNG_IDS, type RungId } from '../ladder/registry.js';
import { draftLesson } from '../draft/draft.js';
import type { Lesson } from '../lesson/lesson.js';
import { NEW_BUILD } from '../stage/dial-build.js';
import { explain } from '../stage/explain.js';
import { secondOfDay } from '../time/second-of-day.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { checkLesson } from './check.js';
import type { CheckerRuleId } from './registry.js';
import { kindOf, type Item } from '../question-kinds/registry.js';

const timesOfItem = (item: Item) => kindOf(item).timesOf(item);

/** A sound lesson of about six minutes, to be broken. */
const SOUND = draftLesson({ rung: 'quarter-past', minutes: 10, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 1 });
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

/** The sound lesson with another question in the place of its first. */
const withItem = (item: Item): Lesson => ({ ...SOUND, items: [{ ...item, id: SOUND.items[0]!.id }, ...SOUND.items.slice(1)] });

/** For each rule a lesson that breaks it, and one that just does not. */
const CASES: Record<CheckerRuleId, readonly [broken: Lesson, sound: Lesson]> = {
  'one-right-choice': [
    onTarget(
      withItem({ id: 'q1', kind: 'choose-one', timeSec: 27_900, from: 'dial', choices: [{ text: '7:45' }, { text: 'quarter to eight' }] }),
    ),
    onTarget(withItem({ id: 'q1', kind: 'choose-one', timeSec: 27_900, from: 'dial', choices: [{ text: '7:45' }, { text: '8:45' }] })),
  ],
  'accepts-another-time': [
    onTarget(withItem({ id: 'q1', kind: 'write-words', timeSec: 27_900, from: 'dial', lines: 1, accepted: ['quarter to seven'] })),
    onTarget(
      withItem({
        id: 'q1',
        kind: 'write-words',
        timeSec: 27_900,
        from: 'dial',
        lines: 1,
        accepted: ['three quarters past seven', 'quarter to eight in the evening'],
      }),
    ),
  ],
  'think-too-short': [onTarget(withThink(3)), onTarget(withThink(8))],
  'no-think': [onTarget({ ...SOUND, beats: SOUND.beats.filter((_, index) => index !== firstThink) }), onTarget(SOUND)],
  'goal-not-asked': [
    onTarget(itemsOf((item, index) => (index > 0 ? { id: item.id, kind: 'read-dial', timeSec: (index % 11) * 3600 + 1800 } : item))),
    onTarget(SOUND),
  ],
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
    onTarget({ ...SOUND, beats: beforeFirstAsk(timesOfItem(SOUND.items[0]!)[0]!) }),
    onTarget({ ...SOUND, beats: beforeFirstAsk(timesOfItem(SOUND.items[0]!)[0]! + 3600) }),
  ],
  'one-half-of-dial': [short([1, 3, 5, 2]), short([1, 3, 5, 8])],
  'never-past-twelve': [short([1, 8, 3, 9, 5, 7]), short([1, 8, 12, 9, 5, 7])],
  // Each tells the same; only one shows a time that breaks it.
  'told-rule': [
    onTarget(withFirst({ kind: 'say', text: 'Look closely. The smaller number is the hour.' }, { kind: 'worked-example', timeSec: 900 })),
    onTarget({
      ...short([2, 8, 4]),
      beats: [{ id: 'told', kind: 'say', text: 'The smaller number is the hour.' }, ...short([2, 8, 4]).beats],
    }),
  ],
  'says-another-time': [
    onTarget(withFirst(showing('Here it is half past four.'))),
    onTarget(withFirst(showing('Here it is quarter past four.'))),
  ],
  'untaught-wording': [
    onTarget(withFirst({ kind: 'say', text: 'At quarter after two the boat leaves.' })),
    onTarget(withFirst({ kind: 'say', text: 'At quarter past two the boat leaves.' })),
  ],
  'pose-as-time': [onTarget(withFirst(free(90, 180))), onTarget(withFirst(free(105, 180)))],
  'answer-in-words': [
    onTarget(asking('It is quarter past two. What does it say?')),
    onTarget(asking('It is not quarter past three. What does it say?')),
  ],
  'off-rung': [
    onTarget(withFirst({ kind: 'worked-example', timeSec: 5 * 3600 + 2700 })),
    onTarget(withFirst({ kind: 'worked-example', timeSec: 5 * 3600 + 1800 })),
  ],
  'edit-off-time': [onTarget(withFirst(editedExample(5))), onTarget(withFirst(editedExample(4)))],
  'overlap-without-peek': [onTarget(withFirst(unpeeked(3))), onTarget(withFirst(unpeeked(4)))],
  'colour-named': [
    onTarget(withFirst({ kind: 'say', text: 'Watch the red hand.' })),
    onTarget(withFirst({ kind: 'say', text: 'Watch the short hand.' })),
  ],
  'help-to-the-end': [onTarget(manyExamples(false)), onTarget(manyExamples(true))],
  'word-not-introduced': [onTarget(asking('Is it quarter to something?', true)), onTarget(asking('Is it half past something?', true))],
  'no-recap': [
    onTarget(
      draftOf('quarter-to', 15, (lesson) => ({
        ...lesson,
        items: lesson.items.map((item) =>
          item.kind === 'read-dial' || item.kind === 'set-dial'
            ? { ...item, timeSec: Math.floor(item.timeSec / 3600) * 3600 + 2700 }
            : item,
        ),
      })),
    ),
    draftOf('quarter-to', 15),
  ],
  'no-one-digit-minute': [onFives('five-past', [10, 20, 25, 10, 20, 25]), onFives('five-past', [10, 20, 5, 10, 20, 25])],
  'no-overlap': [
    onFives('five-past', [20, 5, 25, 20, 20, 20, 5, 10, 20, 5, 25, 20, 20, 10]),
    onFives('five-past', [20, 5, 25, 20, 20, 20, 5, 10, 20, 5, 25, 20, 20, 10], 1),
  ],
  'no-to': [onFives('five-to', [5, 20, 25, 10, 20, 25]), onFives('five-to', [5, 20, 35, 10, 20, 25])],
};
function withFirst(...beats: readonly NewBeat[]): Lesson {
  return { ...SOUND, beats: [...beats.map((beat, index) => ({ ...beat, id: `first${index}` }) as Beat), ...SOUND.beats] };
}
function showing(text: string): NewBeat {
  return { kind: 'set', timeSec: 4 * 3600 + 900, display: 'none', words: false, text };
}
function unpeeked(hour: number): NewBeat {
  return { kind: 'set', timeSec: hour * 3600 + 960, display: 'none', words: false, layers: { peek: false }, text: '' };
}
function free(hourDeg: number, minuteDeg: number): NewBeat {
  return { kind: 'show', build: { ...NEW_BUILD, hands: 'free', freePose: { hourDeg, minuteDeg } }, text: 'Look.' };
}
/** An example whose words for the hour were written at quarter past four. */
function editedExample(hour: number): NewBeat {
  const of = explain(secondOfDay(4, 15), DEFAULT_SETTINGS).find(({ step }) => step === 'hour')!.beat.text;
  return { kind: 'worked-example', timeSec: hour * 3600 + 900, edits: [{ step: 'hour', text: 'The mail boat hour: four.', of }] };
}
/** The first question is of quarter past two, in other words. */
function asking(text: string, isFirst = false): Lesson {
  const beats = SOUND.beats.map((beat) => (beat.kind === 'ask' && beat.itemId === 'q1' ? { ...beat, text } : beat));
  const items = SOUND.items.map((item) => (item.id === 'q1' ? ({ id: 'q1', kind: 'read-dial', timeSec: 2 * 3600 + 900 } as Item) : item));
  const from = isFirst ? beats.findIndex(({ kind }) => kind === 'ask') : 0;
  return { ...SOUND, items, beats: beats.slice(from) };
}
function manyExamples(fades: boolean): Lesson {
  const examples = [1, 4, 7, 10].map((hour): NewBeat => ({ kind: 'worked-example', timeSec: hour * 3600 + 900 }));
  const fade: NewBeat = { kind: 'layers', layers: { minuteRing: 'none' }, lasts: true, text: '' };
  const lesson = withFirst(...examples, ...(fades ? [fade] : []), { kind: 'worked-example', timeSec: 2 * 3600 + 900 });
  return { ...lesson, beats: lesson.beats.filter((beat) => beat.kind !== 'worked-example' || beat.id.startsWith('first')) };
}
function draftOf(rung: RungId, minutes: number, change = (lesson: Lesson) => lesson): Lesson {
  return change(draftLesson({ rung, minutes, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 4 }));
}
/** Examples of these minutes, at hours where no hands meet but, at 4:20, as often as wanted. */
function onFives(rung: RungId, minutes: readonly number[], meeting = 0): Lesson {
  const plain = [0, 8, 3, 9, 5, 7, 8, 9, 10, 0, 8, 3, 9, 7];
  const examples = minutes.map((minute, index): Beat => ({
    id: `e${index}`,
    kind: 'worked-example',
    timeSec: (index < meeting ? 2 : plain[index]!) * 3600 + (index < meeting ? 10 : minute) * 60,
  }));
  return onTarget({ ...SOUND, items: [], rung, beats: [...examples, ...SOUND.beats.filter(({ kind }) => kind === 'say').slice(0, 1)] });
}
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
    for (const { what, why, mend } of found) for (const text of [what, why, `${mend.label}.`]) expect(text).toMatch(/^[A-Z“\d].*[.”]$/);
    const before = rulesOf(broken);
    const mended = onTarget(found[0]!.mend.apply(broken));
    expect(rulesOf(mended).filter((one) => one === rule).length).toBe(found.length - 1);
    for (const other of rulesOf(mended)) expect(before).toContain(other);
  },
);

test('a draft has no findings, on any rung, of any length', () => {
  // Each rung has two of the lengths, each length has most of the rungs.
  RUNG_IDS.forEach((rung, place) => {
    for (const minutes of [5, 15, 30].filter((_, index) => index !== place % 3)) {
      const found = checkLesson(draftLesson({ rung, minutes, delivery: 'live', settings: DEFAULT_SETTINGS, seed: minutes }));
      expect([rung, minutes, found.map(({ rule, what }) => `${rule}: ${what}`)]).toEqual([rung, minutes, []]);
    }
  });
});

/** A lesson of half a dozen beats on a rung, said in a teacher's own words. */
function said(text: string, change: Partial<{ timeSec: number; rung: RungId; colour: boolean }> = {}): Lesson {
  const timeSec = change.timeSec ?? 15 * 3600 + 2700;
  const beats: NewBeat[] = [{ kind: 'set', timeSec, display: 'full', words: true, text }];
  return {
    ...SOUND,
    rung: change.rung ?? 'quarter-to',
    beats: [...beats.map((beat, index) => ({ ...beat, id: `s${index}` }) as Beat), ...SOUND.beats],
  };
}

test.each<[string, CheckerRuleId]>([
  ['It is quarter to 3 now.', 'says-another-time'],
  ['Look: it is half past 7, no, it is twenty past 7.', 'says-another-time'],
  ['Take the number the short hand is closest to.', 'told-rule'],
  ['The hour is always the lower one of the two: take the lower one.', 'told-rule'],
  ['The short hand stays on its number until the hour is over.', 'told-rule'],
  ['Now look at the red one.', 'colour-named'],
  ['Look at the hand in blue.', 'colour-named'],
])('“%s” at quarter to four is found: %s', (text, rule) => {
  const timeSec = rule === 'told-rule' && text.includes('lower') ? 12 * 3600 + 2700 : undefined;
  expect(rulesOf(said(text, timeSec === undefined ? {} : { timeSec }))).toContain(rule);
});

test.each([
  'Soon it is four o’clock.',
  'The nearest numeral is not always the hour.',
  'Somebody said a quarter is 25. Why is it 15?',
  'Nobody has ever seen that the hour hand jumps.',
  'It is not the smaller number that counts.',
  'The short red hand tells the hour.',
  'It is quarter to four, and not quarter past four.',
  'Lunch is at seven o’clock. Now look at the clock.',
])('“%s” at quarter to four is fair', (text) => {
  const found = checkLesson(said(text)).filter(({ at, rule }) => at?.beatId === 's0' && rule !== 'word-not-introduced');
  expect(found.map(({ rule }) => rule)).toEqual([]);
});

test('a time that is shown and then only “your turn” said of gives its answer away; so does one that is said before', () => {
  const item: Item = { id: 'gift', kind: 'read-dial', timeSec: 9900 };
  const asked: NewBeat[] = [
    { kind: 'ask', itemId: 'gift', text: '' },
    { kind: 'think', itemId: 'gift', seconds: 20, text: '' },
    { kind: 'answer', itemId: 'gift' },
  ];
  const lesson = (...before: NewBeat[]): Lesson => ({
    ...SOUND,
    items: [...SOUND.items, item],
    beats: [...[...before, ...asked].map((beat, index) => ({ ...beat, id: `s${index}` }) as Beat), ...SOUND.beats],
  });
  expect(rulesOf(lesson({ kind: 'worked-example', timeSec: 9900 }, { kind: 'say', text: 'Your turn.' }))).toContain('answer-just-shown');
  expect(rulesOf(lesson({ kind: 'say', text: 'This clock shows quarter to 3.' }))).toContain('answer-in-words');
  expect(rulesOf(lesson({ kind: 'set', timeSec: 26_580, display: 'full', words: true, text: '' }))).toContain('off-rung');
});
