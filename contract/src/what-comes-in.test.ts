import type { TSchema } from '@sinclair/typebox';

import { Ajv } from 'ajv';
import * as contract from './index.js';

/** What somebody sends: bodies of requests and messages of sockets, by their names. */
const COMES_IN =
  /(Add|Change|Save|Post|Wish|Start|Keep|In|Join|Knock|Lookup|Begin|Merge|Move|Leave|Order|Accept|Correct|Entered|Line|Shown|SetUp|Invite|Go|ClientMessage)$/;
const incoming = Object.entries(contract).flatMap(([name, schema]) =>
  COMES_IN.test(name) && name !== 'InsightLine' && typeof schema === 'object' ? [[name, schema as unknown as TSchema] as const] : [],
);

type Node = Record<string, unknown>;
/** What in a schema would take whatever is sent: texts and lists without an end, objects with members that nobody named. */
function open(node: Node, path: string): string[] {
  const own: string[] = [];
  if ('const' in node || 'enum' in node) return [];
  const isText = node['type'] === 'string';
  if (isText && node['maxLength'] === undefined && !/\^.*\$/.test(String(node['pattern'] ?? ''))) own.push(`${path}: a text of any length`);
  if (node['type'] === 'array' && node['maxItems'] === undefined) own.push(`${path}: a list of any length`);
  if (node['type'] === 'object' && 'properties' in node && !('discriminator' in node) && node['additionalProperties'] !== false) own.push(`${path}: members that nobody named`); // prettier-ignore
  if ((node['type'] === 'integer' || node['type'] === 'number') && node['minimum'] === undefined && node['exclusiveMinimum'] === undefined) own.push(`${path}: a number of any size`); // prettier-ignore
  const inside = (key: string) => (node[key] ? Object.entries(node[key] as Record<string, Node>).flatMap(([name, one]) => open(one, `${path}/${name}`)) : []); // prettier-ignore
  const items = node['items'];
  return [
    ...own,
    ...inside('properties'),
    ...inside('oneOf'),
    ...inside('anyOf'),
    ...inside('patternProperties'),
    ...(Array.isArray(items)
      ? items.flatMap((one, place) => open(one as Node, `${path}/${place}`))
      : items
        ? open(items as Node, `${path}/*`)
        : []),
  ];
}

test('nothing that comes in is without an end, but for what is read through the door of lessons', () => {
  expect(incoming.length).toBeGreaterThan(30);
  expect(incoming.flatMap(([name, schema]) => open(schema as unknown as Node, name))).toEqual(['ClipIn/clip: members that nobody named']);
});

const ID = '11111111-2222-4333-8444-555555555555';
const KEY = ['boat', 'lamp', 'puffin', 'shell'];
const START = {
  id: ID,
  lessonId: ID,
  classId: ID,
  pupilIds: null,
  firstDay: '2026-12-01',
  lastDay: '2026-12-11',
  byKey: false,
  voice: true,
};
const POST = { id: ID, askingId: 'q1', response: { kind: 'read-dial', hour: '4', minute: '30' }, responseTimeMs: 3000 };
const SET_UP = {
  code: '12345678',
  name: 'Odalys Fenn',
  signInName: 'odalys',
  password: 'tern-harbour-lamp',
  className: 'Terns',
  pupilNames: ['Anouk'],
};
const { Join, Knock, MarkCorrect, OwnPaceStart, PupilsIn, ResponsePost, SetUp, ShownPost, WordingAccept, ClientMessage } = contract;
const named = (name: string) => ({ pupils: [{ id: ID, name, reference: null }] });

