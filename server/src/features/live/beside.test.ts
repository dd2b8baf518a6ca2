import { randomUUID } from 'node:crypto';
import { reading, respond, schoolWithRoom, type SchoolWithRoom } from '../../testing/school.js';

let [school, , room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, , room] = await schoolWithRoom()));
afterEach(() => school.remove());

const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;

test('two pupils on one device: each turn is one of theirs, and answers are kept apart, also one that waited for the other’s turn', async () => {
  const device = await room.join('Anouk');
  const desk = async () => (await device.send('GET', '/api/desk')).json();
  const anouk = (await desk()).participantId;
  const names = (await device.send('GET', '/api/desk/beside')).json().pupils.map(({ name }: { name: string }) => name);
  expect(names).toEqual(['Bashir', 'Ceri']);
  const joinId = randomUUID();
  expect((await device.send('POST', '/api/desk/beside/join', { joinId, pupilId: room.pupilId('Bashir') })).json()).toMatchObject({
    pupilName: 'Bashir',
  });
  await room.goTo('ask', 'q1');
  await respond(device, reading('8', '30'));
  expect((await device.send('POST', '/api/desk/swap')).json()).toMatchObject({ pupilName: 'Anouk', question: { given: null } });
  await respond(device, reading('7', '30'));
  // Bashir changes his mind, and his answer goes out only when it is Anouk's turn.
  await device.send('POST', `/api/desk/responses?of=${joinId}`, reading('7', '30'));
  expect((await desk()).question.given).toMatchObject({ attempt: 1 });
  const { responses, participants } = await room.live();
  const given = responses.map(({ pupilId, attempt, response }) => [
    participants.find((one) => one.pupilId === pupilId)!.name,
    attempt,
    'hour' in response && response.hour,
  ]);
  expect(given).toEqual([
    ['Bashir', 1, '8'],
    ['Anouk', 1, '7'],
    ['Bashir', 2, '7'],
  ]);
  expect(codeOf(await device.send('POST', '/api/desk/responses?of=nobody', reading('7', '30')))).toBe('REQUEST_SHAPE');
  // Anouk leaves, Bashir stays.
  await device.send('POST', '/api/desk/leave');
  expect(await desk()).toMatchObject({ pupilName: 'Bashir', participantId: joinId });
  expect(anouk).not.toBe(joinId);
});

test('there is nobody to swap with on a device of one pupil, and nobody comes in beside one who is in no room', async () => {
  const device = await room.join('Anouk');
  expect(codeOf(await device.send('POST', '/api/desk/swap'))).toBe('DESK_NOT_JOINED');
  expect(codeOf(await school.browser().send('GET', '/api/desk/beside'))).toBe('DESK_NOT_JOINED');
  expect(codeOf(await device.send('POST', '/api/desk/beside/join', { joinId: randomUUID(), pupilId: room.pupilId('Anouk') }))).toBe(
    'NAME_TAKEN',
  );
});
