import { gearedPose } from '../dial/pose.js';
import { RUNGS } from '../ladder/registry.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { QUESTION_KINDS, type Item, type Response } from '../question-kinds/registry.js';
import { seededRng } from '../random/rng.js';
import { secondOfDay } from '../time/second-of-day.js';
import { designSet } from './design-set.js';
import { diagnose, type Answered, type IdeaFinding } from './diagnose.js';
import { measureDiagnosis, measureLettingGo } from './measure.js';
import { poolOf } from './pool.js';

const DAY_MS = 86_400_000;
const read = (hour: number, minute: number, typed: string, atMs = 0): Answered => {
  const [typedHour = '', typedMinute = ''] = typed.split(':');
  const item: Item = { id: `q${hour}-${minute}`, kind: 'read-dial', timeSec: secondOfDay(hour, minute) };
  const response: Response = typed === '?' ? { kind: 'not-sure' } : { kind: 'read-dial', hour: typedHour, minute: typedMinute };
  return { id: `${hour}:${minute}`, item, response, settings: DEFAULT_SETTINGS, atMs };
};
const findings = (answered: readonly Answered[], nowMs = 0) => diagnose(answered, nowMs).ideas;
const finding = (id: MisconceptionId, answered: readonly Answered[], nowMs = 0): IdeaFinding | undefined =>
  findings(answered, nowMs).find((one) => one.id === id);

const RIGHT = [read(2, 45, '2:45'), read(7, 40, '7:40'), read(10, 50, '10:50'), read(5, 35, '5:35')];
const NEAREST = [read(2, 45, '3:45'), read(7, 40, '8:40'), read(10, 50, '11:50'), read(5, 15, '5:15'), read(4, 20, '4:20')];

test('an idea that explains every answer is settled, with the answers that show it', () => {
  const found = finding('nearest-hour', NEAREST)!;
  expect(found).toMatchObject({ sureness: 'settled', chances: 3, hits: 3, evidence: ['10:50', '7:40', '2:45'] });
  expect(found.probability).toBeGreaterThan(0.9);
  // Whoever names the coming hour would have done so at quarter past, too.
  expect(finding('coming-hour', NEAREST)!.probability).toBeLessThan(0.1);
});

test('two ideas explain one answer: the blame is shared, and further answers tell them apart', () => {
  const both = [read(2, 45, '3:45'), read(8, 40, '9:40')];
  const share = (answered: readonly Answered[]) =>
    ['nearest-hour', 'coming-hour'].map((id) => finding(id as MisconceptionId, answered)!.probability);
  const [nearest, coming] = share(both);
  expect(nearest! / coming!).toBeCloseTo(1, 1);
  expect(nearest! + coming!).toBeGreaterThan(0.8);
  const [afterwards, other] = share([...both, read(4, 20, '5:20'), read(9, 10, '10:10')]);
  expect([afterwards! < 0.15, other! > 0.85]).toEqual([true, true]);
});

test('one slip among right answers is a one-off; a few wrong answers of all sorts are no idea', () => {
  expect(finding('nearest-hour', [...RIGHT, read(9, 55, '10:55')])!.sureness).toBe('one-off');
  const scattered = [read(2, 45, '7:20'), read(7, 40, '4:10'), read(10, 50, '10:53'), read(5, 35, '9:35'), read(3, 20, '?')];
  for (const { probability, sureness } of findings(scattered)) {
    expect(probability).toBeLessThan(0.5);
    expect(sureness).toMatch(/one-off|not-seen|too-few/);
  }
  expect(diagnose(scattered, 0).skill).toBeLessThan(diagnose(RIGHT, 0).skill - 0.2);
});

test('too few answers to say is an answer, and so is none', () => {
  expect(finding('nearest-hour', [read(2, 45, '3:45')])!.sureness).toBe('too-few');
  expect(diagnose([], 0)).toMatchObject({ ideas: [], answers: 0 });
  expect(finding('nearest-hour', RIGHT)).toMatchObject({ sureness: 'not-seen', hits: 0, chances: 4 });
});

test('two ideas at once are found, each with its own answers', () => {
  const answered = [
    read(2, 45, '3:09'), // both at once
    read(10, 50, '11:50'),
    read(7, 40, '8:40'),
    read(9, 55, '10:55'),
    read(3, 10, '3:02'),
    read(6, 25, '6:05'),
    read(4, 20, '4:04'),
  ];
  expect(finding('nearest-hour', answered)!.probability).toBeGreaterThan(0.8);
  expect(finding('numeral-as-minutes', answered)!.probability).toBeGreaterThan(0.8);
});

test('what was answered weeks ago counts less than what is answered now', () => {
  const old = NEAREST.map((one) => ({ ...one, id: `old ${one.id}` }));
  const taught = RIGHT.map((one) => ({ ...one, atMs: 42 * DAY_MS }));
  const now = finding('nearest-hour', [...old, ...taught], 42 * DAY_MS)!;
  const never = finding('nearest-hour', [...old, ...taught.map((one) => ({ ...one, atMs: 0 }))], 0)!;
  expect(now.probability).toBeLessThan(never.probability);
  expect(now.probability).toBeLessThan(0.2);
  expect(now.evidence).toHaveLength(3); // it stays to be looked at
});

