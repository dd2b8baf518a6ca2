import { DeskMessageShell, KIND_SCHEMAS } from '@zeitpunkt/contract';
import { Ajv } from 'ajv';
import fc from 'fast-check';
import isDeskMessage from '../../generated/desk-message-shell';
import isTeacherMessage from '../../generated/teacher-message';
import isWaiting from '../../generated/waiting';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, type Item } from '@zeitpunkt/core/question-kinds/registry';
import { NEW_BUILD, stageOfBuild } from '@zeitpunkt/core/stage/dial-build';
import { loadShape } from '../question-views/shape-views';
import { deskView, questionView } from '../testing/desk';
import { responseOf, sessionDetail } from '../testing/session';

const ID = '3f2b8a54-0d5c-4c1e-9a77-5f1f3c2f8a10';
const post = { id: ID, askingId: 'q1', response: { kind: 'read-dial', hour: '7', minute: '30' }, responseTimeMs: 900 };
const view = {
  seq: 1,
  phase: 'lobby',
  participantId: ID,
  pupilName: 'Wren',
  className: 'Terns',
  lessonTitle: 'The lamp',
  language: 'en-GB',
  shapes: [],
  stage: null,
  calls: { showMe: false, pulse: null },
  own: null,
  question: null,
};

test('the compiled validators take what the contract allows and nothing else', () => {
  const waiting = { id: ID, participantId: ID, putAtMs: 1, post };
  expect(isWaiting(waiting)).toBe(true);
  expect(isWaiting({ ...waiting, post: { ...post, response: 'half past' } })).toBe(false);
  expect(isDeskMessage({ type: 'view', view })).toBe(true);
  expect(isDeskMessage({ type: 'view', view: { ...view, key: '7:30' } })).toBe(false);
  expect(isDeskMessage({ type: 'released' })).toBe(true);
  const { live } = sessionDetail();
  expect(isTeacherMessage({ type: 'state', live: { ...live, participants: [] } })).toBe(true);
  const response = { ...responseOf('Anouk', 'q1'), id: ID, pupilId: ID };
  expect(isTeacherMessage({ type: 'response', seq: 1, response })).toBe(true);
  expect(isTeacherMessage({ type: 'response', seq: 1, response: { ...response, mark: { ...response.mark, verdict: 'perfect' } } })).toBe(
    false,
  );
});

/** Every place in a message, by its path. */
function pathsIn(data: unknown, path: readonly string[] = []): (readonly string[])[] {
  if (typeof data !== 'object' || data === null) return [path];
  return [path, ...Object.entries(data).flatMap(([key, value]) => pathsIn(value, [...path, key]))];
}

function changed(data: unknown, [key, ...rest]: readonly string[], to: unknown): unknown {
  if (key === undefined) return to;
  if (Array.isArray(data)) return data.map((value, index) => (String(index) === key ? changed(value, rest, to) : (value as unknown)));
  const { [key]: value, ...others } = data as Record<string, unknown>;
  const next = changed(value, rest, to);
  return next === undefined ? others : { ...others, [key]: next };
}

test('wherever a message is spoilt, the compiled validator says the same as the schema itself', () => {
  const fits = new Ajv({ code: { optimize: false }, discriminator: true }).compile(DeskMessageShell);
  const stage = JSON.parse(JSON.stringify(stageOfBuild({ ...NEW_BUILD, bands: ['day-line', 'hour-line-fives'], words: 'all' })));
  const settings = sessionDetail().lesson.settings;
  const views = [
    deskView({ question: questionView({ countdown: { totalMs: 9000, leftMs: 10 }, reveal: null }) }),
    deskView({
      question: null,
      stage: { before: stage, beat: null, settings, elapsedMs: 0, motionMs: 0, marks: [{ type: 'ray', deg: 30 }], glides: false },
    }),
  ];
  for (const message of views.map((view) => ({ type: 'view', view })))
    expect([isDeskMessage(message), fits(message)]).toEqual([true, true]);
  const places = views.flatMap((view) => pathsIn({ type: 'view', view }).map((path) => ({ message: { type: 'view', view }, path })));
  const spoilt = fc.oneof(
    fc.constantFrom(undefined, null, '', '7:30', -1, 360, 1.5, true, [], {}, { key: '7:30' }),
    fc.jsonValue({ maxDepth: 1 }),
  );
  fc.assert(
    fc.property(fc.constantFrom(...places), spoilt, ({ message, path }, to) => {
      const data = changed(message, path, to);
      expect(isDeskMessage(data)).toBe(fits(data));
    }),
    { numRuns: 1500 },
  );
});

test.each(QUESTION_KIND_IDS)('a view of the kind %s is checked by the validator of its shape', async (id) => {
  const { isView } = await loadShape(QUESTION_KINDS[id].shape);
  const fits = new Ajv({ code: { optimize: false }, discriminator: true }).compile(KIND_SCHEMAS[id].view as object);
  const views = (QUESTION_KINDS[id].samples as readonly Item[]).map((item) => kindOf(item).viewOf(item, DEFAULT_SETTINGS));
  for (const one of views) expect([isView(one), fits(one)]).toEqual([true, true]);
  const places = views.flatMap((one) => pathsIn(one).map((path) => ({ view: one, path })));
  fc.assert(
    fc.property(
      fc.constantFrom(...places),
      fc.constantFrom(undefined, null, '', -1, 360, true, [], { key: '7:30' }),
      ({ view: one, path }, to) => {
        const data = changed(one, path, to);
        // A shape is shared by kinds: which of them it is, the page does not ask.
        if (path.join() !== 'kind') expect(isView(data)).toBe(fits(data));
      },
    ),
    { numRuns: 200 },
  );
});
