import { randomUUID } from 'node:crypto';
import type { ClassStanding, InsightLine, MarkedResponse, ReviewNotes, SessionDetail } from '@zeitpunkt/contract';
import { anotherTeacher, reading, respond, schoolWithRoom, TestRoom, type Browser, type SchoolWithRoom } from '../../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;
const correct = (responseId: string, form: object, who: Browser = teacher) =>
  who.send('POST', `/api/sessions/${room.detail.id}/responses/${responseId}/correct`, { id: randomUUID(), ...form });
const ofClass = (path: string, body?: object, who: Browser = teacher) =>
  who.send('POST', `/api/classes/${room.detail.classId}/${path}`, body);
const notes = async () => (await teacher.send('GET', `/api/classes/${room.detail.classId}/notes`)).json<ReviewNotes>();
const lines = async () => {
  const { body } = await teacher.send('GET', `/api/classes/${room.detail.classId}/answers`);
  return body
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as InsightLine);
};
const verdicts = async () => {
  const sessions = (await lines()).flatMap((line) => (line.line === 'session' ? line.answers : []));
  return sessions.map(({ verdict, ideas }) => [verdict, ideas]);
};

describe('a corrected mark', () => {
  let anouk: Browser;
  const given = reading('8', '30');
  beforeEach(async () => {
    anouk = await room.join('Anouk');
    await room.goTo('ask', 'q1');
    given.id = randomUUID();
    await respond(anouk, given);
  });

  test('stands beside the first, and desk, room, review and insight follow; taken back, all is as at first', async () => {
    const corrected = (await correct(given.id, { verdict: 'right', reason: 'She said half past seven aloud.' })).json<MarkedResponse>();
    expect(corrected).toMatchObject({
      mark: { verdict: 'right', misconceptions: [] },
      correction: { was: 'partly', reason: 'She said half past seven aloud.' },
    });
    // What was said of it then is still known: it is what the pupil may have read.
    expect(corrected.correction!.saidThen).toMatch(/\w/);
    expect(corrected.correction!.saidThen).not.toBe(corrected.mark.sayToPupil);
    expect((await room.live()).responses[0]).toEqual(corrected);
    await room.goTo('answer', 'q1');
    const own = async () => (await anouk.send('GET', '/api/desk')).json().question.reveal.own;
    expect(await own()).toMatchObject({ verdict: 'right', sayToPupil: corrected.mark.sayToPupil });
    expect(await verdicts()).toEqual([['right', []]]);
    await room.tell({ type: 'end' });
    const ended = (await teacher.send('GET', `/api/sessions/${room.detail.id}`)).json<SessionDetail>();
    expect(ended.live.responses[0]).toEqual(corrected);
    expect(await verdicts()).toEqual([['right', []]]);
    const back = await teacher.send('POST', `/api/sessions/${room.detail.id}/responses/${given.id}/as-at-first`);
    expect(back.json()).toMatchObject({ mark: { verdict: 'partly' }, correction: null });
    expect((await verdicts())[0]![0]).toBe('partly');
    const { rungs } = (await teacher.send('GET', `/api/classes/${room.detail.classId}/standing`)).json();
    expect(rungs).toEqual([{ rung: 'half-past', words: { sure: 0, nearly: 0, partly: 0, 'not-yet': 0, 'too-few': 1 } }]);
    // What was marked at first was never written over, and what was corrected is still on record.
    const rows = school.store.sqlite.prepare('SELECT verdict FROM (SELECT mark, json_extract(mark, ?) AS verdict FROM response)').all('$.verdict'); // prettier-ignore
    expect(rows).toEqual([{ verdict: 'partly' }]);
    expect(school.store.sqlite.prepare('SELECT reason, undone_at_ms IS NOT NULL AS undone FROM correction').all()).toEqual([
      { reason: 'She said half past seven aloud.', undone: 1 },
    ]);
    await teacher.send('POST', `/api/sessions/${room.detail.id}/responses/${given.id}/as-at-first`); // nothing is left to take back
    const { acts } = (await teacher.send('GET', '/api/acts')).json<{ acts: { act: string }[] }>();
    expect(acts.map(({ act }) => act).filter((act) => act.startsWith('correction') || act.startsWith('response'))).toEqual([
      'correction-undone',
      'response-corrected',
    ]);
  });

  test('survives a restart, is not written twice when it is sent again, and the latest one counts', async () => {
    const id = randomUUID();
    for (let sent = 0; sent < 2; sent += 1) await correct(given.id, { id, verdict: 'not-yet', reason: 'A guess.' });
    school.clockMs += 1000;
    await correct(given.id, { verdict: 'right', reason: 'No guess after all.' });
    expect(school.store.sqlite.prepare('SELECT count(*) AS n FROM correction').get()).toEqual({ n: 2 });
    await school.stop();
    await school.start();
    expect((await room.live()).responses[0]).toMatchObject({ mark: { verdict: 'right' }, correction: { reason: 'No guess after all.' } });
  });

  test('needs a reason and an answer of one’s own lesson', async () => {
    expect(codeOf(await correct(given.id, { verdict: 'right', reason: '  ' }))).toBe('REQUEST_SHAPE');
    expect(codeOf(await correct(given.id, { verdict: 'splendid', reason: 'x' }))).toBe('REQUEST_SHAPE');
    expect(codeOf(await correct(randomUUID(), { verdict: 'right', reason: 'x' }))).toBe('NOT_FOUND');
    const other = await anotherTeacher(school, teacher);
    expect(codeOf(await correct(given.id, { verdict: 'right', reason: 'x' }, other))).toBe('NOT_FOUND');
    expect(await verdicts()).toEqual([['partly', expect.arrayContaining(['coming-hour'])]]);
  });
});

