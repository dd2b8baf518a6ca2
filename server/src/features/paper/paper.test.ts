import { randomUUID } from 'node:crypto';
import type { LessonDetail, SessionDetail, SheetKept, SheetList, SheetOfSession } from '@zeitpunkt/contract';
import { emptyLesson } from '@zeitpunkt/core/edit/empty-lesson';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import { sheetVersions } from '@zeitpunkt/core/paper/versions';
import { anotherTeacher, School, type Browser } from '../../testing/school.js';

let school: School;
let teacher: Browser;
let lesson: LessonDetail;
let classId: string;
let pupils: readonly { readonly id: string; readonly name: string }[];
beforeEach(async () => {
  school = await new School().start();
  teacher = await school.teacher();
  const [{ id }] = (await teacher.send('GET', '/api/lessons')).json();
  lesson = (await teacher.send('GET', `/api/lessons/${id}`)).json();
  [{ id: classId }] = (await teacher.send('GET', '/api/classes')).json();
  ({ pupils } = (await teacher.send('GET', `/api/classes/${classId}`)).json());
});
afterEach(() => school.remove());

/** A sheet of the lesson's questions in two versions, dealt to the class in turn. */
function wish(change: object = {}) {
  const { items, settings, title } = lesson.lesson as Lesson;
  const all = sheetVersions(items, 'half-past', settings, 2, 1).flatMap((version) => version.items);
  const beats = all.flatMap(({ id: itemId }, index) => [
    { id: `b${2 * index + 1}`, kind: 'ask', itemId, text: '' },
    { id: `b${2 * index + 2}`, kind: 'answer', itemId },
  ]);
  const file = { ...emptyLesson('half-past', 5, settings), title, items: all, beats };
  const copies = pupils.map(({ id }, index) => ({ pupilId: id, version: index % 2 }));
  return { id: randomUUID(), lessonId: lesson.id, file, versions: 2, classId, copies, ...change };
}
const keep = async (body: object) => (await teacher.send('POST', '/api/sheets', body)).json<SheetKept & { code: string }>();
const list = async () => (await teacher.send('GET', `/api/lessons/${lesson.id}/sheets`)).json<SheetList>().sheets;
const answersOf = async (id: string) =>
  (await teacher.send('POST', `/api/sheets/${id}/answers`, { classId })).json<{ sessionId: string }>();

test('a sheet is kept once by its code; its answers are marked and reviewed like any others, also when the lesson has changed since', async () => {
  const body = wish();
  const kept = await keep(body);
  expect(kept.code).toMatch(/^[A-Z2-9]{4}$/);
  expect(await keep(body)).toEqual(kept); // sent again after its answer was lost
  // Found by its code as it was read off the paper.
  const byCode = async (code: string) => (await teacher.send('GET', `/api/sheets/by-code/${code}`)).json();
  expect(await byCode(` ${kept.code.toLowerCase()}`.replace(' ', '%20'))).toEqual({ id: kept.id, classId });
  expect(await byCode('0000')).toMatchObject({ code: 'NOT_FOUND', detail: 'None of your sheets carries the code “0000”.' });
  const { items } = lesson.lesson;
  expect(await list()).toMatchObject([{ code: kept.code, versions: 2, questions: items.length, classId, sessions: [] }]);
  await teacher.send('POST', `/api/lessons/${lesson.id}/draft`, {
    revision: lesson.revision,
    lesson: { ...lesson.lesson, items: [], beats: lesson.lesson.beats.filter(({ kind }) => kind === 'say') },
  });
  const { sessionId } = await answersOf(kept.id);
  expect(await answersOf(kept.id)).toEqual({ sessionId });
  const { sheet } = (await teacher.send('GET', `/api/sessions/${sessionId}/sheet`)).json<SheetOfSession>();
  expect(sheet!.versions.map((ids) => ids.length)).toEqual([items.length, items.length]);
  expect(sheet!.copies.map(({ version }) => version)).toEqual([0, 1, 0]);
  const askingId = sheet!.versions[1]![0]!;
  const detail = (await teacher.send('GET', `/api/sessions/${sessionId}`)).json<SessionDetail>();
  const asked = detail.live.room.run.askings.find(({ id }) => id === askingId)!.item as Extract<Item, { kind: 'read-dial' }>;
  const [hour, minute] = [Math.floor(asked.timeSec / 3600) % 12 || 12, (asked.timeSec % 3600) / 60];
  const response = { kind: 'read-dial', hour: String(hour), minute: String(minute).padStart(2, '0') };
  const entered = { id: randomUUID(), pupilId: pupils[1]!.id, askingId, source: 'paper', response };
  const marked = (await teacher.send('POST', `/api/sessions/${sessionId}/entered`, entered)).json();
  expect(marked).toMatchObject({ pupilId: pupils[1]!.id, source: 'paper', mark: { verdict: 'right' } });
  expect((await teacher.send('GET', `/api/classes/${classId}/results.csv`)).body).toContain('paper');
  expect((await list())[0]!.sessions).toMatchObject([{ sessionId, className: 'Terns', pupils: 3, answered: 1 }]);
  // The sheet goes, its answers stay.
  await teacher.send('POST', `/api/sheets/${kept.id}/delete`);
  expect(await list()).toEqual([]);
  expect((await teacher.send('GET', `/api/sessions/${sessionId}`)).json<SessionDetail>().live.responses).toHaveLength(1);
  expect((await teacher.send('GET', `/api/sessions/${sessionId}/sheet`)).json()).toEqual({ sheet: null });
});

