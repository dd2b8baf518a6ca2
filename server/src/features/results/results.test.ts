import { randomUUID } from 'node:crypto';
import { parse } from 'csv-parse/sync';
import type { ResultsTaken, SessionDetail } from '@zeitpunkt/contract';
import {
  anotherTeacher,
  reading,
  respond,
  School,
  schoolWithRoom,
  TestRoom,
  type Browser,
  type SchoolWithRoom,
} from '../../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

type Ending = 'csv' | 'xapi.json';
const out = async (ending: Ending, who = teacher, classId = room.detail.classId, query = '') =>
  (await who.send('GET', `/api/classes/${classId}/results.${ending}${query}`)).body;
const into = (act: 'look' | 'take', text: string | Buffer, who: Browser, classId: string) =>
  who.send('POST', `/api/classes/${classId}/results/${act}`, Buffer.from(text as string), { 'content-type': 'application/octet-stream' });
const refused = async (text: string | Buffer) => (await into('take', text, teacher, room.detail.classId)).json();

/** A lesson with a corrected mark, a changed answer and a name that a spreadsheet would take for a formula. */
async function taught(): Promise<SessionDetail> {
  await teacher.send('POST', `/api/classes/${room.detail.classId}/pupils/${room.pupilId('Ceri')}/change`, { name: '=SUM(A1)', reference: "'-7" }); // prettier-ignore
  const [anouk, bashir, ceri] = [await room.join('Anouk'), await room.join('Bashir'), await room.join('Ceri')];
  await room.goTo('ask', 'q1');
  const wrong = reading('8', '30');
  await respond(anouk, wrong);
  await respond(anouk, reading('7', '30'));
  const again = reading('8', '30');
  await respond(bashir, again);
  await respond(ceri, reading('7', '6'));
  await teacher.send('POST', `/api/sessions/${room.detail.id}/responses/${again.id}/correct`, { id: randomUUID(), verdict: 'right', reason: 'A slip, "he" said;\nand meant 7.' }); // prettier-ignore
  await room.tell({ type: 'end' });
  return (await teacher.send('GET', `/api/sessions/${room.detail.id}`)).json();
}

test.each<Ending>(['csv', 'xapi.json'])('results go out as %s and come in on another server without loss', async (ending) => {
  const detail = await taught();
  const text = await out(ending);
  const other = await new School().start();
  try {
    const there = await other.teacher();
    const [{ id: classId }] = (await there.send('GET', '/api/classes')).json();
    const look = (await into('look', text, there, classId)).json<ResultsTaken>();
    expect(look).toEqual({ rows: 4, known: 0, added: 4, lessons: ['Half past at the harbour'], newPupils: ['=SUM(A1)'] });
    expect(other.store.sqlite.prepare('SELECT count(*) AS n FROM response').get()).toEqual({ n: 0 });
    expect((await into('take', text, there, classId)).json()).toEqual(look);
    const came = (await there.send('GET', `/api/sessions/${detail.id}`)).json<SessionDetail>();
    const known = (of: SessionDetail) =>
      of.live.responses.map(({ pupilId, ...one }) => ({ ...one, pupil: of.pupils.find(({ id }) => id === pupilId)!.name }));
    expect(known(came)).toEqual(known(detail));
    expect(came.live.room.run.askings.map(({ id, item }) => [id, item])).toEqual(
      detail.live.room.run.askings.map(({ id, item }) => [id, item]),
    );
    // Out again it is the same file, apart from who the pupils are here; in again it brings nothing.
    const rows = (body: string) => parse(body, { columns: true, bom: true }) as Record<string, string>[];
    const humans = (body: string) =>
      rows(body).map(({ pupil, answer, verdict, correction_reason }) => [pupil, answer, verdict, correction_reason]);
    expect(humans(await out('csv', there, classId))).toEqual(humans(await out('csv')));
    expect((await into('take', text, there, classId)).json()).toMatchObject({ known: 4, added: 0, lessons: [], newPupils: [] });
    const { body } = await there.send('GET', `/api/classes/${classId}/record`);
    expect(body).toContain('"act":"results-taken"');
  } finally {
    await other.remove();
  }
});