test('what teachers make of a class is kept, moved and deleted, for whoever teaches it alone', async () => {
  const pupilId = room.pupilId('Anouk');
  const remark = { id: randomUUID(), responseId: null, text: 'Counts on fingers to the 6.' };
  for (let sent = 0; sent < 2; sent += 1) await ofClass(`pupils/${pupilId}/comments`, remark);
  await ofClass('moves', { pupilId, key: 'rung:half-past' });
  await ofClass('moves', { pupilId, key: 'idea:coming-hour' });
  const page = { can: 'Anouk reads whole hours.', next: 'Half past.', tryThis: 'Say when supper is.' };
  expect((await ofClass(`home/${pupilId}`, page)).statusCode).toBe(204);
  expect(await notes()).toMatchObject({
    comments: [{ pupilId, text: 'Counts on fingers to the 6.' }],
    moves: [{ pupilId, key: 'idea:coming-hour' }],
    homePages: [{ pupilId, page }],
  });
  const data = (await teacher.send('GET', `/api/classes/${room.detail.classId}/pupils/${pupilId}/export`)).json();
  expect(data).toMatchObject({ remarks: [{ text: 'Counts on fingers to the 6.' }], pageForHome: { tryThis: 'Say when supper is.' } });

  const other = await anotherTeacher(school, teacher);
  const refused = [
    await other.send('GET', `/api/classes/${room.detail.classId}/notes`),
    await other.send('GET', `/api/classes/${room.detail.classId}/answers`),
    await other.send('GET', `/api/classes/${room.detail.classId}/standing`),
    await ofClass(`pupils/${pupilId}/comments`, { ...remark, id: randomUUID() }, other),
    await ofClass(`pupils/${pupilId}/comments/${remark.id}/delete`, undefined, other),
    await ofClass('moves', { pupilId, key: null }, other),
    await ofClass(`home/${pupilId}`, page, other),
    await ofClass(`home/${pupilId}/anew`, undefined, other),
    await ofClass('wordings', { id: randomUUID(), responseId: randomUUID(), wording: 'half eight' }, other),
    await ofClass(`wordings/${randomUUID()}/take-back`, undefined, other),
  ];
  expect(refused.map(codeOf)).toEqual(refused.map(() => 'NOT_FOUND'));
  const [ivo] = (await other.send('GET', '/api/classes')).json();
  const strangers = (await other.send('GET', `/api/classes/${ivo.id}`)).json();
  expect(codeOf(await ofClass('moves', { pupilId: strangers.pupils[0].id, key: null }))).toBe('PUPIL_UNKNOWN');
  expect(codeOf(await ofClass('moves', { pupilId, key: 'nonsense' }))).toBe('REQUEST_SHAPE');

  await ofClass(`pupils/${pupilId}/comments/${remark.id}/delete`);
  await ofClass('moves', { pupilId, key: null });
  await ofClass(`home/${pupilId}/anew`);
  expect(await notes()).toEqual({ comments: [], moves: [], wordings: [], homePages: [] });
});

test('remarks go with a pupil who turns out to be another one', async () => {
  const [goes, stays] = [room.pupilId('Anouk'), room.pupilId('Bashir')];
  await ofClass(`pupils/${goes}/comments`, { id: randomUUID(), responseId: null, text: 'Asks good questions.' });
  await ofClass(`pupils/${goes}/merge`, { into: stays });
  expect((await notes()).comments).toMatchObject([{ pupilId: stays, text: 'Asks good questions.' }]);
});

