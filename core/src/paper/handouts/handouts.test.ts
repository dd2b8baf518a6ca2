import fc from 'fast-check';
import { cardTime } from '../../lesson/card-pattern.js';
import { lessonAsking } from '../../testing/lessons.js';
import { DEFAULT_SETTINGS } from '../../lesson/settings.js';
import { RUNG_IDS } from '../../ladder/registry.js';
import { kindOf, type Item } from '../../question-kinds/registry.js';
import type { GroupNode, SceneNode } from '../../scene/scene-node.js';
import { referenceChart } from '../../stage/reference-chart.js';
import { displayText } from '../../time/display.js';
import { secondOfDay } from '../../time/second-of-day.js';
import { flow, type Block } from '../flow.js';
import { areaOf, type PaperLook, type PaperPage } from '../paper-page.js';
import { paperParts, type PaperWish } from '../paper-wish.js';
import { word } from '../text.js';

const measure = (text: string, size: number, bold: boolean) => text.length * size * (bold ? 0.58 : 0.54);
const LOOK: PaperLook = { size: 'a4', large: false, measure };
const LARGE: PaperLook = { size: 'letter', large: true, measure };
const pagesOf = (wish: PaperWish, look = LOOK) => paperParts(wish, look).flatMap((part) => part());
const textsOf = ({ nodes }: PaperPage) => nodes.flatMap((node) => (node.type === 'text' ? [node] : []));
const wordsOf = (pages: readonly PaperPage[]) => pages.flatMap((page) => textsOf(page).map(({ text }) => text));
const dialsOf = (pages: readonly PaperPage[]) =>
  pages.flatMap(({ nodes }) => nodes.filter((node): node is GroupNode => node.type === 'group' && node.role === 'dial'));
/** Names of the parts that are drawn of a dial. */
const partsOf = ({ nodes }: { readonly nodes: readonly SceneNode[] }): string[] =>
  nodes.flatMap((node) => [node.id, ...(node.type === 'group' ? partsOf(node) : [])]);

test.each(RUNG_IDS)('the chart of %s has a dial, the digits and the words of each of its times, and all sentences to go by', (rung) => {
  for (const settings of [DEFAULT_SETTINGS, { ...DEFAULT_SETTINGS, pack: 'de', separator: '.' } as const]) {
    const { entries, lines } = referenceChart(rung, settings);
    const pages = pagesOf({ kind: 'chart', rung, settings });
    expect(pages).toHaveLength(1);
    expect(dialsOf(pages)).toHaveLength(entries.length);
    const said = wordsOf(pages).join(' ');
    for (const { display, words } of entries) for (const text of [display, ...words.split(' ')]) expect(said).toContain(text);
    for (const sentence of lines) for (const text of sentence.split(' ')) expect(said).toContain(text);
  }
});