test.each<[string, TSchema, object, Readonly<Record<string, object>>]>([
  [
    'a pupil who joins',
    Join,
    { joinId: ID, roomKey: KEY, pupilId: ID },
    {
      'three pictures': { roomKey: KEY.slice(1) },
      'seven pictures': { roomKey: [...KEY, ...KEY.slice(1)] },
      'a picture that there is not': { roomKey: ['whale', ...KEY.slice(1)] },
      'an id in capitals': { pupilId: ID.replace('4333', 'A333') },
      'coming again by a "no"': { again: false },
      'a member of another request': { token: 'x' },
    },
  ],
  [
    'a knock',
    Knock,
    { knockId: ID, roomKey: KEY },
    { 'no knock': { knockId: '' }, 'a key as a text': { roomKey: 'boat lamp puffin shell' } },
  ],
  [
    'an answer',
    ResponsePost,
    POST,
    {
      'hours as numbers': { response: { kind: 'read-dial', hour: 4, minute: '30' } },
      'a kind that there is not': { response: { kind: 'guess' } },
      'time before it was asked': { responseTimeMs: -1 },
      'half a millisecond': { responseTimeMs: 0.5 },
      'a year of waiting': { waitedMs: 366 * 86_400_000 },
      'its own mark': { mark: 'right' },
    },
  ],
  [
    'names of a class list',
    PupilsIn,
    named('Anouk'),
    {
      nobody: { pupils: [] },
      'a name of spaces': named('   '),
      'a name that turns the line round': named('Ano\u202euk'),
      'a name with a bell': named('An\u0007ouk'),
      'a name of sixty-one letters': named('a'.repeat(61)),
      'two thousand and one pupils': { pupils: Array.from({ length: 2001 }, () => named('A').pupils[0]) },
    },
  ],
  [
    'a lesson to do at home',
    OwnPaceStart,
    START,
    { 'a 13th month': { lastDay: '2026-13-01' }, 'a day with its time': { firstDay: '2026-12-01T09:00' }, 'to no pupil': { pupilIds: [] } },
  ],
  [
    'a first teacher',
    SetUp,
    SET_UP,
    {
      'a short password': { password: 'abc' },
      'no code': { code: '' },
      'two of one name': { pupilNames: ['Anouk', 'Anouk'] },
      'the right to invite': { mayInvite: true },
    },
  ],
  [
    'a corrected mark',
    MarkCorrect,
    { id: ID, verdict: 'partly', reason: 'Nearly.' },
    { 'no reason': { reason: '  ' }, 'another verdict': { verdict: 'brilliant' } },
  ],
  [
    'a wording',
    WordingAccept,
    { id: ID, responseId: ID, wording: 'half five' },
    { 'nothing said': { wording: ' ' }, 'a whole page': { wording: 'x'.repeat(121) } },
  ],
  [
    'hands that are shown',
    ShownPost,
    { pose: { hourDeg: 135, minuteDeg: 180 } },
    { 'a full turn': { pose: { hourDeg: 360, minuteDeg: 0 } }, 'no number': { pose: { hourDeg: null, minuteDeg: 0 } } },
  ],
  [
    'a teacher who is invited',
    contract.Invite,
    { id: ID, forWhom: 'Ms Tove Lund' },
    { nobody: { forWhom: '' }, 'a whole page': { forWhom: 'x'.repeat(201) }, 'an id of one’s own kind': { id: '1' } },
  ],
  [
    'a recording that is kept',
    contract.RecordingKeep,
    { keepDays: 365 },
    {
      'for no day': { keepDays: 0 },
      'for half a day': { keepDays: 0.5 },
      'for ever': { keepDays: null },
      'for a thousand years': { keepDays: 365_000 },
    },
  ],
  [
    'a time that a class keeps its answers',
    contract.ClassChange,
    { name: 'Terns', keepDays: 400 },
    { 'a name of nothing': { name: '' }, 'for no day': { keepDays: 0 }, 'whose it is': { teacherId: ID } },
  ],
  ['what a window says', ClientMessage, { type: 'ping' }, { 'a command': { type: 'end' }, 'more than that': { type: 'sync', since: 0 } }],
])('%s is taken as it should be, and refused otherwise', (_what, schema, good, bad) => {
  const check = new Ajv({ allErrors: true, discriminator: true }).compile(schema as object);
  expect([check(good), check.errors]).toEqual([true, null]);
  for (const [what, change] of Object.entries(bad)) expect([what, check({ ...good, ...change })]).toEqual([what, false]);
  // Each member counts: without any of those that must be there nothing is taken.
  for (const member of (schema as unknown as { required?: string[] }).required ?? []) {
    const { [member as keyof typeof good]: _gone, ...rest } = good;
    expect([member, check(rest)]).toEqual([member, false]);
  }
});