test('where a class stands is told by rung, pupil and lesson, and what stood out in its last lesson', async () => {
  const [anouk, bashir] = [await room.join('Anouk'), await room.join('Bashir')];
  await room.goTo('ask', 'q1');
  await respond(anouk, reading('8', '30'));
  await respond(bashir, reading('7', '30'));
  const standing = (await teacher.send('GET', `/api/classes/${room.detail.classId}/standing`)).json<ClassStanding>();
  expect(standing.lessons).toEqual([{ id: room.detail.id, answered: 2, questions: [{ right: 1, answers: 2 }] }]);
  expect(standing.pupils.map(({ id }) => id).sort()).toEqual([room.pupilId('Anouk'), room.pupilId('Bashir')].sort());
  expect(standing.names).toContainEqual({ id: room.pupilId('Ceri'), name: 'Ceri' });
  expect(standing.stoodOut).toMatchObject({ sessionId: room.detail.id, title: room.detail.lesson.title, answered: 2 });
  for (const { pupilIds, pair } of standing.stoodOut!.ideas) {
    expect(pupilIds).toEqual([room.pupilId('Anouk')]);
    expect(pair).toMatchObject({ act: 'read', at: 27_000, answeredAt: 30_600 });
  }
});

test('all answers of a class come as lines: the class, its lessons from the oldest on; one that cannot be read is told', async () => {
  await room.goTo('ask', 'q1');
  const anouk = await room.join('Anouk');
  await respond(anouk, reading('8', '30'));
  await respond(anouk, reading('7', '30'));
  school.clockMs += 60_000;
  const next = await TestRoom.open(school, teacher);
  school.clockMs += 60_000;
  const broken = await TestRoom.open(school, teacher);
  await school.stop();
  await school.start();
  school.store.sqlite.prepare('UPDATE live_session SET room = ? WHERE id = ?').run('{"phase":7}', broken.detail.id);
  const [head, one, two, three, ...more] = await lines();
  expect(more).toEqual([]);
  expect(head).toMatchObject({
    line: 'class',
    name: 'Terns',
    sessions: 3,
    pupils: [{ name: 'Anouk' }, { name: 'Bashir' }, { name: 'Ceri' }],
  });
  expect(one).toMatchObject({
    line: 'session',
    id: room.detail.id,
    askings: [{ id: 'q1' }],
    answers: [{ pupilId: room.pupilId('Anouk'), verdict: 'right' }],
  });
  expect(two).toMatchObject({ line: 'session', id: next.detail.id, answers: [] });
  expect(three).toMatchObject({ line: 'unreadable', why: expect.stringContaining('Half past at the harbour') });
});

test('lines of a lesson that is over are kept, and are new when answers come, go, or are another pupil’s', async () => {
  const answers = async () => (await lines()).flatMap((line) => (line.line === 'session' ? line.answers : []));
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  await respond(anouk, reading('8', '30'));
  await room.tell({ type: 'end' });
  const enter = { id: randomUUID(), pupilId: room.pupilId('Ceri'), askingId: 'q1', source: 'paper', response: reading('7', '30').response };
  expect(await answers()).toHaveLength(1);
  await teacher.send('POST', `/api/sessions/${room.detail.id}/entered`, enter);
  expect(await answers()).toHaveLength(2);
  await teacher.send('POST', `/api/sessions/${room.detail.id}/entered/${enter.id}/take-back`);
  expect(await answers()).toMatchObject([{ pupilId: room.pupilId('Anouk') }]);
  await ofClass(`pupils/${room.pupilId('Anouk')}/merge`, { into: room.pupilId('Bashir') });
  expect(await answers()).toMatchObject([{ pupilId: room.pupilId('Bashir') }]);
});

test('of two late answers one is let count and then the other: kept lines follow, though as many count as before', async () => {
  const desks = { Anouk: await room.join('Anouk'), Bashir: await room.join('Bashir') };
  await room.goTo('ask', 'q1');
  await room.tell({ type: 'end' });
  school.clockMs += 60_000;
  const late = { Anouk: reading('7', '30', randomUUID()), Bashir: reading('8', '30', randomUUID()) };
  for (const name of ['Anouk', 'Bashir'] as const) await respond(desks[name], { ...late[name], waitedMs: 61_000 });
  const count = (name: keyof typeof late, counted: boolean) =>
    teacher.send('POST', `/api/sessions/${room.detail.id}/responses/${late[name].id}/count`, { counted });
  const counting = async () =>
    (await lines()).flatMap((line) => (line.line === 'session' ? line.answers.map(({ pupilId }) => pupilId) : []));
  await count('Anouk', true);
  expect(await counting()).toEqual([room.pupilId('Anouk')]);
  await count('Anouk', false);
  await count('Bashir', true);
  expect(await counting()).toEqual([room.pupilId('Bashir')]);
});
