import type { DesignedSet } from '@zeitpunkt/core/diagnosis/design-set';
import type { Diagnosis } from '@zeitpunkt/core/diagnosis/diagnose';
import { draftLesson } from '@zeitpunkt/core/draft/draft';
import { changeItem } from '@zeitpunkt/core/edit/edit';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, type Item, type ItemOf } from '@zeitpunkt/core/question-kinds/registry';
import { isForPreview, isFromPreview } from '../../../shared/preview-messages';
import { ITEM_FIELDS } from '../fields/item-fields';
import { likelyIdeas } from '../set/class-ideas';
import { setWords } from '../../../shared/diagnosis/set-words';
import { choiceLines, choicesTyped } from './choice-lines';
import { keyOf, tellsOf, triedOut } from './what-it-tells';

const settings = DEFAULT_SETTINGS;
const lesson: Lesson = draftLesson({ rung: 'quarter-to', minutes: 5, delivery: 'live', settings, seed: 1 });
const write = (item: Item, key: string, text: string) => {
  const fields = ITEM_FIELDS()[item.kind];
  return fields.find((field) => field.key === key)!.write(text, item as never, settings);
};

test('what stands in a field of a question, written back, leaves it as it is, whatever its kind', () => {
  for (const id of QUESTION_KIND_IDS) {
    for (const sample of QUESTION_KINDS[id].samples as readonly Item[]) {
      const item: Item = { ...sample, id: 'q1' };
      const holding: Lesson = { ...lesson, items: [item] };
      for (const field of ITEM_FIELDS()[id]) {
        const typed = field.write(field.read(item as never, settings), item as never, settings);
        expect([id, field.key, typed]).toEqual([id, field.key, { change: expect.anything() }]);
        if ('change' in typed) expect(changeItem('q1', typed.change)(holding).items[0]).toEqual(item);
      }
    }
  }
});

test.each<[Item['kind'], string, string, RegExp]>([
  ['match', 'times', '7:45', /2 to 4 times; 1 came/],
  ['match', 'times', '7:45, quarter to eight', /the same/],
  ['fill-face', 'gaps', '0, 13', /from 1 to 12/],
  ['fill-face', 'gaps', '3, 3', /each once/],
  ['choose-one', 'choices', '7:45', /At least two/],
  ['choose-one', 'choices', 'dial 7:45\ndial 25:00', /Line 2: There is no hour 25/],
  ['choose-one', 'choices', 'dial 7:45 short hand at 13\n7:45', /0 to 12/],
  ['choose-one', 'choices', '7:45\n7:45', /the same/],
  ['later-earlier', 'minutes', '-5', /from 1 to 660/],
  ['pattern', 'stepMin', 'NaN', /whole number/],
])('a question of the kind %s: %s “%s” is not taken, with the reason', (kind, key, text, why) => {
  const typed = write(QUESTION_KINDS[kind].samples[0] as Item, key, text);
  expect('problem' in typed && typed.problem).toMatch(why);
});

test('a wording that says another time, or none, counts only when that is confirmed', () => {
  const item: ItemOf<'write-words'> = { id: 'q', kind: 'write-words', timeSec: 27_900, from: 'dial', lines: 1 };
  expect(write(item, 'accepted', 'quarter to seven')).toEqual({ problem: expect.stringMatching(/says another time.*put !/) });
  expect(write(item, 'accepted', 'thereabouts')).toEqual({ problem: expect.stringMatching(/no wording that is known here/) });
  expect(write(item, 'accepted', 'thereabouts!\nquarter before eight!')).toEqual({
    change: { accepted: ['thereabouts', 'quarter before eight'] },
  });
  expect(write({ ...item, accepted: ['thereabouts'] }, 'accepted', 'thereabouts')).toEqual({ change: { accepted: ['thereabouts'] } });
  expect(write(item, 'accepted', '')).toEqual({ change: { accepted: undefined } });
});

