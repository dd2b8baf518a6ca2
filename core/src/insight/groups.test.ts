import fc from 'fast-check';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { RUNG_IDS } from '../ladder/registry.js';
import { all, answered, DAY_MS } from '../testing/insight.js';
import { simulatedClass } from '../testing/simulated-class.js';
import { changeBetween } from './change.js';
import { groupsFor, MOST_GROUPS, type GroupKey } from './groups.js';
import { homePage } from './home-page.js';
import { InsightBook } from './insight-book.js';
import type { InsightAnswer } from './insight-answer.js';

const NOW = 10 * DAY_MS;
const TO = ['2:45', '7:45', '10:45', '5:45', '8:45', '11:45', '3:45', '9:45'];
const PAST = ['2:15', '7:15', '10:15', '5:15', '8:15', '11:15', '3:15', '9:15'];
const right = (shown: string) => shown;
/** The nearest hour at quarter to: 2:45 is read 3:45. */
const nearest = (shown: string) => shown.replace(/^\d+/, (hour) => String(Number(hour) + (shown.endsWith(':45') ? 1 : 0)));
const at = (days: number, sessionId = 's1') => ({ atMs: NOW - days * DAY_MS, sessionId });
const NAMES = ['Anouk', 'Bashir', 'Ceri', 'Dov', 'Elin', 'Femi'];
const pupils = NAMES.map((name) => ({ id: name, name }));
const pictureOf = (answers: readonly InsightAnswer[], nowMs = NOW) => {
  const book = new InsightBook(pupils, answers);
  return book.picture(pupils.map(({ id }) => book.pupil(id, nowMs)), nowMs); // prettier-ignore
};
const CLASS = [
  ...all('Anouk', [...PAST, ...TO], nearest, at(1)),
  ...all('Bashir', [...PAST, ...TO], nearest, at(1)),
  ...all('Ceri', [...PAST, ...TO], right, at(1)),
  ...all('Dov', [...PAST, ...TO], right, at(1)),
  ...all('Elin', [...PAST, ...TO], (shown) => (Number(shown.split(':')[0]) % 3 === 2 ? '1:11' : shown), at(1)),
  answered('Femi', '2:15', '2:15', at(1)),
];
const shape = (groups: ReturnType<typeof groupsFor>) =>
  Object.fromEntries(groups.groups.map(({ key, pupils: list }) => [key, list.map(({ name }) => name)]));

test('groups come from shared ideas, then from rungs; of whom too little is known is looked at first, with the reason', () => {
  const groups = groupsFor(pictureOf(CLASS));
  expect(shape(groups)).toEqual({
    'idea:nearest-hour': ['Anouk', 'Bashir'],
    'rung:quarter-past': ['Elin'],
    'next:five-past': ['Ceri', 'Dov'],
  });
  expect(groups.lookFirst).toEqual([{ id: 'Femi', name: 'Femi', why: 'one answer so far' }]);
  const [idea] = groups.groups;
  expect(idea).toMatchObject({ rung: 'quarter-to', reason: 'Seen in 16 of 16 answers that could show it: settled.' });
  expect(idea!.ideas[0]).toEqual({ id: 'nearest-hour', weight: 2 });
  expect(groups.groups[2]!.reason).toBe('Sure of quarter past and quarter to, and no wrong idea shows.');
  for (const { ideas, nextMove } of groups.groups) expect([ideas.length > 0, nextMove.length > 10]).toEqual([true, true]);
});

test('what a pupil holds and their group does not work on is a follow-up beside it', () => {
  const groups = groupsFor(pictureOf(CLASS), [{ pupilId: 'Bashir', key: 'next:five-past' }]);
  expect(groups.besides).toEqual([{ idea: 'nearest-hour', rung: 'quarter-to', pupils: [{ id: 'Bashir', name: 'Bashir' }] }]);
  expect(groupsFor(pictureOf(CLASS)).besides).toEqual([]);
});

