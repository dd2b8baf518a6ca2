import fc from 'fast-check';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { RUNGS, RUNG_IDS } from '../ladder/registry.js';
import { markOf } from '../question-kinds/marking.js';
import { kindOf, QUESTION_KINDS, type Item, type QuestionKindId } from '../question-kinds/registry.js';
import { seededRng } from '../random/rng.js';
import { readForeign } from './in/foreign.js';
import { readPackage } from './in/package-in.js';
import { qtiItem } from './out/item-out.js';
import { qtiPackage } from './out/package-out.js';
import { MANIFEST, OWN_ITEM } from './standard.js';
import { childrenOf, textWithin, within, xml, xmlText, type XmlElement } from './xml.js';

/** An item as another program would write it: without what only this one reads. */
const asTheirs = (root: XmlElement): XmlElement => {
  const { [OWN_ITEM]: _own, ...attributes } = root.attributes;
  return { ...root, attributes, children: root.children.map((child) => (typeof child === 'string' ? child : asTheirs(child))) };
};
const made = (kind: QuestionKindId, seed: number) => {
  const rng = seededRng(seed);
  const rung = RUNGS[RUNG_IDS[seed % RUNG_IDS.length]!];
  return QUESTION_KINDS[kind].make('q1', rng, rung, DEFAULT_SETTINGS) as Item;
};
const keySentence = (item: Item) => kindOf(item).keySentence(item, DEFAULT_SETTINGS);
const seeds = fc.nat(1_000_000);

test.each<QuestionKindId>(['choose-one', 'write-display', 'write-words', 'match', 'order-times'])(
  'whatever is taken of %s written by another program has the answer that it had there; the rest is left with a reason',
  (kind) => {
    let taken = 0;
    fc.assert(
      fc.property(seeds, (seed) => {
        const item = made(kind, seed);
        const read = readForeign(asTheirs(qtiItem(item, DEFAULT_SETTINGS).document), 'q1', DEFAULT_SETTINGS);
        if ('why' in read) return expect(read.why).toMatch(/^[A-Z].+\.$/);
        taken += 1;
        expect(keySentence(read.item)).toBe(keySentence(item));
        const { key, response } = {
          key: kindOf(item).keyOf(item, DEFAULT_SETTINGS),
          response: kindOf(read.item).keyOf(read.item, DEFAULT_SETTINGS),
        };
        // What was right there is marked right here.
        expect(markOf(read.item, key, DEFAULT_SETTINGS).verdict).toBe('right');
        expect(markOf(item, response, DEFAULT_SETTINGS).verdict).toBe('right');
      }),
      { numRuns: 120 },
    );
    expect(taken).toBeGreaterThan(0);
  },
);

test('every item declares as many right answers as its interactions ask for, under the names that they answer to', () => {
  fc.assert(
    fc.property(fc.constantFrom(...(Object.keys(QUESTION_KINDS) as QuestionKindId[])), seeds, (kind, seed) => {
      const { document } = qtiItem(made(kind, seed), DEFAULT_SETTINGS);
      const [body] = childrenOf(document, 'qti-item-body');
      const asked = new Set(namesIn(body!));
      const declared = childrenOf(document, 'qti-response-declaration').map(({ attributes }) => attributes['identifier']!);
      expect(new Set(declared)).toEqual(asked);
      expect(new Set(declared).size).toBe(declared.length);
      const identifiers = within(body!, 'qti-simple-choice').map(({ attributes }) => attributes['identifier']);
      for (const declaration of childrenOf(document, 'qti-response-declaration')) {
        const values = within(declaration, 'qti-value').map(textWithin);
        const { cardinality, 'base-type': baseType } = declaration.attributes;
        if (cardinality === 'single') expect(values).toHaveLength(1);
        if (baseType === 'identifier' && identifiers.length > 0) expect(identifiers).toEqual(expect.arrayContaining(values));
      }
    }),
    { numRuns: 200 },
  );
});

/** The responses that the interactions within an element answer to. */
const namesIn = (element: XmlElement): string[] =>
  element.children.flatMap((child) => {
    if (typeof child === 'string') return [];
    const own = child.attributes['response-identifier'];
    return [...(own === undefined ? [] : [own]), ...namesIn(child)];
  });

test('a package names every file that it holds, and nothing twice', () => {
  const items = (['write-display', 'match', 'set-dial', 'choose-one'] as const).map((kind, index) => ({
    ...made(kind, 7),
    id: `i${index}`,
  }));
  const { files } = qtiPackage(items, DEFAULT_SETTINGS);
  const named = [...files.get(MANIFEST)!.matchAll(/href="([^"]+)"/g)].map(([, path]) => path!);
  expect(new Set(named)).toEqual(new Set([...files.keys()].filter((path) => path !== MANIFEST)));
});

test('a manifest that names what is not there, and more questions than a lesson holds, are left with the reason', () => {
  const document = asTheirs(qtiItem({ id: 'a', kind: 'write-display', timeSec: 27_000 }, DEFAULT_SETTINGS).document);
  const resource = (href: string, type = 'imsqti_item_xmlv3p0') => xml('resource', { identifier: href, type, href });
  const manifest = xml(
    'manifest',
    {},
    xml(
      'resources',
      {},
      resource('a.xml'),
      resource('gone.xml'),
      resource('test.xml', 'imsqti_test_xmlv3p0'),
      resource('b.xml'),
      resource('p.png', 'webcontent'),
    ),
  );
  const documents: Record<string, XmlElement> = { 'a.xml': document, 'b.xml': document };
  const read = readPackage(
    manifest,
    (path) => documents[path] ?? null,
    () => null,
    DEFAULT_SETTINGS,
    1,
  );
  expect(read.taken.map(({ file, whole }) => [file, whole])).toEqual([['a.xml', false]]);
  expect(read.left).toEqual([
    { file: 'gone.xml', why: 'The package names this file and does not hold it.' },
    { file: 'test.xml', why: 'Only questions are read, and this is of the type imsqti_test_xmlv3p0.' },
    { file: 'b.xml', why: 'A lesson has 1 questions at most.' },
  ]);
});

test('no text and no attribute breaks out of its place in a document', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (text) => {
      const written = xmlText(xml('a', { b: text }, text, xml('c')));
      const [, attribute, inside] = /^<\?xml [^>]*\?>\n<a b="([^"]*)">([^<]*)<c\/><\/a>\n$/u.exec(written)!;
      expect(attribute).toBe(inside);
      expect([...inside!].filter((sign) => sign < ' ')).toEqual([]);
      expect(inside).not.toMatch(/[<>"\uFFFE\uFFFF]|&(?!(amp|lt|gt|quot|#9|#10);)/u);
    }),
  );
});