test('the line of the day has every hour once, midnight at both ends, and the class’s own times where they belong', () => {
  const events = [
    { atSec: secondOfDay(8, 30), text: 'The ferry leaves' },
    { atSec: secondOfDay(19, 0), text: 'Supper' },
  ];
  const [page] = pagesOf({ kind: 'day-line', events, tongue: 'en' });
  const hours = textsOf(page!).filter(({ text, bold }) => bold && /^\d+$/.test(text));
  expect(hours.map(({ text }) => Number(text))).toEqual([12, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
  const at = (text: string) => textsOf(page!).find((one) => one.text.startsWith(text))!;
  const [eight, nine, supper] = [hours[8]!, hours[9]!, at('Supper')];
  // Half past eight stands half way between 8 and 9, over that strip and no other.
  expect(at('The ferry').x).toBeCloseTo((eight.x + nine.x) / 2 + 3, 0);
  expect(at('The ferry').y).toBeLessThan(eight.y);
  expect(supper.y).toBeGreaterThan(hours[12]!.y);
});

test('strips of an hour are as long as each other, however often they are cut', () => {
  for (const look of [LOOK, LARGE]) {
    const [page] = pagesOf({ kind: 'fraction-strip', tongue: 'en' }, look);
    const middles = textsOf(page!).filter(({ anchor }) => anchor === 'middle');
    const rows = [...new Set(middles.map(({ y }) => Math.round(y / 40)))];
    expect(rows.length).toBeGreaterThanOrEqual(4);
    // A part for each cut: one whole, two halves, four quarters, twelve fives.
    const places = new Set(middles.map(({ x, y }) => `${Math.round(x)} ${Math.round(y / 60)}`));
    expect(places.size).toBeGreaterThanOrEqual(1 + 2 + 4 + 12);
    const area = areaOf(look);
    for (const { x } of middles) expect([x > area.x, x < area.x + area.width]).toEqual([true, true]);
  }
});

test('short hands that are to be read stand alone on their dials, beside one whose zones are cut', () => {
  const pages = pagesOf({ kind: 'zones', tongue: 'de' });
  const [empty, ...asked] = dialsOf(pages);
  expect(asked).toHaveLength(4);
  expect(partsOf(empty!).filter((id) => /hand/.test(id))).toEqual([]);
  for (const dial of asked) {
    expect(partsOf(dial).some((id) => id.startsWith('hour-hand'))).toBe(true);
    expect(partsOf(dial).some((id) => id.startsWith('minute-hand'))).toBe(false);
  }
  for (const dial of [empty!, ...asked]) expect(partsOf(dial).filter((id) => id.startsWith('ray-'))).toHaveLength(12);
});

test('daily cards go on where the last ones ended, each with its time in digits and in words', () => {
  const pattern = { firstSec: secondOfDay(8, 0), stepsMin: [30, 15] };
  for (const [look, each] of [
    [LOOK, 5],
    [LARGE, 3],
  ] as const) {
    const pages = pagesOf({ kind: 'daily-cards', pattern, from: 6, count: 7, settings: DEFAULT_SETTINGS }, look);
    expect(pages).toHaveLength(Math.ceil(7 / each));
    expect(dialsOf(pages)).toHaveLength(7);
    const digits = wordsOf(pages).filter((text) => /^\d+:\d\d$/.test(text));
    expect(digits).toEqual(Array.from({ length: 7 }, (_, card) => displayText(cardTime(pattern, 6 + card), ':')));
    expect(wordsOf(pages).filter((text) => /\b(6|12)\b/.test(text) && !/:/.test(text)).length).toBeGreaterThanOrEqual(2);
  }
});

test('a lesson on its page has the answer to each of its questions for the teacher', () => {
  const items: Item[] = [
    { id: 'q1', kind: 'read-dial', timeSec: secondOfDay(7, 45) },
    { id: 'q2', kind: 'set-dial', timeSec: secondOfDay(2, 30), from: 'words', hands: 'geared' },
  ];
  const said = wordsOf(pagesOf({ kind: 'lesson', lesson: lessonAsking(items, { title: 'Quarters at the tide gauge' }) })).join(' ');
  expect(said).toContain('Quarters at the tide gauge');
  for (const item of items)
    for (const text of kindOf(item).keySentence(item, DEFAULT_SETTINGS).split(' ').slice(0, 4)) expect(said).toContain(text);
});

test('blocks come in their order, none is broken over two pages or lies upon another, and narrow ones share a row', () => {
  const anyBlock = fc.record({ wide: fc.boolean(), height: fc.integer({ min: 10, max: 300 }) });
  fc.assert(
    fc.property(fc.array(anyBlock, { minLength: 1, maxLength: 30 }), fc.constantFrom(1 as const, 2 as const), (wanted, columns) => {
      const drawn = new Map<number, { x: number; top: number; width: number; page: number }>();
      const blocks = wanted.map(({ wide, height }, index): Block => ({
        wide,
        draw: (x, top, width) => {
          drawn.set(index, { x, top, width, page: -1 });
          return { nodes: [word(String(index), x, top, { size: 10 })], height };
        },
      }));
      const pages = flow(blocks, { title: 'All', columns, foot: 'foot' }, LOOK);
      const area = areaOf(LOOK);
      const found = pages.flatMap((page, number) =>
        textsOf(page)
          .filter(({ text }) => /^\d+$/.test(text))
          .map(({ text }) => [Number(text), number] as const),
      );
      expect(found.map(([index]) => index)).toEqual(wanted.map((_, index) => index));
      const placed = found.map(([index, page]) => ({ ...drawn.get(index)!, page, ...wanted[index]! }));
      placed.forEach((one, index) => {
        expect(one.top + one.height).toBeLessThanOrEqual(area.y + area.height);
        const before = placed[index - 1];
        if (before?.page !== one.page) return;
        const isBeside = before.top === one.top;
        expect(isBeside ? before.x + before.width < one.x && !before.wide && !one.wide : before.top + before.height < one.top).toBe(true);
      });
      expect(pages.every(({ title }) => title.startsWith('All'))).toBe(true);
    }),
    { numRuns: 80 },
  );
});
