import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { Beat } from '@zeitpunkt/core/beats/registry';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { kindOf, QUESTION_KIND_IDS, type Item, type QuestionKindId } from '@zeitpunkt/core/question-kinds/registry';
import { respond, School, TestRoom, type Browser } from '../testing/school.js';

// A question of every kind over the real routes: what cannot be an answer is refused with its place, and nothing of it is kept.

const read = (name: string) =>
  JSON.parse(readFileSync(`core/src/formats/old-files/lesson/${name}.json`, 'utf8')) as { items: Item[]; beats: Beat[] };
// Kinds that came later stand in a file of their own.
const [first, later] = [read('3-every-kind'), read('3-hours-24-and-seconds')];
const file = {
  ...first,
  items: [...first.items, ...later.items],
  beats: [...first.beats, ...later.beats.filter(({ kind }) => kind !== 'say').map((beat) => ({ ...beat, id: `later-${beat.id}` }))],
};
let school: School;
let room: TestRoom;
let anouk: Browser;
beforeAll(async () => {
  school = await new School().start();
  const teacher = await school.teacher();
  const taken = await teacher.send('POST', '/api/lessons/files', { id: randomUUID(), file });
  room = await TestRoom.open(school, teacher, taken.json<{ id: string }>().id);
  anouk = await room.join('Anouk');
});
afterAll(() => school.remove());

const itemOf = (kind: QuestionKindId) => file.items.find((item) => item.kind === kind)!;
const give = (kind: QuestionKindId, response: object) =>
  respond(anouk, { id: randomUUID(), askingId: itemOf(kind).id, response, responseTimeMs: 900 });

test.each(QUESTION_KIND_IDS)(
  '%s: the key is taken and right, not being sure is taken, answers of other kinds are refused',
  async (kind) => {
    await room.goTo('ask', itemOf(kind).id);
    const key = kindOf(itemOf(kind)).keyOf(itemOf(kind), DEFAULT_SETTINGS);
    expect((await give(kind, { kind: 'not-sure' })).statusCode).toBe(200);
    expect((await give(kind, key)).statusCode).toBe(200);
    const other = kind === 'read-dial' ? 'write-display' : 'read-dial';
    expect((await give(kind, { kind: other, hour: '7', minute: '30' })).statusCode).toBe(400);
    const responses = (await room.live()).responses.filter(({ askingId }) => askingId === itemOf(kind).id);
    expect(responses.map(({ response, mark }) => [response.kind, mark.verdict])).toEqual([
      ['not-sure', 'blank'],
      [kind, 'right'],
    ]);
  },
);

test.each<[QuestionKindId, object, RegExp]>([
  ['write-words', { lines: ['x'.repeat(500)] }, /lines\/0/],
  ['write-words', { lines: [] }, /lines/],
  ['write-words', { lines: ['one', 'two'] }, /cannot be answered so/],
  ['read-dial', { hour: '7', minute: '٣٠' }, /minute/],
  ['read-dial', { hour: 7, minute: '30' }, /hour/],
  ['read-dial', { hour: '-7', minute: 'NaN' }, /hour/],
  ['set-dial', { hourDeg: null, minuteDeg: 180 }, /hourDeg/],
  ['set-dial', { hourDeg: -1, minuteDeg: 180 }, /hourDeg/],
  ['set-dial', { hourDeg: 1e9, minuteDeg: 180 }, /hourDeg/],
  ['fill-face', { values: ['<b>7</b>'] }, /values\/0/],
  ['fill-face', { values: ['7', '8'] }, /cannot be answered so/],
  ['match', { pairs: [0, 0, 1] }, /cannot be answered so/],
  ['match', { pairs: [0, 1] }, /cannot be answered so/],
  ['match', { pairs: [7, null, null] }, /cannot be answered so/],
  ['order-times', { order: [0, 1] }, /cannot be answered so/],
  ['order-times', { order: [0, 0, 1] }, /order/],
  ['choose-one', { chosen: [0, 1] }, /cannot be answered so/],
  ['choose-one', { chosen: [99] }, /chosen\/0/],
  ['place-on-line', { atSec: 0 }, /cannot be answered so/],
  ['place-on-line', { atSec: 1.5 }, /atSec/],
  ['pattern', { times: [] }, /times/],
  ['pattern', { times: [{ hour: '3', minute: '00', more: 1 }] }, /times\/0/],
  ['units', { values: ['60'], key: '60' }, /./],
])('%s: %j is refused, and the sentence says where', async (kind, answer, where) => {
  await room.goTo('ask', itemOf(kind).id);
  const before = (await room.live()).responses;
  const reply = await give(kind, { kind, ...answer });
  expect(reply.statusCode).toBe(400);
  expect(reply.json<{ detail: string }>().detail).toMatch(where);
  expect((await room.live()).responses).toEqual(before);
});
