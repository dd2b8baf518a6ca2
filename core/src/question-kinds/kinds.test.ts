import { existsSync } from 'node:fs';
import fc from 'fast-check';
import { actsOf } from '../misconceptions/distorted-acts.js';
import { MISCONCEPTION_IDS } from '../misconceptions/registry.js';
import { RUNG_IDS, RUNGS } from '../ladder/registry.js';
import { isOnRung } from '../ladder/rung-times.js';
import { DEFAULT_SETTINGS, type LessonSettings } from '../lesson/settings.js';
import { seededRng } from '../random/rng.js';
import { describeStage } from '../scene/describe-stage.js';
import { stageScene } from '../scene/stage-scene.js';
import { markOf } from './marking.js';
import { predictionsOf } from './predictions.js';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, type Item, type QuestionKindId } from './registry.js';
import { isRightVerdict } from './verdict.js';

// What holds for every kind of question: each is tried over its samples and over items that it makes itself.

const SCHOOLS: readonly LessonSettings[] = [
  DEFAULT_SETTINGS,
  { ...DEFAULT_SETTINGS, readingOrder: 'minute-first', betweenRule: 'zone', pack: 'en-US', strictness: 'proportion' },
  { ...DEFAULT_SETTINGS, betweenRule: 'step-back', pack: 'de', separator: '.', strictness: 'exact' },
];

/** Samples of a kind, and made items of every rung. */
function itemsOf(id: QuestionKindId, settings: LessonSettings): Item[] {
  const kind = QUESTION_KINDS[id];
  const made = RUNG_IDS.flatMap((rung, place) =>
    [1, 2].map((seed) => kind.make(`made-${rung}-${seed}`, seededRng(place * 100 + seed), RUNGS[rung], settings) as Item),
  );
  // Samples in words are in the words of the first school.
  return settings === DEFAULT_SETTINGS ? [...kind.samples, ...made] : made;
}

/** Made once for each kind: a test walks over hundreds of them, and says all that is wrong at the end. */
const everyItem = memoized((id: QuestionKindId) =>
  SCHOOLS.flatMap((settings) => itemsOf(id, settings).map((item) => [item, settings] as const)),
);

function memoized<Key, T>(make: (key: Key) => T): (key: Key) => T {
  const made = new Map<Key, T>();
  return (key) => {
    if (!made.has(key)) made.set(key, make(key));
    return made.get(key)!;
  };
}

/** Every member in some data, by name, with its value. */
function membersOf(data: unknown): [string, unknown][] {
  if (typeof data !== 'object' || data === null) return [];
  const own: [string, unknown][] = Array.isArray(data) ? [] : Object.entries(data);
  return [...own, ...Object.values(data).flatMap(membersOf)];
}

