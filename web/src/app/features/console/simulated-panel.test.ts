import { fireEvent } from '@testing-library/dom';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { sessionDetail, withRun } from '../../testing/session';
import { SimulatedPanel } from './simulated-panel';

const FILL = 'POST /api/sessions/session/simulated';
const empty = withRun({}, { participants: [] });

async function open(detail = empty) {
  const server = new FakeServer({ [FILL]: undefined });
  const screen = await render(SimulatedPanel, { detail });
  const write = async (label: string | RegExp, value: string) => {
    fireEvent.input(screen.find.getByLabelText(label), { target: { value, valueAsNumber: Number(value) } });
    await screen.settled();
  };
  const wishes = async () => {
    await screen.press(/^Fill the room/);
    await screen.settled();
    return server.sent(FILL);
  };
  return { ...screen, server, write, wishes };
}

test('unless something else is said a whole class comes that has reached the rung of the lesson and holds its usual ideas', async () => {
  const { wishes } = await open();
  const [wish] = (await wishes()) as { ideas: string[] }[];
  expect(wish).toMatchObject({ count: 26, rung: 'half-past', slowness: 1, carelessness: 0.06, dropOuts: 0, seed: 1 });
  expect(wish!.ideas).toContain('hour-hand-on-numeral');
});

test('how many, how far, how quick and which ideas can be chosen; another rung brings its own ideas', async () => {
  const { find, choose, write, wishes, press, settled } = await open();
  await press('How they are');
  await write(/^How many/, '99');
  await write(/^Number of the class/, '7');
  await choose(/^Pace/, /quick/);
  await choose(/^Lines/, 'one in three');
  const boxes = () => find.getAllByRole<HTMLInputElement>('checkbox');
  fireEvent.click(boxes()[0]!);
  await settled();
  const [first] = (await wishes()) as { ideas: string[] }[];
  expect(first).toMatchObject({ count: 36, seed: 7, slowness: 0.25, dropOuts: 0.35 });
  expect(first!.ideas).toHaveLength(boxes().length - 1);
  await choose(/^They have come as far as/, 'Whole hours');
  expect(boxes().every(({ checked }) => checked)).toBe(true);
  expect((await wishes())[1]).toMatchObject({ rung: 'whole-hours' });
});

test('a room that is full can be filled anew or have its devices switched off; what is refused is said', async () => {
  const { press, server, find, page } = await open(sessionDetail());
  expect(textOf(page)).toContain('Fill the room anew with 26');
  server.on(`${FILL}/stop`, new Refusal('ROOM_OVER', 'This lesson is over.'));
  await press('Switch their devices off');
  await until(() => find.queryByRole('alert') !== null);
  expect(textOf(find.getByRole('alert'))).toBe('This lesson is over.');
  server.on(`${FILL}/stop`, undefined);
  await press('Switch their devices off');
  await until(() => find.queryByRole('alert') === null);
});
