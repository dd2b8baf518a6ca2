import type { SessionDetail } from '@zeitpunkt/contract';
import { heard, render, textOf, until } from '../../testing/render';
import { askingOf, responseOf, sessionDetail } from '../../testing/session';
import { Wall } from './wall';

const withLive = (change: Partial<SessionDetail['live']>): SessionDetail => {
  const detail = sessionDetail();
  return { ...detail, live: { ...detail.live, ...change } };
};

test('answers come in as they are given, and stand by their idea after the reveal', async () => {
  const responses = [responseOf('Anouk', 'q1'), responseOf('Bashir', 'q1', ['coming-hour'])];
  const { find, setInputs } = await render(Wall, {
    detail: withLive({ responses: responses.slice(0, 1) }),
    asking: askingOf('q1', 'open'),
  });
  expect(textOf(find.getByRole('heading', { level: 2 }))).toBe('1 of 3 answered open');
  await setInputs({ detail: withLive({ responses }), asking: askingOf('q1', 'revealed') });
  expect(textOf(find.getByRole('heading', { level: 2 }))).toBe('2 of 3 answered revealed');
  await until(() => /8:30/.test(textOf(find.getByRole('region', { name: /oming hour/ }))));
  const group = (name: RegExp) => textOf(find.getByRole('region', { name }));
  expect(group(/oming hour/)).toContain('8:30 Bashir');
  expect(group(/^Right/)).toContain('7:30 Anouk');
  expect(group(/^No answer/)).toContain('Ceri');
});

test('an answer that came late stands by itself until the teacher lets it count', async () => {
  const late = { ...responseOf('Ceri', 'q1'), receivedAtMs: 130_000, late: { givenAtMs: 99_000, closedAtMs: 100_000, counted: false } };
  const asking = askingOf('q1', 'revealed');
  const { find, press, setInputs, component } = await render(Wall, { detail: withLive({ responses: [late] }), asking });
  const acts = heard((component as Wall).act);
  expect(textOf(find.getByRole('heading', { level: 2 }))).toBe('0 of 3 answered revealed');
  expect(textOf(find.getByRole('region', { name: 'Came late' }))).toContain('Ceri');
  await press('Late answer of Ceri, given in time by the device’s clock, came 30 s after the close. Let it count');
  expect(acts).toEqual([{ type: 'count', responseId: late.id, counted: true }]);
  await setInputs({ detail: withLive({ responses: [{ ...late, late: { ...late.late, counted: true } }] }), asking });
  expect(textOf(find.getByRole('region', { name: 'Right' }))).toContain('Ceri');
});

test('the whole class is one bar, in the order and with the signs of the groups', async () => {
  const responses = [responseOf('Anouk', 'q1'), responseOf('Bashir', 'q1', ['coming-hour'])];
  const { find } = await render(Wall, { detail: withLive({ responses }), asking: askingOf('q1', 'revealed') });
  const bar = find.getByRole('list', { name: 'The whole class' });
  expect([...bar.querySelectorAll('[aria-hidden]')].map((one) => one.textContent)).toEqual(['… 1', 'A 1', '✓ 1']);
});
