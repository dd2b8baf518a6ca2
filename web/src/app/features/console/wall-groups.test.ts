import type { MarkedResponse } from '@zeitpunkt/contract';
import { askingOf, responseOf, sessionDetail } from '../../testing/session';
import { wallGroups } from './wall-groups';

const groups = (phase: 'open' | 'revealed', ...responses: MarkedResponse[]) => {
  const detail = sessionDetail();
  return wallGroups({ ...detail, live: { ...detail.live, responses } }, askingOf('q1', phase)).map(({ title, pupils }) => [
    title,
    ...pupils.map((one) => one.participant.name),
  ]);
};

test('answers stand by their idea as they come, or for sharing in the order in which they came', () => {
  const first = { ...responseOf('Bashir', 'q1', ['coming-hour']), receivedAtMs: 1000 };
  const responses = [{ ...responseOf('Anouk', 'q1'), receivedAtMs: 2000 }, first];
  expect(groups('open', ...responses)).toEqual([
    ['Still thinking', 'Ceri'],
    ['Another hour', 'Bashir'],
    ['Right', 'Anouk'],
  ]);
  const detail = sessionDetail();
  const came = wallGroups({ ...detail, live: { ...detail.live, responses } }, askingOf('q1', 'open'), 'arrival');
  expect(came.map(({ title, pupils }) => [title, ...pupils.map(({ participant }) => participant.name)])).toEqual([
    ['Still thinking', 'Ceri'],
    ['Answered', 'Bashir', 'Anouk'],
  ]);
});

test('who waits at the door stands nowhere on the wall', () => {
  const detail = sessionDetail();
  const participants = detail.live.participants.map((one) => ({ ...one, waits: one.name === 'Ceri' }));
  const names = wallGroups({ ...detail, live: { ...detail.live, participants } }, askingOf('q1', 'open')).flatMap(({ pupils }) =>
    pupils.map(({ participant }) => participant.name),
  );
  expect(names).toEqual(['Anouk', 'Bashir']);
});

test('who is not sure stands apart from those who answered', () => {
  const unsure = { ...responseOf('Ceri', 'q1'), response: { kind: 'not-sure' as const } };
  expect(groups('open', unsure, responseOf('Anouk', 'q1'))).toEqual([
    ['Still thinking', 'Bashir'],
    ['Not sure', 'Ceri'],
    ['Right', 'Anouk'],
  ]);
});

test('after the reveal the wall goes from no answer over shared ideas to the right ones', () => {
  const responses = [responseOf('Anouk', 'q1'), responseOf('Bashir', 'q1', ['numeral-as-minutes'])];
  expect(groups('revealed', ...responses)).toEqual([
    ['No answer', 'Ceri'],
    ['Reads the 6 as 6 minutes', 'Bashir'],
    ['Right', 'Anouk'],
  ]);
});

test('an answer that fits two ideas names both, and a mind that was changed counts as changed', () => {
  expect(
    groups(
      'revealed',
      responseOf('Ceri', 'q1', ['coming-hour']),
      responseOf('Ceri', 'q1', [], 2),
      responseOf('Bashir', 'q1', ['coming-hour']),
    ),
  ).toEqual([
    ['No answer', 'Anouk'],
    ['Another hour', 'Bashir'],
    ['Right', 'Ceri'],
  ]);
});
