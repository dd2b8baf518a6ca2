import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { ClockNotice } from './clock-notice';

const LEAP = { fromMs: Date.UTC(2026, 6, 1, 12), toMs: Date.UTC(2027, 6, 2, 12) };
const CONFIRM = 'POST /api/clock/confirm';

test('a clock that is believed is not spoken of, nor one that cannot be asked', async () => {
  const server = new FakeServer({ 'GET /api/clock': { leap: null } });
  const { page, find } = await render(ClockNotice);
  expect([textOf(page), find.queryByRole('alert')]).toEqual(['', null]);
  expect(server.asked).toHaveLength(1);
});

test('a server that cannot be reached is told by the place itself, and not once more here', async () => {
  const server = new FakeServer();
  server.reachable = false;
  const { page } = await render(ClockNotice);
  expect(textOf(page)).toBe('');
});

test('a year’s leap is told with both days; what the teacher says is asked for once, and a refusal leaves the notice there', async () => {
  let answer: (value: unknown) => void = () => undefined;
  const server = new FakeServer({ 'GET /api/clock': { leap: LEAP }, [CONFIRM]: () => new Promise((resolve) => (answer = resolve)) });
  const { page, find, press } = await render(ClockNotice);
  await until(() => find.queryByRole('alert') !== null);
  expect(textOf(page)).toMatch(/2027/);
  expect(textOf(page)).toMatch(/2026/);
  const button = find.getByRole<HTMLButtonElement>('button');
  await press(textOf(button));
  expect(button.disabled).toBe(true); // pressed twice it asks once
  answer(new Refusal('SIGN_IN_NEEDED', 'Please sign in first.', 401));
  await until(() => textOf(page).includes('Please sign in first.'));
  expect([textOf(page).includes('2027'), button.disabled]).toEqual([true, false]);
  server.on(CONFIRM, { leap: null });
  await press(textOf(button));
  await until(() => textOf(page) === '');
  expect(server.sent(CONFIRM)).toHaveLength(2);
});