test('simulated pupils with habits of their own are found out as often as is promised', () => {
  const { recall, precision, calibrationError } = measureDiagnosis({ pupils: 84, questions: 40, seed: 11 }).all;
  expect(recall).toBeGreaterThan(0.9);
  expect(precision).toBeGreaterThan(0.93);
  expect(calibrationError).toBeLessThan(0.05);
});

test('an idea that is let go of is said no more after a dozen answers that could have shown it, and not dropped for a single one', () => {
  const after = measureLettingGo({ pupils: 36, seed: 3 });
  const said = (answers: number) => {
    const one = after.find((row) => row.answers === answers)!;
    return one.said / one.pupils;
  };
  expect([said(0), said(12) < 0.1, said(1) > 0.4]).toEqual([1, true, true]);
});

test('who reads by an idea and sets hands right all the same is found, too', () => {
  const set = (hour: number, minute: number): Answered => {
    const at = secondOfDay(hour, minute);
    const item: Item = { id: `s${hour}-${minute}`, kind: 'set-dial', timeSec: at, from: 'display', hands: 'free' };
    return { id: item.id, item, response: { kind: 'set-dial', ...gearedPose(at) }, settings: DEFAULT_SETTINGS, atMs: 0 };
  };
  const reads = [read(2, 15, '3:15'), read(4, 20, '5:20'), read(9, 10, '10:10'), read(6, 25, '7:25')];
  const found = finding('coming-hour', [...reads, set(3, 15), set(5, 20), set(10, 10), set(7, 25)])!;
  expect(found).toMatchObject({ sureness: 'settled', hits: 4, chances: 8 });
});

test('what only two ideas together lead to is evidence of both', () => {
  const both = [
    read(8, 35, '9:07'),
    read(2, 40, '3:08'),
    read(7, 50, '8:10'),
    read(4, 55, '5:11'),
    read(10, 35, '11:35'),
    read(3, 20, '3:04'),
  ];
  const found = diagnose(both, 0).ideas;
  for (const id of ['nearest-hour', 'numeral-as-minutes'] as const) {
    const one = found.find((idea) => idea.id === id)!;
    expect([id, one.hits >= 5, one.evidence.includes('8:35')]).toEqual([id, true, true]);
  }
});

test('nothing is said of an idea that had two chances, however sure it looks', () => {
  expect(finding('nearest-hour', [read(2, 45, '3:45'), read(8, 40, '9:40')])!.sureness).toBe('too-few');
});

test('a settled idea of which nothing was asked for six weeks is not settled any more; when it was asked last is known', () => {
  const later = 42 * DAY_MS;
  expect(finding('nearest-hour', NEAREST, later)).toMatchObject({ sureness: 'likely', lastAskedMs: 0 });
});

describe('a designed set', () => {
  const rung = RUNGS['quarter-to'];
  const ideas = rung.misconceptions.map((id) => ({ id, weight: 1 }));
  const pool = [...poolOf(300, rung, DEFAULT_SETTINGS, 4)];
  const design = (wish: Partial<Parameters<typeof designSet>[1]> = {}, onProgress?: Parameters<typeof designSet>[6]) =>
    designSet(
      pool,
      { count: 6, ideas, ...wish },
      rung,
      DEFAULT_SETTINGS,
      seededRng(1),
      ({ kind }) => QUESTION_KINDS[kind].thinkSec,
      onProgress,
    );

  test('tells the ideas apart, repeats no question, and mixes kinds; the same seed gives the same', () => {
    const set = design()!;
    expect(set.items).toHaveLength(6);
    expect(new Set(set.items.map(({ id }) => id)).size).toBe(6);
    expect(new Set(set.items.map(({ kind }) => kind)).size).toBeGreaterThan(2);
    expect(set.bits / set.ofBits).toBeGreaterThan(0.7);
    expect(design()).toEqual(set);
    for (const { count } of set.chances) expect(count).toBeGreaterThan(0);
    // Three chances for each idea where there is room for them.
    const eight = design({ count: 9 })!.chances.filter(({ count }) => count >= 3);
    expect(eight.length).toBeGreaterThanOrEqual(ideas.length - 1);
  });

  test('holds what is pinned and nothing that is banned, and stays within its time', () => {
    const [first, second] = design()!.items;
    const pinned = pool[200]!.id;
    const set = design({ pins: [pinned], bans: [first!.id, second!.id], seconds: 100 })!;
    const ids = set.items.map(({ id }) => id);
    expect(ids).toContain(pinned);
    expect(ids).not.toContain(first!.id);
    expect(set.seconds).toBeLessThanOrEqual(100);
  });

  test('says which ideas it cannot tell apart', () => {
    const only = pool.filter((item) => item.kind === 'read-dial' && item.timeSec % 3600 === 2700);
    const set = designSet(only, { count: 3, ideas }, rung, DEFAULT_SETTINGS, seededRng(1), () => 10)!;
    expect(set.alike).toContainEqual(['nearest-hour', 'coming-hour']);
    expect(set.chances.find(({ id }) => id === 'to-as-past')!.count).toBe(0);
  });

  test('is stopped where somebody stops it', () => {
    const seen: number[] = [];
    const stopped = design({}, (part) => {
      seen.push(part);
      return part > 0.5;
    });
    expect(stopped).toBeNull();
    expect(seen).toEqual([...seen].sort((one, other) => one - other));
  });
});
