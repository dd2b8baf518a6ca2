import type { DeskView } from '@zeitpunkt/contract';
import { PLAIN_LAYERS } from '@zeitpunkt/core/scene/dial-state';

/** A pupil's view of a question that is open: a dial at half past seven to read. */
export function deskView(change: Partial<DeskView> = {}): DeskView {
  return {
    seq: 1,
    phase: 'running',
    participantId: '11111111-1111-4111-8111-111111111111',
    pupilName: 'Wren',
    className: 'Terns',
    lessonTitle: 'The lamp at the harbour light',
    language: 'en-GB',
    shapes: ['time'],
    stage: null,
    calls: { showMe: false, pulse: null },
    own: null,
    question: questionView(),
    ...change,
  };
}

type Question = NonNullable<DeskView['question']>;

export function questionView(change: Partial<Question> = {}): Question {
  return {
    askingId: 'q1',
    view: {
      kind: 'read-dial',
      itemId: 'q1',
      stem: 'What time is it?',
      picture: { dial: { hourDeg: 225, minuteDeg: 180, layers: PLAIN_LAYERS, letters: [] }, display: null, lines: [], band: null },
      shape: 'time',
      separator: ':',
      asks: 'time',
    },
    phase: 'open',
    nudged: false,
    takeId: null,
    countdown: null,
    given: null,
    reveal: null,
    ...change,
  };
}
