import { draftOf, dropDraft, keepDraft } from './answer-drafts';

const half = { kind: 'read-dial', hour: '7', minute: '30' } as const;
beforeEach(() => localStorage.clear());

test('what one pupil has put together is not the other’s on the same device, nor that of another question', () => {
  keepDraft('anouk', 'q1', half);
  expect([draftOf('anouk', 'q1'), draftOf('bashir', 'q1'), draftOf('anouk', 'q2')]).toEqual([half, null, null]);
  dropDraft('anouk', 'q1');
  expect(draftOf('anouk', 'q1')).toBeNull();
});

test('on a device that refuses to keep anything, nothing is kept and nothing breaks', () => {
  const refuse = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('The store is full.', 'QuotaExceededError');
  });
  expect(() => keepDraft('anouk', 'q1', half)).not.toThrow();
  expect(draftOf('anouk', 'q1')).toBeNull();
  refuse.mockRestore();
});
