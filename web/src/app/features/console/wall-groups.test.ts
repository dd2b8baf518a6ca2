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

test('while a question is open the wall tells who thinks and who has answered, and nothing of right or wrong', () => {
  expect(groups('open', responseOf('Bashir', 'q1', ['coming-hour']), responseOf('Anouk', 'q1'))).toEqual([
    ['Still thinking', 'Ceri'],
    ['Answered', 'Anouk', 'Bashir'],
  ]);
});

test('after the reveal the wall goes from no answer over shared ideas to the right ones', () => {
  const responses = [responseOf('Anouk', 'q1'), responseOf('Bashir', 'q1', ['numeral-as-minutes'])];
  expect(groups('revealed', ...responses)).toEqual([
    ['No answer', 'Ceri'],
    ['Numeral as minutes', 'Bashir'],
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
    ['Nearest hour or coming hour or half of the coming hour', 'Bashir'],
    ['Right', 'Ceri'],
  ]);
});
