import fc from 'fast-check';
import { RUNG_IDS, RUNGS } from '../ladder/registry.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { prepareLesson } from '../lesson/prepare.js';
import { emptyLesson } from '../edit/empty-lesson.js';
import { markOf } from '../question-kinds/marking.js';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, type Item } from '../question-kinds/registry.js';
import { misconceptionOf } from '../misconceptions/registry.js';
import { seededRng } from '../random/rng.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { HAND_REACH } from '../scene/dial-hands.js';
import { FACE_RADIUS } from '../scene/dial-face.js';
import type { SceneNode } from '../scene/scene-node.js';
import { minuteOfHour } from '../time/second-of-day.js';
import { lessonPage } from './handouts/lesson-page.js';
import { cutOutDialPages } from './handouts/cut-out-dial.js';
import { joinCardsPages } from './handouts/join-cards.js';
import { differencesOnPaper, usualWrongAnswers } from './key.js';
import type { PaperLook, PaperPage } from './paper-page.js';
import { paperParts, type PaperWish } from './paper-wish.js';
import { linesOf } from './text.js';
import { sheetVersions } from './versions.js';

const measure = (text: string, size: number, bold: boolean) => text.length * size * (bold ? 0.58 : 0.54);
const LOOKS: readonly PaperLook[] = (['a4', 'letter'] as const).flatMap((size) => [false, true].map((large) => ({ size, large, measure })));
const SCHOOLS = (['en-GB', 'de'] as const).map((pack) => ({ ...DEFAULT_SETTINGS, pack }));

/** One of each kind, as it is asked on a rung that asks it. */
const oneOfEach = (seed: number, settings = DEFAULT_SETTINGS): Item[] =>
  QUESTION_KIND_IDS.map((kind, index) => {
    const rung = RUNG_IDS.find((id) => RUNGS[id].kinds.includes(kind)) ?? 'five-past';
    return QUESTION_KINDS[kind].make(`q${index}`, seededRng(seed + index), RUNGS[rung], settings) as Item;
  });

/** Where every node reaches, in points; a path by the numbers in it. */
function reachesOf(nodes: readonly SceneNode[], at = { x: 0, y: 0, scale: 1 }): { readonly x: number; readonly y: number }[] {
  return nodes.flatMap((node) => {
    const place = (x: number, y: number) => ({ x: at.x + x * at.scale, y: at.y + y * at.scale });
    switch (node.type) {
      case 'group':
        // A turned group reaches as far in every direction: hands turn about their dial's centre.
        return node.turnDeg % 360 === 0
          ? reachesOf(node.nodes, { ...place(node.x, node.y), scale: at.scale * node.scale })
          : [place(node.x, node.y)];
      case 'circle':
        return [place(node.cx - node.r, node.cy - node.r), place(node.cx + node.r, node.cy + node.r)];
      case 'text': {
        const width = measure(node.text, node.size, node.bold ?? false);
        const left = node.x - { start: 0, middle: width / 2, end: width }[node.anchor];
        return [place(left, node.y - node.size / 2), place(left + width, node.y + node.size / 2)];
      }
      case 'path':
        return [...node.d.matchAll(/[ML]\s*(-?[\d.]+)[ ,](-?[\d.]+)/g)].map(([, x, y]) => place(Number(x), Number(y)));
    }
  });
}

function expectWithin(pages: readonly PaperPage[]): void {
  for (const { nodes, width, height, title } of pages) {
    const outside = reachesOf(nodes).filter(({ x, y }) => !(x >= 0 && y >= 0 && x <= width && y <= height));
    expect([title, outside]).toEqual([title, []]);
    expect(new Set(nodes.map(({ id }) => id)).size).toBe(nodes.length);
  }
}
const pagesOf = (wish: PaperWish, look: PaperLook) => paperParts(wish, look).flatMap((part) => part());
const wordsOn = (pages: readonly PaperPage[]) =>
  pages.flatMap(({ nodes }) => nodes.flatMap((node) => (node.type === 'text' ? [node.text] : [])));

test.each(LOOKS)(
  'a sheet of every kind of question and its key lie within their pages, each question once: $size, large $large',
  (look) => {
    for (const settings of SCHOOLS) {
      for (const seed of [1, 2]) {
        const versions = sheetVersions(oneOfEach(seed, settings), 'quarter-to', settings, 1, seed);
        const wish = { kind: 'sheet', title: 'Everything at the harbour', code: 'K7Q2', versions, copies: [{ pupil: null, letter: 'A' }], withKey: false, rung: 'quarter-to', settings } as const; // prettier-ignore
        const pages = pagesOf(wish, look);
        expectWithin(pages);
        const numbers = wordsOn(pages).filter((text) => /^\d+$/.test(text));
        for (let number = 1; number <= QUESTION_KIND_IDS.length; number++) expect(numbers).toContain(String(number));
        expectWithin(pagesOf({ ...wish, copies: [], withKey: true }, look));
      }
    }
  },
);

