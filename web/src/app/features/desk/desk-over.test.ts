import { DeskOver } from './desk-over';
import { DeskStore } from './desk-store';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';

const NEXT = 'GET /api/desk/next';

test('a desk that was left open finds the next lesson of its class; while there is none, or no line, it asks again', async () => {
  const server = new FakeServer({ [NEXT]: { open: false } });
  const leave = jest.fn();
  const { page, find, settled } = await render(DeskOver, {}, [{ provide: DeskStore, useValue: { leave } }]);
  let asked = 0;
  /** The device is looked at again, which asks at once; else it is asked every quarter of a minute. */
  const look = async () => {
    document.dispatchEvent(new Event('visibilitychange'));
    asked += 1;
    await until(() => server.sent(NEXT).length === asked);
    await settled();
  };
  await look();
  expect(textOf(page)).toBe('The lesson is over. See you next time!');
  server.on(NEXT, new Refusal('DESK_NOT_JOINED', 'This device is not in a room.'));
  await look();
  expect(find.queryByRole('button')).toBeNull();
  server.on(NEXT, { open: true });
  await look();
  await until(() => find.queryByRole('button', { name: 'Go in' }) !== null);
  find.getByRole('button', { name: 'Go in' }).click();
  expect(leave).toHaveBeenCalledTimes(1);
});