test('choices are typed as they are read: texts, dials, few numerals, a hand that is off', () => {
  const typed = choicesTyped('quarter to eight\ndial 7:45\ndial 9:30 short hand at 9\ndial 7:45 few numerals', 8, settings);
  if ('problem' in typed) throw new Error(typed.problem);
  expect(typed.choices.slice(1)).toEqual([
    { hourDeg: 232.5, minuteDeg: 270, numerals: 'all' },
    { hourDeg: 270, minuteDeg: 180, numerals: 'all' },
    { hourDeg: 232.5, minuteDeg: 270, numerals: 'quarters' },
  ]);
  expect(choiceLines(typed.choices, settings)).toBe('quarter to eight\ndial 7:45\ndial 9:30 short hand at 9\ndial 7:45 few numerals');
});

test('what a question tells: the key with what also counts, each idea with its answer, and those that answer alike', () => {
  const item: Item = { id: 'q', kind: 'read-dial', timeSec: 9900 };
  expect(keyOf(item, settings)).toMatchObject({ text: '2:45', also: ['02:45', '14:45'] });
  const told = new Map(tellsOf(item, settings).map((one) => [one.id, one]));
  expect(told.get('numeral-as-minutes')!.text).toBe('2:09');
  expect(told.get('nearest-hour')!.same).toEqual(['Says the coming hour']);
  const tried = triedOut(item, { kind: 'read-dial', hour: '2', minute: '09' }, settings);
  expect(tried).toMatchObject({ right: false, explained: 'Reads the 9 as 9 minutes', text: '2:09' });
  for (const id of QUESTION_KIND_IDS) {
    const sample = QUESTION_KINDS[id].samples[0] as Item;
    expect(keyOf(sample, settings).text.length).toBeGreaterThan(0);
    expect(triedOut(sample, kindOf(sample).keyOf(sample, settings), settings).right).toBe(true);
  }
});

test('a set says what it tells, what it shows too seldom, what it leaves out, and what answers alike', () => {
  const set: DesignedSet = {
    items: [],
    bits: 1.5,
    ofBits: 2,
    seconds: 60,
    chances: [
      { id: 'nearest-hour', count: 4 },
      { id: 'to-as-past', count: 1 },
      { id: 'hands-exchanged', count: 0 },
    ],
    alike: [['nearest-hour', 'coming-hour']],
  };
  expect(setWords(set)).toEqual([
    'It tells most of these ideas apart.',
    'Shown often enough to be sure: Takes the nearest numeral (4 chances).',
    'Shown, but too seldom to be sure: Takes “to” for “past” (1).',
    'Left out: Swaps the hands.',
    'Takes the nearest numeral and says the coming hour answer alike here.',
  ]);
});

test('the ideas of a class are those of its pupils, each counted by how sure it is', () => {
  const pupil = (probability: number, sureness: Diagnosis['ideas'][number]['sureness']): Diagnosis => ({
    ideas: [
      { id: 'nearest-hour', probability, chances: 4, hits: 3, evidence: [], lastAskedMs: 0, unlike: [], sureness },
      { id: 'tick-miscounted', probability: 0.05, chances: 4, hits: 0, evidence: [], lastAskedMs: 0, unlike: [], sureness: 'not-seen' },
    ],
    none: 0,
    skill: 0.8,
    answers: 8,
  });
  expect(likelyIdeas([pupil(0.9, 'settled'), pupil(0.6, 'likely'), pupil(0.2, 'one-off')])).toEqual([
    { id: 'nearest-hour', weight: expect.closeTo(1.7), pupils: 2 },
  ]);
});

test('page and preview hear only what is meant for them', () => {
  expect(isForPreview({ type: 'preview', view: { shape: 'time' }, language: 'en-GB', given: null, number: 1 })).toBe(true);
  expect(isFromPreview({ type: 'answered', response: { kind: 'not-sure' } })).toBe(true);
  for (const data of [null, 'preview', {}, { type: 'preview' }, { type: 'preview', view: null, number: 1 }, { type: 'answered' }])
    expect([isForPreview(data), isFromPreview(data)]).toEqual([false, false]);
});
