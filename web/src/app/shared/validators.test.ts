import isDeskMessage from '../../generated/desk-message';
import isResponsePost from '../../generated/response-post';
import isTeacherMessage from '../../generated/teacher-message';
import { responseOf, sessionDetail } from '../testing/session';

const ID = '3f2b8a54-0d5c-4c1e-9a77-5f1f3c2f8a10';
const post = { id: ID, itemId: 'q1', response: { kind: 'read-dial', hour: '7', minute: '30' }, responseTimeMs: 900 };
const view = {
  seq: 1,
  phase: 'lobby',
  participantId: ID,
  pupilName: 'Wren',
  className: 'Terns',
  lessonTitle: 'The lamp',
  stage: null,
  question: null,
};

test('the compiled validators take what the contract allows and nothing else', () => {
  expect(isResponsePost(post)).toBe(true);
  expect(isResponsePost({ ...post, response: { ...post.response, hour: 'x' } })).toBe(false);
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
