import type { LessonSummary, OwnPaceDetail, SessionDetail, SessionSummary } from '@zeitpunkt/contract';
import { MISCONCEPTION_IDS } from '@zeitpunkt/core/misconceptions/registry';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import { daysOn } from '@zeitpunkt/core/series/school-days';
import { plannedLessons } from '@zeitpunkt/core/series/series';
import { checkLesson } from '@zeitpunkt/core/checker-rules/check';
import { School, type Browser } from '../testing/school.js';
import { DEMO_SIGN_IN, seedDemo } from './seed.js';
import { TERNS } from './terns.js';

const school = new School();
let teacher: Browser;
beforeAll(async () => {
  await school.start();
  await seedDemo(school.store, school.clockMs);
  teacher = school.browser();
  expect((await teacher.send('POST', '/api/sign-in', DEMO_SIGN_IN)).statusCode).toBe(200);
});
afterAll(() => school.remove());

const get = async (path: string) => {
  const reply = await teacher.send('GET', path);
  expect([path, reply.statusCode]).toEqual([path, 200]);
  return reply.json();
};

test('the demo teacher finds six lessons ready on six rungs, one with something to mend, and a plan', async () => {
  expect(await get('/api/classes')).toMatchObject([{ name: 'Terns', pupilCount: TERNS.length }]);
  expect(await get('/api/dials')).toEqual([]);
  const lessons = (await get('/api/lessons')).filter(({ archivedAtMs }: LessonSummary) => archivedAtMs === null);
  expect(new Set(lessons.map(({ facts }: LessonSummary) => facts!.rung)).size).toBe(6);
  const checked = await Promise.all(
    lessons.map(async ({ id }: LessonSummary) => checkLesson((await get(`/api/lessons/${id}`)).lesson).length),
  );
  expect(checked.map((findings) => findings > 0)).toEqual([false, false, false, false, false, true]);
  const [{ id: classId }] = await get('/api/classes');
  const { pupils } = await get(`/api/classes/${classId}`);
  const without = pupils.filter(({ cardAtMs }: { cardAtMs: number | null }) => cardAtMs === null);
  expect(without.map(({ name }: { name: string }) => name)).toEqual(['Runa', 'Yusra']);
  const { plan } = await get(`/api/classes/${classId}/plan`);
  const dates = plannedLessons(plan).map(({ date }) => date);
  expect(dates).toHaveLength(4);
  expect(dates.at(-1)! >= daysOn(dates[0]!, 21)).toBe(true); // one a week
});

test('eleven lessons in five weeks: some absent, lines that dropped, two who came late, one on paper, and ideas that are let go of', async () => {
  const sessions: SessionSummary[] = await get('/api/sessions');
  const taught = sessions.filter(({ pace }) => pace === 'live').sort((a, b) => a.createdAtMs - b.createdAtMs);
  expect(taught).toHaveLength(11);
  expect(taught.every(({ phase }) => phase === 'ended')).toBe(true);
  const days = (taught.at(-1)!.createdAtMs - taught[0]!.createdAtMs) / 86_400_000;
  expect(days).toBeGreaterThan(30);
  const details: SessionDetail[] = await Promise.all(taught.map(({ id }) => get(`/api/sessions/${id}`)));
  const present = details.map(({ live }) => new Set(live.participants.map(({ name }) => name)).size);
  expect(Math.min(...present)).toBeGreaterThan(20);
  expect(Math.min(...present)).toBeLessThan(TERNS.length);
  const late = details.flatMap(({ live }) => live.responses.filter((one) => one.late !== null));
  expect(late.length).toBeGreaterThan(0);
  const begunLater = details.flatMap(({ live }) => live.participants.filter(({ joinedAtMs }) => joinedAtMs > live.room.begunAtMs!));
  expect(begunLater.map(({ name }) => name)).toEqual(['Pia', 'Anouk']);
  const paper = details.flatMap(({ live }) => live.responses.filter(({ source }) => source === 'paper'));
  expect(new Set(paper.map(({ pupilId }) => pupilId)).size).toBe(1);
  const share = ({ live }: SessionDetail) =>
    live.responses.filter(({ mark }) => isRightVerdict(mark.verdict)).length / live.responses.length;
  for (const detail of details) expect(share(detail)).toBeGreaterThan(0.5);
  const ideas = ({ live }: SessionDetail, name: string) => {
    const { pupilId } = live.participants.find((one) => one.name === name)!;
    return live.responses.filter((one) => one.pupilId === pupilId).flatMap(({ mark }) => mark.misconceptions);
  };
  const first = details.slice(1, 4).flatMap((detail) => ideas(detail, 'Sami'));
  expect(first).toContain('coming-hour');
  for (const id of details.flatMap(({ live }) => live.responses.flatMap(({ mark }) => mark.misconceptions)))
    expect(MISCONCEPTION_IDS).toContain(id);
});

test('one lesson is given out and half done', async () => {
  const own = (await get('/api/sessions')).find(({ pace }: SessionSummary) => pace === 'own');
  const { live }: OwnPaceDetail = await get(`/api/own-pace/${own.id}`);
  const counts = [
    live.places.filter(({ done }) => done),
    live.places.filter(({ at, done }) => at !== null && !done),
    live.places.filter(({ at }) => at === null),
  ];
  expect(counts.map(({ length }) => length)).toEqual([6, 8, 12]);
  expect(live.responses.length).toBeGreaterThan(20);
});

test('a database that has a teacher is left as it is', async () => {
  const before = school.store.sqlite.serialize();
  await seedDemo(school.store, school.clockMs);
  expect(school.store.sqlite.serialize().equals(before)).toBe(true);
});