test('a sheet gives no answer away, and its key has the reason of every question and the ideas behind its usual wrong answers', () => {
  const plain = (text: string) => text.replace(/\s+/g, '');
  for (const [seed, settings] of SCHOOLS.entries()) {
    const [version] = sheetVersions(oneOfEach(seed + 3, settings), 'quarter-to', settings, 1, 1);
    const wish = { kind: 'sheet', title: 'Pier', code: '', versions: [version!], copies: [{ pupil: null, letter: 'A' }], withKey: false, rung: 'quarter-to', settings } as const; // prettier-ignore
    const [sheet, key] = [wish, { ...wish, copies: [], withKey: true }].map((one) => plain(wordsOn(pagesOf(one, LOOKS[0]!)).join('')));
    for (const item of version!.items) {
      const right = plain(kindOf(item).keySentence(item, settings));
      expect([item.kind, sheet!.includes(right), key!.includes(right)]).toEqual([item.kind, false, true]);
      for (const { ideas } of usualWrongAnswers(item, 'quarter-to', settings)) {
        for (const idea of ideas) expect(key).toContain(plain(misconceptionOf(idea).name));
      }
    }
  }
});

test.each(LOOKS)('every other paper lies within its pages: $size, large $large', (look) => {
  const pattern = { firstSec: 28_800, stepsMin: [30, 45] };
  const events = Array.from({ length: 12 }, (_, index) => ({ atSec: index * 7200, text: 'the mail boat comes in at the long pier' }));
  const home = { can: 'a '.repeat(300), next: 'Quarters.', tryThis: 'Look up.' };
  for (const settings of SCHOOLS) {
    const tongue = settings.pack === 'de' ? ('de' as const) : ('en' as const);
    const wishes: PaperWish[] = [
      ...(['cut-out-dial', 'zones', 'pencil-dial', 'fraction-strip'] as const).map((kind) => ({ kind, tongue })),
      { kind: 'day-line', events, tongue },
      { kind: 'daily-cards', pattern, from: 4, count: 12, settings },
      { kind: 'home', pages: [{ name: 'Anouk', page: home }, { name: 'Bo', page: home }], tongue }, // prettier-ignore
      ...RUNG_IDS.map((rung) => ({ kind: 'chart', rung, settings }) as const),
    ];
    for (const wish of wishes) {
      const pages = pagesOf(wish, look);
      expect(pages.length).toBeGreaterThan(0);
      expectWithin(pages);
    }
  }
});

test('versions ask the same kinds in the same order about times of the same sort, never the same twice, and the same seed gives the same', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 1e6 }),
      fc.integer({ min: 2, max: 6 }),
      fc.constantFrom('half-past' as const, 'quarter-to' as const, 'five-past' as const),
      (seed, count, rung) => {
        // prettier-ignore
        const kinds = RUNGS[rung].kinds.slice(0, 5);
        const items = kinds.map(
          (kind, index) => QUESTION_KINDS[kind].make(`q${index}`, seededRng(seed + index), RUNGS[rung], DEFAULT_SETTINGS) as Item,
        );
        const versions = sheetVersions(items, rung, DEFAULT_SETTINGS, count, seed);
        expect(versions.map(({ letter }) => letter)).toEqual([...'ABCDEF'].slice(0, count));
        expect(sheetVersions(items, rung, DEFAULT_SETTINGS, count, seed)).toEqual(versions);
        const ids = versions.flatMap((version) => version.items.map(({ id }) => id));
        expect(new Set(ids).size).toBe(ids.length);
        for (const { items: own } of versions) {
          expect(own.map(({ kind }) => kind)).toEqual(kinds);
          for (const item of own) expect(markOf(item, kindOf(item).keyOf(item, DEFAULT_SETTINGS), DEFAULT_SETTINGS).verdict).toBe('right');
        }
        // Twelve hours are enough for six versions of one sort of time.
        items.forEach((item, place) => {
          if (item.kind !== 'read-dial') return;
          const times = versions.map((version) => kindOf(version.items[place]!).timesOf(version.items[place]!)[0]!);
          expect(new Set(times.map((at) => at % 43_200)).size).toBe(count);
          const isLike = (minute: number) => [minute === 0, minute % 15 === 0 && minute, minute % 5 === 0, minute < 30].join();
          expect(new Set(times.map((at) => isLike(minuteOfHour(at)))).size).toBe(1);
        });
      },
    ),
    { numRuns: 12 },
  );
});