test('a table of results follows the rules of CSV, and no cell is a formula', async () => {
  await taught();
  const text = await out('csv');
  expect(text.startsWith('\uFEFFpupil,reference,lesson,taught_at,')).toBe(true);
  expect(text.replaceAll('\r\n', '').match(/\r/)).toBeNull();
  const rows = parse(text, { columns: true, bom: true }) as Record<string, string>[];
  expect(
    rows.map(({ pupil, attempt, answer, verdict, verdict_at_first, is_right }) => [
      pupil,
      attempt,
      answer,
      verdict,
      verdict_at_first,
      is_right,
    ]),
  ).toEqual([
    ['Anouk', '1', '8:30', 'partly', 'partly', 'no'],
    ['Anouk', '2', '7:30', 'right', 'right', 'yes'],
    ['Bashir', '1', '8:30', 'right', 'partly', 'yes'],
    ["'=SUM(A1)", '1', '7:6', 'partly', 'partly', 'no'],
  ]);
  expect(rows[2]!['correction_reason']).toBe('A slip, "he" said;\nand meant 7.');
  for (const row of rows) for (const cell of Object.values(row)) expect(cell).not.toMatch(/^[=+\-@\t\r]/);
});

test('statements say who answered what, and one lesson can go out alone', async () => {
  await taught();
  const statements = JSON.parse(await out('xapi.json')) as { result: object; actor: { name: string }; verb: { id: string } }[];
  expect(statements.map(({ actor, result }) => [actor.name, result])).toContainEqual([
    'Bashir',
    expect.objectContaining({ success: true, response: '8:30', duration: 'PT4.20S' }),
  ]);
  expect(new Set(statements.map(({ verb }) => verb.id))).toEqual(new Set(['http://adlnet.gov/expapi/verbs/answered']));
  const second = await TestRoom.open(school, teacher);
  expect(JSON.parse(await out('xapi.json', teacher, room.detail.classId, `?session=${second.detail.id}`))).toEqual([]);
  expect(JSON.parse(await out('xapi.json', teacher, room.detail.classId, `?session=${room.detail.id}`))).toHaveLength(4);
});

test('what is no file of results is refused with its place, and nothing is changed by it', async () => {
  await taught();
  const csv = await out('csv');
  const before = school.store.sqlite.prepare('SELECT count(*) AS n FROM response').get();
  const says = async (text: string | Buffer, code: string, sentence: string) =>
    expect(await refused(text)).toMatchObject({ code, detail: expect.stringContaining(sentence) });
  await says('', 'RESULTS_UNREADABLE', 'There is no answer in this file.');
  await says('x'.repeat(400_000), 'RESULTS_UNREADABLE', 'Line 1'); // refused before it is gone through
  await says('a,b\r\n1,2\r\n', 'RESULTS_UNREADABLE', 'data_json');
  await says(`${csv}one,cell,less\r\n`, 'RESULTS_UNREADABLE', 'Line 7');
  await says(csv.replaceAll('""verdict"":""right""', '""verdict"":""splendid""'), 'RESULTS_UNREADABLE', 'line 3');
  await says(csv.replaceAll('""formatVersion"":1', '""formatVersion"":99'), 'FORMAT_NEWER', 'newer');
  await says(csv + csv.split('\r\n').slice(1, 2).join(''), 'RESULTS_UNREADABLE', 'twice');
  await says('[{"id":"x"}]', 'RESULTS_UNREADABLE', 'Statement 1');
  await says('[{', 'RESULTS_UNREADABLE', 'JSON');
  await says(Buffer.from([0x70, 0xff, 0xfe]), 'RESULTS_UNREADABLE', 'UTF-8');
  const other = await anotherTeacher(school, teacher);
  const [{ id: gannets }] = (await other.send('GET', '/api/classes')).json();
  expect((await into('take', csv, other, gannets)).json()).toMatchObject({ code: 'RESULTS_ELSEWHERE' });
  expect((await into('look', csv, other, room.detail.classId)).json()).toMatchObject({ code: 'NOT_FOUND' });
  expect((await into('look', csv, school.browser(), room.detail.classId)).statusCode).toBe(401);
  expect(await out('csv', other)).toContain('NOT_FOUND');
  expect(school.store.sqlite.prepare('SELECT count(*) AS n FROM response').get()).toEqual(before);
});
