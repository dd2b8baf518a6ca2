import type { QuestionKindId } from '../../question-kinds/registry.js';

/** Kinds of questions about reading, writing and setting a time, the plainest first: they fit every rung on which minutes are new. */
export const READING_KINDS: readonly QuestionKindId[] = [
  'read-dial',
  'set-dial',
  'choose-one',
  'choose-all',
  'odd-one-out',
  'match',
  'write-display',
  'write-words',
  'explain-mistake',
  'hands-in-words',
  'possible-dial',
];