test('whoever leaves is on no sheet any more', async () => {
  const { id } = await keep(wish());
  await teacher.send('POST', `/api/classes/${classId}/pupils/${pupils[0]!.id}/delete`);
  expect((await teacher.send('GET', `/api/sheets/${id}`)).json().copies.map(({ pupil }: { pupil: string }) => pupil)).toEqual(['Bashir', 'Ceri']); // prettier-ignore
});

test.each<[string, () => object, string]>([
  ['versions of different lengths', () => wish({ versions: 5 }), 'SHEET_UNREADABLE'],
  ['a copy for a stranger', () => wish({ copies: [{ pupilId: randomUUID(), version: 0 }] }), 'SHEET_UNREADABLE'],
  ['a copy of a version that it does not have', () => wish({ copies: [{ pupilId: pupils[0]!.id, version: 2 }] }), 'SHEET_UNREADABLE'],
  ['copies without a class', () => wish({ classId: null }), 'SHEET_UNREADABLE'],
  ['a lesson that is not there', () => wish({ lessonId: randomUUID() }), 'NOT_FOUND'],
  ['more versions than there are letters', () => wish({ versions: 7 }), 'REQUEST_SHAPE'],
])('a sheet with %s is refused, and nothing is kept', async (_name, body, code) => {
  expect(await keep(body())).toMatchObject({ code });
  expect(await list()).toEqual([]);
});

test('nobody else comes near a sheet', async () => {
  const { id, code } = await keep(wish());
  const { sessionId } = await answersOf(id);
  const other = await anotherTeacher(school, teacher);
  for (const [method, url, body] of [
    ['GET', `/api/sheets/${id}`],
    ['GET', `/api/sheets/by-code/${code}`],
    ['GET', `/api/lessons/${lesson.id}/sheets`],
    ['GET', `/api/sessions/${sessionId}/sheet`],
    ['POST', `/api/sheets/${id}/delete`],
    ['POST', `/api/sheets/${id}/answers`, { classId }],
    ['POST', '/api/sheets', wish()],
  ] as const) {
    expect([url, (await other.send(method, url, body)).json().code]).toEqual([url, 'NOT_FOUND']);
    expect([url, (await school.browser().send(method, url, body)).json().code]).toEqual([url, 'SIGN_IN_NEEDED']);
  }
  expect(await list()).toHaveLength(1);
});
