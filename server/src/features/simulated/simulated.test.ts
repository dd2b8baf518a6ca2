import { randomUUID } from 'node:crypto';
import type { SessionDetail } from '@zeitpunkt/contract';
import { ONLY_STEP } from '@zeitpunkt/core/lesson/step-ref';
import { School, TestRoom, type Browser } from '../../testing/school.js';

let school: School;
let teacher: Browser;
let id: string;
beforeEach(async () => {
  school = await new School().start();
  await school.app.listen({ port: 0, host: '127.0.0.1' });
  teacher = await school.teacher();
  id = randomUUID();
});
afterEach(() => school.remove());

const WISH = { count: 12, rung: null, ideas: ['coming-hour'], slowness: 0.05, carelessness: 0, dropOuts: 0, seed: 7 };
const detail = async (): Promise<SessionDetail> => (await teacher.send('GET', `/api/sessions/${id}`)).json();
const tell = (command: object) => teacher.send('POST', `/api/sessions/${id}/commands`, { id: randomUUID(), command });
async function rehearse(wish: object = {}) {
  const [{ id: lessonId }] = (await teacher.send('GET', '/api/lessons')).json();
  const opened = (await teacher.send('POST', '/api/rehearsals', { id, lessonId })).json();
  return { opened, filled: await teacher.send('POST', `/api/sessions/${id}/simulated`, { ...WISH, ...wish }) };
}
async function until(holds: (now: SessionDetail) => boolean): Promise<SessionDetail> {
  for (;;) {
    const now = await detail();
    if (holds(now)) return now;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}

test('simulated pupils come in, answer, say that they are ready and show their clocks over the line, marked as what they are', async () => {
  const { opened, filled } = await rehearse();
  expect([opened.simulated, opened.className, filled.statusCode]).toEqual([true, 'Simulated pupils', 204]);
  const all = await until(({ live }) => live.participants.filter(({ online }) => online).length === 12);
  expect(all.live.participants.map(({ name }) => name)).toContain('Barnacle');
  await tell({ type: 'begin' });
  await tell({ type: 'show-me', on: true });
  await until(({ live }) => live.passing.shown.length > 0);
  await tell({ type: 'go', to: { beatId: 'b6', step: ONLY_STEP } });
  const { live } = await until((now) => now.live.responses.length === 12);
  const ideas = new Set(live.responses.flatMap(({ mark }) => mark.misconceptions));
  expect(live.responses.some(({ mark }) => mark.verdict === 'right')).toBe(true);
  expect(ideas).toContain('coming-hour');
  await teacher.send('POST', `/api/sessions/${id}/simulated/stop`);
  await until((now) => now.live.participants.every(({ online }) => !online));
  // The same numbers, the same class.
  const given = (now: SessionDetail) => now.live.responses.map(({ pupilId, response }) => JSON.stringify([pupilId, response])).sort();
  const first = given(await detail());
  await tell({ type: 'end' });
  id = randomUUID();
  await rehearse();
  await tell({ type: 'begin' });
  await tell({ type: 'go', to: { beatId: 'b6', step: ONLY_STEP } });
  expect(given(await until((now) => now.live.responses.length === 12))).toEqual(first);
});

test('a line that drops comes back with the answer that waited', async () => {
  await rehearse({ count: 1, dropOuts: 1 });
  await tell({ type: 'begin' });
  await tell({ type: 'go', to: { beatId: 'b6', step: ONLY_STEP } });
  await until(({ live }) => live.participants.every(({ online }) => !online));
  const { live } = await until((now) => now.live.responses.length === 1);
  expect(live.responses[0]!.late).toBeNull();
  await until((now) => now.live.participants.every(({ online }) => online));
}, 60_000);

test('pupils who have not come as far as the lesson get more of it wrong', async () => {
  const rightOf = async (rung: string | null) => {
    id = randomUUID();
    await rehearse({ count: 36, ideas: [], rung });
    await tell({ type: 'begin' });
    await tell({ type: 'go', to: { beatId: 'b6', step: ONLY_STEP } });
    const { live } = await until((now) => now.live.responses.length === 36);
    await tell({ type: 'end' });
    return live.responses.filter(({ mark }) => mark.verdict === 'right').length;
  };
  expect(await rightOf(null)).toBe(36);
  expect(await rightOf('whole-hours')).toBeLessThan(34);
});

test('they never come among a class, stand in no list of classes, and wishes that make no sense are refused', async () => {
  const room = await TestRoom.open(school, teacher);
  const among = await teacher.send('POST', `/api/sessions/${room.detail.id}/simulated`, WISH);
  expect(among.json()).toMatchObject({ code: 'NOT_ALLOWED', detail: expect.stringContaining('never among a class') });
  const { filled } = await rehearse({ ideas: ['no such idea'] });
  expect(filled.json()).toMatchObject({ code: 'REQUEST_SHAPE' });
  expect((await teacher.send('POST', `/api/sessions/${id}/simulated`, { ...WISH, count: 37 })).json()).toMatchObject({
    code: 'REQUEST_SHAPE',
  });
  expect((await teacher.send('GET', '/api/classes')).json()).toMatchObject([{ name: 'Terns' }]);
  const sessions = (await teacher.send('GET', '/api/sessions')).json();
  expect(sessions.map(({ simulated }: { simulated: boolean }) => simulated)).toEqual(expect.arrayContaining([true, false]));
});