test('of simulated classes at least two thirds of those who hold an idea are in a group that works on one of theirs, in four groups at most', () => {
  let [holders, inGroup, followedUp] = [0, 0, 0];
  for (const seed of [1, 4]) {
    const { book, held } = simulatedClass(RUNG_IDS.slice(seed, seed + 3), seed);
    const groups = groupsFor(book.picture(book.pupils.map(({ id }) => book.pupil(id, NOW)), NOW)); // prettier-ignore
    expect(groups.groups.length).toBeLessThanOrEqual(MOST_GROUPS);
    for (const [id, ideas] of held) {
      if (ideas.length === 0) continue;
      const group = groups.groups.find((one) => one.pupils.some((pupil) => pupil.id === id));
      const worked = group ? [group.key.replace('idea:', ''), ...group.also] : [];
      const beside = groups.besides.filter((one) => one.pupils.some((pupil) => pupil.id === id)).map(({ idea }) => idea);
      holders += 1;
      inGroup += Number(ideas.some((idea) => worked.includes(idea)));
      followedUp += Number(ideas.some((idea) => [...worked, ...beside].includes(idea)));
    }
  }
  expect(inGroup / holders).toBeGreaterThan(2 / 3);
  expect(followedUp / holders).toBeGreaterThan(0.85);
});

test('the teacher’s own moves are kept, into whatever group they go, and are taken back', () => {
  const picture = pictureOf(CLASS);
  const moves = [
    { pupilId: 'Ceri', key: 'idea:nearest-hour' as const },
    { pupilId: 'Femi', key: 'rung:whole-hours' as const },
  ];
  const moved = groupsFor(picture, moves);
  expect(shape(moved)).toMatchObject({ 'idea:nearest-hour': ['Anouk', 'Bashir', 'Ceri'], 'rung:whole-hours': ['Elin', 'Femi'] });
  expect(moved.lookFirst).toEqual([]);
  expect(moved.groups[0]!.pupils.map(({ moved: own }) => own)).toEqual([false, false, true]);
  expect(moved.groups[0]!.reason).toContain('16 of 16');
});

test('whatever was answered: at most four groups, everybody in one of them or looked at first, nobody twice', () => {
  const answer = fc.tuple(fc.constantFrom(...NAMES), fc.constantFrom(...TO, ...PAST), fc.constantFrom(right, nearest, () => '6:09', () => '?'), fc.nat(60)); // prettier-ignore
  const move = fc.tuple(fc.constantFrom(...NAMES), fc.constantFrom<GroupKey>('idea:hands-exchanged', 'rung:half-past', 'next:seconds'));
  fc.assert(
    fc.property(fc.array(answer, { maxLength: 60 }), fc.array(move, { maxLength: 3 }), (list, moves) => {
      const answers = list.map(([pupil, shown, typed, days], place) => ({
        ...answered(pupil, shown, typed(shown), at(days)),
        id: String(place),
      }));
      const { groups, lookFirst } = groupsFor(
        pictureOf(answers),
        [...new Map(moves)].map(([pupilId, key]) => ({ pupilId, key })),
      );
      expect(groups.length).toBeLessThanOrEqual(MOST_GROUPS);
      const named = [...groups.flatMap((group) => group.pupils.map(({ id }) => id)), ...lookFirst.map(({ id }) => id)];
      expect([...named].sort()).toEqual(NAMES);
      for (const [pupil, key] of new Map(moves))
        expect(groups.find((group) => group.key === key)!.pupils.map(({ id }) => id)).toContain(pupil);
      for (const { pupils: members } of groups) expect(members.length).toBeGreaterThan(0);
    }),
    { numRuns: 60 },
  );
});

test('whoever holds an idea that is no group’s practises and does not go on', () => {
  const many = ['1', '2', '3', '4', '5'].flatMap((digit) => all(NAMES[Number(digit)]!, [...PAST, ...TO], right, at(1)));
  const { groups } = groupsFor(pictureOf([...many, ...all('Anouk', [...PAST, ...TO], nearest, at(1))]));
  const ready = groups.find(({ key }) => key.startsWith('next:'))!;
  expect(ready.pupils.map(({ name }) => name)).toEqual(NAMES.slice(1));
});

