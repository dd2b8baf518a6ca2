import { NEW_PLAN } from '@zeitpunkt/core/series/plan';
import { anotherTeacher, School, type Browser } from '../../testing/school.js';

let school: School;
let teacher: Browser;
let classId: string;
beforeEach(async () => {
  school = await new School().start();
  teacher = await school.teacher();
  classId = (await teacher.send('GET', '/api/classes')).json()[0].id;
});
afterEach(() => school.remove());

const url = () => `/api/classes/${classId}/plan`;
const save = async (revision: number, change: object) =>
  (await teacher.send('POST', url(), { revision, plan: { ...NEW_PLAN, ...change } })).json();

test('a plan is kept over a restart, and a save that comes late or from another window overwrites nothing', async () => {
  expect((await teacher.send('GET', url())).json()).toEqual({ revision: 0, plan: NEW_PLAN });
  expect(await save(0, { daysOff: ['2026-11-27'] })).toEqual({ revision: 1 });
  expect(await save(0, { daysOff: ['2026-11-27'] })).toEqual({ revision: 1 }); // sent again
  expect(await save(0, { daysOff: [] })).toMatchObject({ code: 'PLAN_CHANGED', status: 409 });
  await school.stop();
  await school.start();
  expect((await teacher.send('GET', url())).json()).toEqual({ revision: 1, plan: { ...NEW_PLAN, daysOff: ['2026-11-27'] } });
});

test('lessons beside the series are kept as they were sent, over a restart too', async () => {
  const beside = [{ lessonId: '33333333-3333-4333-8333-333333333333', date: '2026-12-04' }];
  expect(await save(0, { beside })).toEqual({ revision: 1 });
  await school.stop();
  await school.start();
  expect((await teacher.send('GET', url())).json()).toEqual({ revision: 1, plan: { ...NEW_PLAN, beside } });
});

test.each([
  [{ beside: [{ lessonId: '33333333-3333-4333-8333-333333333333', date: '2027-02-29' }] }, 'PLAN_UNREADABLE', '/beside'],
  [{ daysOff: ['2027-02-29'] }, 'PLAN_UNREADABLE', '/daysOff'],
  [{ daysOff: ['27.2.2027'] }, 'REQUEST_SHAPE', '/daysOff'],
  [{ schoolDays: [] }, 'REQUEST_SHAPE', '/schoolDays'],
  [{ schoolDays: [8] }, 'REQUEST_SHAPE', '/schoolDays'],
  [{ series: { startsOn: '2026-11-27', weekdays: [1], lessonIds: [], skipped: [] } }, 'REQUEST_SHAPE', '/series'],
  [{ cards: { pattern: { firstSec: 0, stepsMin: [0] }, startsOn: '2026-11-27', shown: 0 } }, 'REQUEST_SHAPE', '/cards'],
])('a plan with %j is refused with the place, and nothing is changed', async (change, code, place) => {
  expect(await save(0, change)).toMatchObject({ code, detail: expect.stringContaining(place) });
  expect((await teacher.send('GET', url())).json()).toEqual({ revision: 0, plan: NEW_PLAN });
});

test('a plan goes with its class, and no other teacher reaches it', async () => {
  await save(0, {});
  expect((await teacher.send('GET', '/api/classes/11111111-1111-4111-8111-111111111111/plan')).json()).toMatchObject({ code: 'NOT_FOUND' });
  await teacher.send('POST', `/api/classes/${classId}/delete`);
  expect(school.store.sqlite.prepare('SELECT count(*) FROM class_plan').pluck().get()).toBe(0);
});

test('a lesson is drafted for its place in a series and from the class’s own day', async () => {
  await save(0, { daily: [{ atSec: 9 * 3600 + 15 * 60, text: 'zither hour' }] });
  const draft = async (id: string, change: object) => {
    const wish = { id, rung: 'quarter-past', minutes: 40, delivery: 'live', classId, ...change };
    await teacher.send('POST', '/api/lessons', wish);
    return (await teacher.send('GET', `/api/lessons/${id}`)).body.match(/Zither hour|24-hour/g);
  };
  const ids = Array.from({ length: 2 }, (_, index) => `${index + 1}1111111-1111-4111-8111-111111111111`);
  expect(await draft(ids[0]!, {})).toEqual(['Zither hour']);
  expect(await draft(ids[1]!, { between: { before: 'half-past', after: 'hours-24' } })).toEqual(['Zither hour', '24-hour']);
});

test('planned lessons go out as a calendar to their teacher alone, and calendars are looked at by nobody who is not signed in', async () => {
  const [{ id, title }] = (await teacher.send('GET', '/api/lessons')).json();
  await save(0, { series: { startsOn: '2026-11-05', weekdays: [4], lessonIds: [id], skipped: [] } });
  const ics = `/api/classes/${classId}/lessons.ics`;
  const { body, headers } = await teacher.send('GET', ics);
  expect(headers['content-type']).toBe('text/calendar; charset=utf-8');
  expect(body).toContain(`SUMMARY:Terns: ${title}\r\n`);
  expect(body).toContain('DTSTART;VALUE=DATE:20261105');
  const look = (who: Browser, file: Buffer) =>
    who.send('POST', '/api/calendars/look', file, { 'content-type': 'application/octet-stream' });
  expect((await look(teacher, Buffer.from(body))).json()).toEqual({ days: [{ date: '2026-11-05', name: `Terns: ${title}` }], left: [] });
  expect((await look(teacher, Buffer.from('BEGIN:VCALENDAR\r\n\xff', 'latin1'))).json()).toMatchObject({ code: 'FILE_UNREADABLE' });
  expect((await look(teacher, Buffer.alloc(5 * 2 ** 20))).json()).toMatchObject({ status: 413 });
  const other = await anotherTeacher(school, teacher);
  expect((await other.send('GET', ics)).json().code).toBe('NOT_FOUND');
  expect((await school.browser().send('GET', ics)).json().code).toBe('SIGN_IN_NEEDED');
  expect((await look(school.browser(), Buffer.from(body))).json().code).toBe('SIGN_IN_NEEDED');
});