test('questions of all versions have ids of their own, as short as ids are, whatever the lesson calls its own', () => {
  const ids = ['q1', 'q1-b', 'q1-b2', 'a'.repeat(40), `${'a'.repeat(32)}-b`];
  const items = ids.map((id, index): Item => ({ id, kind: 'read-dial', timeSec: 3600 * index + 1800 }));
  const all = sheetVersions(items, 'half-past', DEFAULT_SETTINGS, 6, 1).flatMap((version) => version.items.map(({ id }) => id));
  expect(all.slice(0, ids.length)).toEqual(ids);
  expect(new Set(all).size).toBe(30);
  for (const id of all) expect(id).toMatch(/^[a-z0-9-]{1,40}$/);
});

test('hands that are drawn move by themselves, and what is different on paper is said with its numbers', () => {
  const items = oneOfEach(5);
  const [version] = sheetVersions(items, 'half-past', DEFAULT_SETTINGS, 1, 1);
  const setDials = version!.items.filter((item) => item.kind === 'set-dial');
  expect(setDials.map((item) => 'hands' in item && item.hands)).toEqual(['free']);
  const place = items.findIndex(({ kind }) => kind === 'set-dial') + 1;
  expect(differencesOnPaper(version!.items, DEFAULT_SETTINGS)).toContainEqual({
    what: expect.stringContaining('do not move together'),
    questions: [place],
  });
});

test('usual wrong answers are those that ideas predict, with all ideas that lead to them, and never right', () => {
  for (const item of oneOfEach(9)) {
    const predicted = predictionsOf(item, DEFAULT_SETTINGS);
    const key = kindOf(item).responseText(item, kindOf(item).keyOf(item, DEFAULT_SETTINGS), DEFAULT_SETTINGS);
    const wrong = usualWrongAnswers(item, 'five-past', DEFAULT_SETTINGS);
    expect(wrong.length).toBeLessThanOrEqual(6);
    for (const { answers, ideas } of wrong) {
      expect(answers).not.toContain(key);
      for (const id of ideas) {
        const texts = predicted.get(id)!.map((response) => kindOf(item).responseText(item, response, DEFAULT_SETTINGS));
        expect(texts).toEqual(expect.arrayContaining([expect.stringMatching(/./)]));
        expect(answers.every((answer) => texts.includes(answer))).toBe(true);
      }
    }
  }
});

test('a lesson of any length is one page, and says what it has no room for', () => {
  const beats = (count: number) => Array.from({ length: count }, (_, index) => ({ id: `b${index}`, kind: 'say' as const, text: `Beat number ${index} of the tide gauge. `.repeat(4) })); // prettier-ignore
  for (const count of [3, 40, 120, 300]) {
    const page = lessonPage(prepareLesson({ ...emptyLesson('half-past', 20, DEFAULT_SETTINGS), beats: beats(count) }), LOOKS[0]!);
    const all = wordsOn([page]);
    const shown = all.filter((text) => /^\d+ Say/.test(text)).length;
    const left = Number(/… and (\d+) more/.exec(all.find((text) => text.startsWith('…')) ?? '')?.[1] ?? 0);
    expect([count, shown + left]).toEqual([count, count]);
    expect(count > 120 || left === 0).toBe(true);
  }
});

test('the hands to cut out fit the dial to cut out', () => {
  const [dialPage, handsPage] = cutOutDialPages('en', LOOKS[0]!);
  const scales = (page: PaperPage) => page.nodes.flatMap((node) => (node.type === 'group' ? [node.scale] : []));
  expect(new Set([...scales(dialPage!), ...scales(handsPage!)]).size).toBe(1);
  expect(HAND_REACH.minute).toBeLessThan(FACE_RADIUS);
});

test('join cards stand ten on a page, each with its code as squares', () => {
  const qr = { size: 2, dark: [true, false, false, true] };
  const cards = Array.from({ length: 23 }, (_, index) => ({ name: `Pupil ${index}`, link: 'https://school.test/desk#card=abc', qr }));
  const pages = joinCardsPages(cards, 'Terns', LOOKS[0]!);
  expect(pages.map(({ nodes }) => nodes.filter(({ type }) => type === 'group').length)).toEqual([10, 10, 3]);
  expectWithin(pages);
  expect(JSON.stringify(pages[0])).toContain('M0 0 L1 0 L1 1 L0 1 Z M1 1 L2 1 L2 2 L1 2 Z');
});

test('lines fit their width, and nothing of the text is lost', () => {
  fc.assert(
    fc.property(
      fc.array(fc.stringMatching(/^[a-z]{1,30}$/), { minLength: 1, maxLength: 30 }),
      fc.integer({ min: 40, max: 400 }),
      (words, width) => {
        const lines = linesOf(words.join(' '), width, { size: 10 }, measure);
        expect(lines.every((line) => measure(line, 10, false) <= width)).toBe(true);
        expect(lines.join('').replaceAll(' ', '')).toBe(words.join(''));
      },
    ),
  );
});
