import { all, answered } from '../testing/insight.js';
import { itemFacts } from './item-facts.js';
import { stoodOut, type LessonSeen } from './stood-out.js';

const SHOWN = ['7:30', '2:45', '10:50', '4:15'];
const factsOf = (answers: Parameters<typeof itemFacts>[1], shown = SHOWN) =>
  new Map(itemFacts(shown, answers).map((one) => [one.askingId, one]));
const right = (shown: string) => shown;
const CAN = ['a', 'b', 'c', 'd', 'e'];
const CANNOT = ['p', 'q', 'r', 's', 't'];

test('answers are counted and grouped by what was given, the right ones first, then the most frequent', () => {
  const {
    groups,
    answered: count,
    right: rights,
    facility,
  } = factsOf([
    answered('a', '7:30', '8:30'),
    answered('b', '7:30', '7:30'),
    answered('c', '7:30', '8:30'),
    answered('d', '7:30', '7:06'),
    answered('e', '7:30', '?'),
  ]).get('7:30')!;
  expect(groups.map(({ text, right: isRight, answers }) => [text, isRight, answers.map(({ pupilId }) => pupilId).join('')])).toEqual([
    ['7:30', true, 'b'],
    ['8:30', false, 'ac'],
    ['7:06', false, 'd'],
    [expect.any(String), false, 'e'],
  ]);
  expect([count, rights]).toEqual([5, 1]);
  expect(facility![0]).toBeLessThan(0.2);
  expect(facility![1]).toBeGreaterThan(0.2);
  expect(factsOf([]).get('7:30')).toMatchObject({ answered: 0, facility: null, groups: [], halfSec: null });
});

test('an item separates those who can from those who cannot, the wrong way round, or tells nothing', () => {
  const others = ['2:45', '10:50', '4:15'];
  const rest = [...CAN.flatMap((id) => all(id, others, right)), ...CANNOT.flatMap((id) => all(id, others, () => '1:11'))];
  const with730 = (can: string, cannot: string) =>
    factsOf([...rest, ...CAN.map((id) => answered(id, '7:30', can)), ...CANNOT.map((id) => answered(id, '7:30', cannot))]).get('7:30')!;
  expect(with730('7:30', '8:30').separates).toBe('separates');
  expect(with730('8:30', '7:30').separates).toBe('backwards');
  expect(with730('7:30', '7:30').separates).toBe('all-right');
  expect(with730('8:30', '8:30').separates).toBe('all-wrong');
  expect(factsOf(CAN.slice(0, 3).map((id) => answered(id, '7:30', id === 'a' ? '8:30' : '7:30'))).get('7:30')!.separates).toBe('too-few');
});

test('a key looks doubtful where most of those who got the rest right gave one and the same other answer', () => {
  const others = ['2:45', '10:50', '4:15'];
  const rest = CAN.flatMap((id) => all(id, others, right));
  const doubtful = factsOf([...rest, ...CAN.map((id) => answered(id, '7:30', id === 'e' ? '7:30' : '8:30'))]).get('7:30')!;
  expect(doubtful.doubt?.text).toBe('8:30');
  const scattered = factsOf([...rest, ...CAN.map((id, place) => answered(id, '7:30', `${place + 1}:30`))]).get('7:30')!;
  expect(scattered.doubt).toBeNull();
});

test('times are of devices alone, from three answers on', () => {
  const timed = (ms: readonly number[], source: 'device' | 'paper' = 'device') =>
    factsOf(ms.map((responseTimeMs, place) => answered(CAN[place]!, '7:30', '7:30', { responseTimeMs, source }))).get('7:30')!;
  expect(timed([4000, 9000, 20_000])).toMatchObject({ halfSec: 9, mostSec: 9 });
  expect(timed([4000, 9000])).toMatchObject({ halfSec: null, mostSec: null });
  expect(timed([0, 0, 0, 0], 'paper').halfSec).toBeNull();
});

test('what stood out: at most five sentences, each with the answers that it is about', () => {
  const answers: LessonSeen['answers'] = [
    ...['a', 'b', 'c'].map((id) => ({ ...answered(id, '7:30', '8:30'), ideas: ['coming-hour' as const] })),
    ...['d', 'e', 'p'].map((id) => ({ ...answered(id, '7:30', id === 'p' ? '?' : '7:30'), ideas: [] })),
    ...['a', 'b', 'c', 'd', 'e'].map((id) => ({ ...answered(id, '2:45', '2:45'), ideas: [] })),
    ...['a', 'b', 'c', 'd'].map((id) => ({ ...answered(id, '7:30', '7:30'), id: `${id} again`, askingId: 'again', ideas: [] })),
  ];
  const questions = itemFacts(['7:30', '2:45', 'again'], answers).map((facts, place) => ({
    name: String(place + 1),
    facts,
    againOf: facts.askingId === 'again' ? '7:30' : null,
  }));
  const said = stoodOut({ questions, answers });
  expect(said.map(({ text }) => text)).toEqual([
    '“Says the coming hour” would explain answers of 3 pupils, in question 1.',
    'Asked again, question 1 was right for 4 of 4; at first for 2 of 6.',
    'Question 1 was the hardest: right for 2 of 6.',
    'Question 2 was right for everybody: nothing was to be found out there.',
  ]);
  for (const { answers: shows } of said) expect(shows.length).toBeGreaterThan(0);
  expect(said[0]!.answers.map(({ pupilId }) => pupilId)).toEqual(['a', 'b', 'c']);
  expect(stoodOut({ questions: [], answers: [] })).toEqual([]);
});

test('whoever had fewer than half right stands out where no idea and no number of pupils shows it', () => {
  const times = ['7:30', '2:45', '1:35'];
  const of = (id: string, ...given: string[]) => times.map((time, place) => ({ ...answered(id, time, given[place]!), ideas: [] }));
  const said = (...answers: LessonSeen['answers'][]) =>
    stoodOut({ questions: itemFacts(times, answers.flat()).map((facts) => ({ name: facts.askingId, facts, againOf: null })), answers: answers.flat() }); // prettier-ignore
  const able = of('a', '7:30', '2:45', '4:10');
  const [found] = said(able, of('b', '?', '?', '1:35'), of('c', '9:01', '9:02', '9:03'));
  expect(found!.text).toBe('2 pupils had fewer than half of their answers right. “Not sure” was said twice.');
  expect(found!.answers.map(({ pupilId }) => pupilId).join('')).toBe('bbccc');
  // Half is not fewer than half, and two answers are too few to say so.
  expect(said(able, of('b', '7:30', '2:45', '9:03'), of('c', '9:01', '9:02', '').slice(0, 2))).toEqual([]);
});