test('a rung that was not asked for long does not hold back whoever is sure of one further up', () => {
  const old = [...PAST.slice(0, 4), ...PAST.slice(4).map((shown) => shown)];
  const answers = [...all('Ceri', old, (shown) => (shown === '2:15' ? '1:11' : shown), at(45, 's0')), ...all('Ceri', TO, right, at(1))];
  const picture = pictureOf(answers);
  expect(picture.pupils[2]!.mastery['quarter-past']!.word).not.toBe('sure');
  expect(shape(groupsFor(picture))).toEqual({ 'next:five-past': ['Ceri'] });
});

test('a change is told only when it can be: two lessons apart, and not from a few answers', () => {
  const before = ['Anouk', 'Bashir', 'Ceri', 'Dov'].flatMap((name) => all(name, TO, nearest, at(40)));
  const after = ['Anouk', 'Bashir', 'Ceri', 'Dov'].flatMap((name) => [
    ...all(name, TO, right, at(3, 's2')),
    ...all(name, TO, right, at(2, 's3')),
  ]);
  const book = new InsightBook(pupils, [...before, ...after]);
  const { rungs, ideas } = book.change(NOW - 5 * DAY_MS, NOW);
  expect(rungs).toEqual([{ id: 'quarter-to', change: expect.objectContaining({ word: 'more', pupils: 4 }) }]);
  expect(ideas.find(({ id }) => id === 'nearest-hour')!.change).toMatchObject({ word: 'less' });
  const few = new InsightBook(pupils, [answered('Anouk', '2:45', '3:45', at(9)), answered('Anouk', '7:45', '7:45', at(2, 's2'))]);
  expect(few.change(NOW - 5 * DAY_MS, NOW).rungs[0]!.change.word).toBe('none');
  expect(changeBetween(pictureOf([]), pictureOf([]))).toEqual({ rungs: [], ideas: [] });
});

test('a book finds answers again by pupil, rung, lesson or id, tells the weeks, and looks no further than it is asked', () => {
  const book = new InsightBook(pupils, [...all('Anouk', TO, nearest, at(9)), ...all('Anouk', PAST, right, at(2, 's2'))]);
  expect(book.answers({ pupilId: 'Anouk', rung: 'quarter-to' }).map(({ askingId }) => askingId).sort()).toEqual([...TO].sort()); // prettier-ignore
  expect(book.answers({ sessionId: 's2' })).toHaveLength(PAST.length);
  expect(book.answers({ pupilId: 'Anouk', untilMs: NOW - 5 * DAY_MS })).toHaveLength(TO.length);
  expect(book.answers({ ids: ['s1 Anouk 2:45', 'nobody'] })).toHaveLength(1);
  const weeks = book.weeks('Anouk');
  expect(weeks.map(({ sessionId, rungs, ideas }) => [sessionId, rungs.map(({ rung }) => rung).join(' '), ideas])).toEqual([
    ['s1', 'quarter-to', ['nearest-hour', 'coming-hour']],
    ['s2', 'quarter-past quarter-to', ['nearest-hour']],
  ]);
  expect(book.pupil('Anouk', NOW - 5 * DAY_MS)).toMatchObject({ answers: TO.length });
  expect(book.reached).toBe('quarter-to');
});

test('a page for home is kind: what works, what comes next, one thing to try; no ranks, no numbers, in the language of the class', () => {
  const { pupils: all6 } = pictureOf(CLASS);
  const pageOf = (name: string, pack: 'en-GB' | 'de' = 'en-GB') =>
    homePage(
      all6.find((one) => one.name === name)!,
      'quarter-to',
      { ...DEFAULT_SETTINGS, pack },
    );
  expect(pageOf('Ceri')).toMatchObject({
    can: 'Ceri is sure of quarter past and quarter to.',
    next: 'Next in class: five-minute steps past the hour.',
  });
  expect(pageOf('Anouk').tryThis).toMatch(/short hand/);
  expect(pageOf('Femi').can).toBe('Femi has begun to read the clock.');
  for (const name of NAMES) {
    for (const pack of ['en-GB', 'de'] as const) {
      const text = Object.values(pageOf(name, pack)).join(' ');
      expect(text).not.toMatch(/%|\d+ of \d+|wrong|misconception|worse|better|weak|falsch|schlecht|undefined/i);
      expect(text.length).toBeGreaterThan(60);
    }
  }
});