describe.each(QUESTION_KIND_IDS)('questions of the kind %s', (id) => {
  test('stand in a folder of their own, with samples', () => {
    expect(existsSync(`${__dirname}/${id}`)).toBe(true);
    expect(QUESTION_KINDS[id].samples.length).toBeGreaterThan(3);
    for (const sample of QUESTION_KINDS[id].samples) expect(sample.kind).toBe(id);
  });

  test('the key is right, and no misconception is blamed for it', () => {
    for (const [item, settings] of everyItem(id)) {
      const mark = markOf(item, kindOf(item).keyOf(item, settings), settings);
      expect({ item, ...mark }).toMatchObject({ item, verdict: 'right', misconceptions: [] });
      expect(mark.parts.every(({ right }) => right)).toBe(true);
    }
  });

  test('whoever does every act right gives the key', () => {
    for (const [item, settings] of everyItem(id)) {
      const kind = kindOf(item);
      const [given, ...others] = kind.predict(item, actsOf([], settings), settings);
      expect({ item, others, same: kind.isSame(item, given!, kind.keyOf(item, settings), settings) }).toEqual({
        item,
        others: [],
        same: true,
      });
    }
  });

  test('whatever an idea predicts is marked wrong and blamed on that idea', () => {
    const seen = new Set<string>();
    const wrong: unknown[] = [];
    for (const [item, settings] of everyItem(id)) {
      for (const [idea, predicted] of predictionsOf(item, settings)) {
        for (const response of predicted) {
          const mark = markOf(item, response, settings);
          const isBlamed = mark.misconceptions.includes(idea) && /partly|not-yet/.test(mark.verdict);
          if (!isBlamed || !/^[A-Z“„].*[.?]$/.test(mark.sayToPupil)) wrong.push({ item, idea, response, mark });
          seen.add(idea);
        }
      }
    }
    expect(wrong).toEqual([]);
    expect(seen.size).toBeGreaterThan(0); // a kind at which no idea makes a difference tells nothing
  });

  test('two ideas held at once are acts upon acts: they answer too, if not always wrong', () => {
    const verdicts = new Set<string>();
    const samples = QUESTION_KINDS[id].samples as readonly Item[];
    MISCONCEPTION_IDS.forEach((one, place) => {
      for (const [at, two] of MISCONCEPTION_IDS.entries()) {
        const item = samples[(place + at) % samples.length]!;
        const given = kindOf(item).predict(item, actsOf([one, two], DEFAULT_SETTINGS), DEFAULT_SETTINGS);
        for (const response of given) verdicts.add(markOf(item, response, DEFAULT_SETTINGS).verdict);
      }
    });
    expect(verdicts.size).toBeGreaterThan(0);
  });

  test('a slip is wrong, and the same random numbers give the same one', () => {
    fc.assert(
      fc.property(fc.nat(), fc.constantFrom(...everyItem(id)), (seed, [item, settings]) => {
        const kind = kindOf(item);
        const slip = kind.slip(item, seededRng(seed), settings);
        expect(isRightVerdict(kind.judge(item, slip, settings).verdict)).toBe(false);
        expect(kind.slip(item, seededRng(seed), settings)).toEqual(slip);
      }),
    );
  });

  test('the view holds nothing of the key but the picture itself', () => {
    const telling: unknown[] = [];
    for (const [item, settings] of everyItem(id)) {
      const kind = kindOf(item);
      const view = kind.viewOf(item, settings);
      if (view.kind !== id || view.itemId !== item.id || !/[.?]$/.test(view.stem)) telling.push({ item, view });
      const { kind: _kind, ...key } = kind.keyOf(item, settings);
      const ofKey = new Map(Object.entries(key).map(([name, value]) => [name, JSON.stringify(value)]));
      // A pose that is shown is the picture: the key of such a question is its reading, in other members.
      for (const [name, value] of membersOf(view)) {
        if (/timeSec|key|right|correct|answer|mark|verdict/i.test(name)) telling.push({ item, name });
        if (ofKey.has(name) && ofKey.get(name) === JSON.stringify(value)) telling.push({ item, name, value });
      }
    }
    expect(telling).toEqual([]);
  });

  test('question and answer can be drawn and said, and the question does not show the answer', () => {
    for (const [item, settings] of everyItem(id)) {
      const kind = kindOf(item);
      const [asked, answered] = [kind.asked(item, settings), kind.answered(item, settings)];
      for (const stage of [asked, answered]) {
        const drawn = (['wide', 'tall', 'large'] as const).map((layout) => stageScene(stage, layout).nodes.length > 0);
        expect([...drawn, describeStage(stage).length > 10]).toEqual([true, true, true, true]);
      }
      expect(asked.stem).toBe(kind.viewOf(item, settings).stem);
      expect(answered.stem).toBeNull();
      expect(asked).not.toEqual({ ...answered, stem: asked.stem });
      expect(kind.keySentence(item, settings)).toMatch(/^[A-Z“„].*\.$/);
      for (const line of kind.reason(item, settings)) expect(line).toMatch(/^[A-Z“„].*\.$/);
      expect(kind.responseText(item, kind.keyOf(item, settings), settings).length).toBeGreaterThan(0);
    }
  });

  test('made items are of the rung, and the same random numbers make the same one', () => {
    fc.assert(
      fc.property(fc.nat(), fc.constantFrom(...RUNG_IDS), (seed, rung) => {
        const { make } = QUESTION_KINDS[id];
        const item = make('made', seededRng(seed), RUNGS[rung], DEFAULT_SETTINGS) as Item;
        expect(make('made', seededRng(seed), RUNGS[rung], DEFAULT_SETTINGS)).toEqual(item);
        expect(isOnRung(RUNGS[rung], kindOf(item).timesOf(item))).toBe(true);
      }),
    );
  });
});
