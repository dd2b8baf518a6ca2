import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { SHAPE_IDS } from './question-kinds/shapes/shape.js';
import { DEFAULT_SETTINGS } from './lesson/settings.js';
import type { Misconception } from './misconceptions/misconception.js';
import { MISCONCEPTION_IDS, MISCONCEPTIONS } from './misconceptions/registry.js';
import { QUESTION_KIND_IDS } from './question-kinds/registry.js';

// docs/adding.md is kept true: what it names is there, and the example it gives of each list is complete.
const ROOT = join(__dirname, '../..');
const adding = readFileSync(join(ROOT, 'docs/adding.md'), 'utf8');
const sections = new Map(
  adding
    .split(/^## /m)
    .slice(1)
    .map((text) => [text.slice(0, text.indexOf('\n')), text]),
);
/** Paths from the root of the repository that a text names, without those with a gap in them. */
const pathsIn = (text: string) =>
  [...text.matchAll(/`((?:core|contract|server|web|e2e|docs)\/[^`]+)`/g)].map(([, path]) => path!).filter((path) => !path.includes('…'));
const isThere = (path: string) => existsSync(join(ROOT, path));

test('every file that the lists name is there, and every one where a house word is defined', () => {
  const words = readFileSync(join(ROOT, 'docs/words.md'), 'utf8');
  expect(pathsIn(adding + words).filter((path) => !isThere(path))).toEqual([]);
});

test('there is a list for each thing that can be added, with as many files as it says', () => {
  const counts = [...sections].map(([title, text]) => [title, pathsIn(text).length]);
  expect(Object.fromEntries(counts)).toEqual({
    'A question kind': 14,
    'A way of answering': 9,
    'A misconception': 6,
    'A kind of beat': 9,
    'A rung': 4,
    'A checker rule': 3,
    'A dial layer': 6,
    'A word pack': 6,
    'A paper': 5,
    'A place': 5,
    'A feature with its table': 9,
    'An icon': 3,
    'A part that several places use': 3,
    'Something stored': 6,
  });
});

test('every question kind has the files that the list asks for', () => {
  const list = sections.get('A question kind')!;
  const wanted = [...list.matchAll(/`((?:core|contract|web)\/[^`]*….*?)`/g)].map(([, path]) => path!);
  expect(wanted.length).toBeGreaterThanOrEqual(4);
  for (const id of QUESTION_KIND_IDS) {
    // A test of its own may be shared where kinds are marked alike.
    const own = wanted.filter((path) => !path.endsWith('.test.ts')).map((path) => path.replaceAll('…', id));
    for (const path of own) expect([path, isThere(path)]).toEqual([path, true]);
  }
  for (const id of SHAPE_IDS)
    for (const part of ['answer', 'views']) expect(isThere(`web/src/app/question-views/${id}/${part}.ts`)).toBe(true);
});

test('the page of what pupils are told has every sentence of every idea, in each language', () => {
  const page = readFileSync(join(ROOT, 'docs/feedback.md'), 'utf8');
  for (const id of MISCONCEPTION_IDS) {
    for (const settings of [DEFAULT_SETTINGS, { ...DEFAULT_SETTINGS, pack: 'de', separator: '.' } as const]) {
      // A sentence may ask for the hour in the words of a rule, which depends on nothing but the settings.
      const told = MISCONCEPTIONS[id].sayToPupil(settings);
      const elsewhere = Object.values((MISCONCEPTIONS[id] as Misconception).sayWhile ?? {}).map((says) => says(settings));
      // An idea that never explains an answer alone says nothing of its own; it stands there all the same.
      const isThere =
        [told, ...elsewhere].some((sentence) => page.includes(sentence)) || page.includes(`| ${MISCONCEPTIONS[id].name} (among others)`);
      expect([id, isThere]).toEqual([id, true]);
    }
  }
});

test('the page of how well the diagnosis does says what is promised of it', () => {
  const page = readFileSync(join(ROOT, 'docs/diagnosis.md'), 'utf8');
  const [, recall, precision, error] = /^\| all \| ([\d.]+) \| ([\d.]+) \| ([\d.]+) \|/m.exec(page)!.map(Number);
  expect(recall).toBeGreaterThanOrEqual(90);
  expect(precision).toBeGreaterThanOrEqual(90);
  expect(error).toBeLessThanOrEqual(0.05);
});

test('the same page says what the review found of the demo’s class, and how often intervals of mastery hold the truth', () => {
  const page = readFileSync(join(ROOT, 'docs/diagnosis.md'), 'utf8');
  const [, found, held] = /the class review found \*\*(\d+) of (\d+)\*\*/.exec(page)!.map(Number);
  expect(found! / held!).toBeGreaterThanOrEqual(0.75);
  expect(Number(/and \*\*(\d+)\*\* that w(as|ere) never there/.exec(page)![1])).toBeLessThanOrEqual(2);
  const [, stated, covered] = /true mastery for ([\d.]+) of a hundred; it held it for \*\*([\d.]+)\*\*/.exec(page)!.map(Number);
  expect(Math.abs(covered! - stated!)).toBeLessThan(5);
});
