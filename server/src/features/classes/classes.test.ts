import { randomUUID } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { reading, respond, School, TestRoom, type Browser } from '../../testing/school.js';

let school: School;
let teacher: Browser;
let room: TestRoom;
let url: string;
beforeEach(async () => {
  school = await new School().start();
  teacher = await school.teacher();
  room = await TestRoom.open(school, teacher);
  url = `/api/classes/${(await teacher.send('GET', '/api/classes')).json()[0].id}`;
});
afterEach(() => school.remove());

const added = (...all: string[]) => ({ pupils: all.map((name) => ({ id: randomUUID(), name, reference: null })) });
const names = (reply: { json: () => { pupils: { name: string }[] } }) => reply.json().pupils.map(({ name }) => name);
const deskOf = async (pupil: Browser) => (await pupil.send('GET', '/api/desk')).json();
/** Whether some text stands anywhere in the files of the database. */
const onDisk = (text: string) =>
  ['zeitpunkt.sqlite', 'zeitpunkt.sqlite-wal'].some((file) => {
    const path = join(school.dataDir, file);
    return existsSync(path) && readFileSync(path).includes(text);
  });

test('the class can change while its room is open: new pupils may come in, and new names are seen everywhere', async () => {
  const anouk = await room.join('Anouk');
  const id = randomUUID();
  const marit = { pupils: [{ id, name: 'Marit', reference: null }] };
  await teacher.send('POST', `${url}/pupils`, marit);
  expect(names(await teacher.send('POST', `${url}/pupils`, marit))).toEqual(['Anouk', 'Bashir', 'Ceri', 'Marit']);
  const found = (await school.browser().send('POST', '/api/desk/room', { roomKey: room.key })).json();
  expect(found.pupils.map(({ name }: { name: string }) => name)).toEqual(['Bashir', 'Ceri', 'Marit']);
  await teacher.send('POST', `${url}/pupils/${room.pupilId('Anouk')}/change`, { name: 'Anouk L' });
  expect((await deskOf(anouk)).pupilName).toBe('Anouk L');
  expect((await room.live()).participants.map(({ name }) => name)).toEqual(['Anouk L']);
});

test('two pupils of one name, and pupils of other classes, are refused', async () => {
  expect((await teacher.send('POST', `${url}/pupils`, added('Ceri'))).json()).toMatchObject({ code: 'NAME_TAKEN' });
  const rename = `${url}/pupils/${room.pupilId('Bashir')}/change`;
  expect((await teacher.send('POST', rename, { name: 'Ceri' })).json()).toMatchObject({ code: 'NAME_TAKEN' });
  expect((await teacher.send('POST', `${url}/pupils/${randomUUID()}/delete`)).json()).toMatchObject({ code: 'PUPIL_UNKNOWN' });
  expect((await school.browser().send('POST', `${url}/delete`)).json()).toMatchObject({ code: 'SIGN_IN_NEEDED' });
  expect((await teacher.send('POST', `/api/classes/${randomUUID()}/delete`)).json()).toMatchObject({ code: 'NOT_FOUND' });
});

test('a deleted pupil is gone, from the room, from memory and from the files', async () => {
  const renamed = 'Quillmarsh of the outer skerry';
  await teacher.send('POST', `${url}/pupils/${room.pupilId('Bashir')}/change`, { name: renamed });
  const [anouk, bashir] = [await room.join('Anouk'), await room.join('Bashir')];
  await room.goTo('ask', 'q1');
  const given = reading('8', '29');
  await respond(bashir, given);
  await respond(anouk, reading('7', '30'));
  expect(onDisk(renamed)).toBe(true);
  await teacher.send('POST', `${url}/pupils/${room.pupilId('Bashir')}/delete`);
  expect(await deskOf(bashir)).toMatchObject({ code: 'DESK_NOT_JOINED' });
  const live = await room.live();
  expect(live.participants.map(({ name }) => name)).toEqual(['Anouk']);
  expect(live.responses).toHaveLength(1);
  for (const text of [renamed, given.id, '"minute":"29"']) expect([text, onDisk(text)]).toEqual([text, false]);
});

test('a deleted class is gone with its rooms: nothing answers with its pupils any more', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  await respond(anouk, reading('7', '30'));
  await teacher.send('POST', `${url}/delete`);
  expect(await deskOf(anouk)).toMatchObject({ code: 'DESK_NOT_JOINED' });
  for (const path of [`/api/sessions/${room.detail.id}`, url])
    expect((await teacher.send('GET', path)).json()).toMatchObject({ code: 'NOT_FOUND' });
  expect((await school.browser().send('POST', '/api/desk/room', { roomKey: room.key })).json()).toMatchObject({ code: 'ROOM_KEY_UNKNOWN' });
  expect((await teacher.send('GET', '/api/sessions')).json()).toEqual([]);
  for (const table of ['pupil', 'participant', 'response', 'live_session', 'session_event'])
    expect([table, school.store.sqlite.prepare(`SELECT count(*) FROM ${table}`).pluck().get()]).toEqual([table, 0]);
});
