import type { LessonSummary, SessionDetail } from '@zeitpunkt/contract';
import { cardsDue, checkLesson, daysOn, MISCONCEPTION_IDS, plannedLessons } from '@zeitpunkt/core';
import { School } from '../testing/school.js';
import { DEMO_SIGN_IN, seedDemo, TERNS } from './seed.js';

const school = new School();
beforeAll(async () => {
  await school.start();
  await seedDemo(school.store, school.clockMs);
});
afterAll(() => school.remove());

test('the demo teacher finds everything there and a taught lesson to review', async () => {
  const browser = school.browser();
  expect((await browser.send('POST', '/api/sign-in', DEMO_SIGN_IN)).statusCode).toBe(200);
  const get = async (path: string) => {
    const reply = await browser.send('GET', path);
    expect([path, reply.statusCode]).toEqual([path, 200]);
    return reply.json();
  };
  expect(await get('/api/classes')).toMatchObject([{ name: 'Terns', pupilCount: TERNS.length }]);
  expect(await get('/api/dials')).toEqual([]);
  const lessons = await get('/api/lessons');
  expect(new Set(lessons.map(({ facts }: LessonSummary) => facts!.rung)).size).toBe(6);
  const checked = await Promise.all(
    lessons.map(async ({ id }: LessonSummary) => checkLesson((await get(`/api/lessons/${id}`)).lesson).length),
  );
  expect(checked.map((findings) => findings > 0)).toEqual([false, false, false, false, false, true]);
  const [{ id: classId }] = await get('/api/classes');
  const { plan } = await get(`/api/classes/${classId}/plan`);
  const dates = plannedLessons(plan).map(({ date }) => date);
  expect(dates).toHaveLength(6);
  expect(dates.at(-1)! >= daysOn(dates[0]!, 35)).toBe(true); // one a week
  expect(cardsDue(plan, daysOn(plan.cards.startsOn, 7))).toEqual({ since: 4, card: 6 });
  const [taught] = await get('/api/sessions');
  const { live, roomKey }: SessionDetail = await get(`/api/sessions/${taught.id}`);
  expect([roomKey, live.room.phase]).toEqual([null, 'ended']);
  expect(live.participants.length).toBeGreaterThan(20);
  const verdicts = new Set(live.responses.map(({ mark }) => mark.verdict));
  const held = new Set(live.responses.flatMap(({ mark }) => mark.misconceptions));
  expect(verdicts).toEqual(new Set(['right', 'partly', 'not-yet']));
  expect(held.size).toBeGreaterThan(3);
  for (const id of held) expect(MISCONCEPTION_IDS).toContain(id);
});

test('a database that has a teacher is left as it is', async () => {
  const before = school.store.sqlite.serialize();
  await seedDemo(school.store, school.clockMs);
  expect(school.store.sqlite.serialize().equals(before)).toBe(true);
});
