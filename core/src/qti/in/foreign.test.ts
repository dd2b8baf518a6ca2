import { DEFAULT_SETTINGS } from '../../lesson/settings.js';
import { secondOfDay } from '../../time/second-of-day.js';
import { xml, type XmlElement } from '../xml.js';
import { readForeign } from './foreign.js';

/** An item of another program, as short as the standard lets it be. */
const item = (correct: readonly string[], cardinality: string, ...body: XmlElement[]): XmlElement =>
  xml(
    'qti-assessment-item',
    { identifier: 'theirs' },
    xml(
      'qti-response-declaration',
      { identifier: 'R', cardinality },
      correct.length > 0 && xml('qti-correct-response', {}, ...correct.map((value) => xml('qti-value', {}, value))),
    ),
    xml('qti-item-body', {}, ...body),
  );
const p = (text: string) => xml('p', {}, text);
const choices = (of: Record<string, string>, name = 'qti-choice-interaction', prompt = 'Which clock says half past four?') =>
  xml(
    name,
    { 'response-identifier': 'R' },
    xml('qti-prompt', {}, prompt),
    ...Object.entries(of).map(([identifier, text]) => xml('qti-simple-choice', { identifier }, text)),
  );
const entry = xml('qti-text-entry-interaction', { 'response-identifier': 'R' });
const pairs = (left: Record<string, string>, right: Record<string, string>) =>
  xml(
    'qti-match-interaction',
    { 'response-identifier': 'R' },
    ...[left, right].map((set) =>
      xml(
        'qti-simple-match-set',
        {},
        ...Object.entries(set).map(([identifier, text]) => xml('qti-simple-associable-choice', { identifier }, text)),
      ),
    ),
  );
const read = (element: XmlElement) => readForeign(element, 'q9', DEFAULT_SETTINGS);
const why = (element: XmlElement) => {
  const found = read(element);
  return 'why' in found ? found.why : JSON.stringify(found.item);
};

test('what is surely a question about the clock is taken, with the answer that it has there', () => {
  expect(read(item(['B'], 'single', choices({ A: '4:00', B: '4:30', C: '5:30' })))).toEqual({
    item: {
      id: 'q9',
      kind: 'choose-one',
      timeSec: secondOfDay(4, 30),
      from: 'words',
      choices: [{ text: '4:00' }, { text: '4:30' }, { text: '5:30' }],
    },
  });
  expect(read(item(['4:30'], 'single', p('Write half past four in digits.'), entry))).toEqual({
    item: { id: 'q9', kind: 'write-display', timeSec: secondOfDay(4, 30) },
  });
  expect(read(item(['half past four'], 'single', p('Write 4:30 in words.'), entry))).toEqual({
    item: { id: 'q9', kind: 'write-words', timeSec: secondOfDay(4, 30), from: 'display', lines: 1 },
  });
  expect(
    read(item(['a 2', 'b 1'], 'multiple', pairs({ a: '4:30', b: '7:00' }, { 1: 'seven o’clock', 2: 'half past four' }))),
  ).toMatchObject({
    item: { kind: 'match', left: 'display', right: 'words', times: [secondOfDay(4, 30), secondOfDay(7, 0)] },
  });
  const cards = { A: '7:00', B: '4:30', C: '5:15' };
  expect(read(item(['B', 'C', 'A'], 'ordered', choices(cards, 'qti-order-interaction', 'First to last.')))).toMatchObject({
    item: { kind: 'order-times', as: 'display' },
  });
});

test.each<[string, XmlElement, RegExp]>([
  ['without a body', xml('qti-assessment-item', {}), /no body/],
  ['that asks for nothing', item(['x'], 'single', p('Half past four.')), /asks for no answer/],
  ['that asks twice', item(['4:30'], 'single', entry, entry), /several answers at once/],
  [
    'that is answered by drawing',
    item(['x'], 'single', xml('qti-drawing-interaction', { 'response-identifier': 'R' })),
    /\(qti-drawing-interaction\)/,
  ],
  ['that does not say what is right', item([], 'single', choices({ A: '4:30', B: '5:30' })), /does not say what is right/],
  ['about nothing of the clock', item(['A'], 'single', choices({ A: '4:30', B: '5:30' }, undefined, 'Which is it?')), /no|nothing/],
  ['with a choice that is no time', item(['A'], 'single', choices({ A: '4:30', B: 'a boat' })), /Not all of its choices/],
  [
    'with too many choices',
    item(['A'], 'single', choices({ A: '4:30', B: '1:00', C: '2:00', D: '3:00', E: '5:00', F: '6:00' })),
    /6 choices; there may be 2 to 5/,
  ],
  ['whose answer would be wrong here', item(['A'], 'single', choices({ A: '4:00', B: '4:30' })), /another answer would be right/],
  ['whose answer is no time', item(['a boat'], 'single', p('Write half past four in digits.'), entry), /no time in words or digits/],
  ['that asks for another time than it gives', item(['5:30'], 'single', p('Write half past four in digits.'), entry), /another time/],
  ['that gives the time as it asks for it', item(['4:30'], 'single', p('Write 4:30.'), entry), /in the way in which it asks/],
  [
    'with words and digits mixed',
    item(['a 1', 'b 2'], 'multiple', pairs({ a: '4:30', b: 'seven o’clock' }, { 1: 'half past four', 2: '7:00' })),
    /mixed on one side/,
  ],
  ['with one pair', item(['a 1'], 'multiple', pairs({ a: '4:30' }, { 1: 'half past four' })), /two to four/],
  ['that puts two in order', item(['A', 'B'], 'ordered', choices({ A: '4:30', B: '5:30' }, 'qti-order-interaction')), /puts 2 in order/],
  [
    'that puts boats in order',
    item(['A', 'B', 'C'], 'ordered', choices({ A: 'x', B: 'y', C: 'z' }, 'qti-order-interaction')),
    /Not all that is put in order/,
  ],
])('an item %s is left, with the reason', (_what, element, reason) => {
  expect(why(element)).toMatch(reason);
  expect(why(element)).toMatch(/^[A-Z].*\.$/);
});

test('an item with a picture that nobody reads here says so, and not that it asks nothing', () => {
  const picture = xml('img', { src: 'clock.png', alt: '' });
  const withPicture = item(['4:30'], 'single', xml('p', {}, 'What time is it?', picture), entry);
  expect(why(withPicture)).toMatch(/picture/);
  const pictured = xml(
    'qti-choice-interaction',
    { 'response-identifier': 'R' },
    ...['A', 'B'].map((identifier) => xml('qti-simple-choice', { identifier }, picture)),
  );
  expect(why(item(['A'], 'single', p('Which clock says half past four?'), pictured))).toMatch(/choices are pictures/);
});
