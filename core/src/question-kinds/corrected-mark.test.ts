import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { diagnose } from '../diagnosis/diagnose.js';
import { all } from '../testing/insight.js';
import { secondOfDay } from '../time/second-of-day.js';
import { acceptingItem, wordingsOf } from './class-wordings.js';
import { correctedMark } from './corrected-mark.js';
import { markOf } from './marking.js';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, type Item, type Response } from './registry.js';

const item: Item = { id: 'q', kind: 'read-dial', timeSec: secondOfDay(7, 30) };
const eight: Response = { kind: 'read-dial', hour: '8', minute: '30' };
const first = markOf(item, eight, DEFAULT_SETTINGS);

test('a corrected mark says what a mark of its verdict says; an answer that is right holds no idea any more', () => {
  const right = correctedMark(item, eight, first, 'right', DEFAULT_SETTINGS);
  expect(right).toMatchObject({ verdict: 'right', misconceptions: [] });
  expect(right.sayToPupil).not.toBe(first.sayToPupil);
  const notYet = correctedMark(item, eight, first, 'not-yet', DEFAULT_SETTINGS);
  expect(notYet.verdict).toBe('not-yet');
  const seven: Response = { kind: 'read-dial', hour: '7', minute: '30' };
  const said = markOf(item, seven, DEFAULT_SETTINGS);
  expect(correctedMark(item, seven, said, 'not-yet', DEFAULT_SETTINGS).sayToPupil).not.toBe(said.sayToPupil);
  expect(first.verdict).toBe('partly');
});

test('the diagnosis follows a correction: what a teacher calls right shows no idea', () => {
  const shown = ['2:45', '7:45', '10:45', '5:45'];
  const answers = all('Anouk', shown, (at) => at.replace(/^\d+/, (hour) => String(Number(hour) + 1)));
  const chance = (list: typeof answers) => diagnose(list, 0).ideas.find(({ id }) => id === 'nearest-hour')?.probability ?? 0;
  expect(chance(answers)).toBeGreaterThan(0.4);
  expect(chance(answers.map((one) => ({ ...one, verdict: 'right' as const })))).toBeLessThan(0.1);
});

const words: Item = { id: 'w', kind: 'write-words', timeSec: secondOfDay(7, 30), from: 'display', lines: 1 };
const wrote = (line: string): Response => ({ kind: 'write-words', lines: [line] });

test('a wording of the class counts for its time alone, however it is spaced and spelt large', () => {
  const own = [{ wording: 'seven and a half', timeSec: secondOfDay(7, 30) }];
  const verdict = (one: Item, line: string, wordings = own) => markOf(acceptingItem(one, wordings), wrote(line), DEFAULT_SETTINGS).verdict;
  expect(verdict(words, 'Seven and a  half.')).toBe('right');
  expect(verdict(words, 'seven and a half', [])).toBe('not-yet');
  expect(verdict({ ...words, timeSec: secondOfDay(19, 30) }, 'seven and a half')).toBe('right');
  expect(verdict({ ...words, timeSec: secondOfDay(8, 30) }, 'seven and a half')).not.toBe('right');
  expect(acceptingItem(item, own)).toBe(item);
});

test('only what was written and is not taken for the time can be let count', () => {
  expect(wordingsOf(words, wrote('seven and a half'), DEFAULT_SETTINGS)).toEqual(['seven and a half']);
  expect(wordingsOf(words, wrote('half past seven'), DEFAULT_SETTINGS)).toEqual([]);
  expect(wordingsOf(words, wrote('half past eight'), DEFAULT_SETTINGS)).toEqual([]);
  expect(wordingsOf(words, wrote(' '), DEFAULT_SETTINGS)).toEqual([]);
  expect(wordingsOf(words, { kind: 'not-sure' }, DEFAULT_SETTINGS)).toEqual([]);
  expect(wordingsOf(item, eight, DEFAULT_SETTINGS)).toEqual([]);
});

test('an answer of every kind can be corrected to every verdict', () => {
  for (const id of QUESTION_KIND_IDS) {
    const one: Item = QUESTION_KINDS[id].samples[0]!;
    const key = kindOf(one).keyOf(one, DEFAULT_SETTINGS);
    const mark = markOf(one, key, DEFAULT_SETTINGS);
    for (const verdict of ['right', 'partly', 'not-yet'] as const) {
      const corrected = correctedMark(one, key, mark, verdict, DEFAULT_SETTINGS);
      expect([id, corrected.verdict, corrected.sayToPupil.length > 5]).toEqual([id, verdict, true]);
    }
  }
});
