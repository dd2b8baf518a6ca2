import { schoolWithRoom, type SchoolWithRoom } from '../../testing/school.js';

const DAY_MS = 86_400_000;
let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

const restart = async () => {
  await school.stop();
  await school.start();
};
const sessions = async () => (await teacher.send('GET', '/api/sessions')).json<unknown[]>().length;
const leap = async () => (await teacher.send('GET', '/api/clock')).json().leap;

test('a clock that leaps deletes nothing until a teacher says that the day is right', async () => {
  await room.tell({ type: 'end' });
  await teacher.send('POST', `/api/classes/${room.detail.classId}/change`, { keepDays: 30 });
  const fromMs = school.clockMs;
  school.clockMs += 400 * DAY_MS;
  await restart();
  teacher = await signedIn();
  expect([await sessions(), await leap()]).toEqual([1, { fromMs, toMs: school.clockMs }]);
  expect((await school.browser().send('POST', '/api/clock/confirm')).json().code).toBe('SIGN_IN_NEEDED');
  // The clock was wrong, and is set right: nothing was lost, and nobody is asked.
  const wrongMs = school.clockMs;
  school.clockMs = fromMs + DAY_MS;
  await restart();
  expect([await sessions(), await leap()]).toEqual([1, null]);
  // It was right, after long holidays.
  school.clockMs = wrongMs;
  await restart();
  expect((await teacher.send('POST', '/api/clock/confirm')).json()).toEqual({ leap: null });
  expect(await sessions()).toBe(0);
});

test('a school that is open every week deletes by itself', async () => {
  await room.tell({ type: 'end' });
  await teacher.send('POST', `/api/classes/${room.detail.classId}/change`, { keepDays: 14 });
  for (let week = 1; week <= 3; week++) {
    school.clockMs += 6 * DAY_MS;
    await restart();
  }
  teacher = await signedIn();
  expect([await sessions(), await leap()]).toEqual([0, null]);
});

async function signedIn() {
  const browser = school.browser();
  await browser.send('POST', '/api/sign-in', { signInName: 'odalys', password: 'tern-harbour-lamp' });
  return browser;
}
