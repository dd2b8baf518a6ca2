import type { ViewOf } from '@zeitpunkt/core/question-kinds/registry';
import { PLAIN_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import { render } from '../../testing/render';
import { PoseAnswerView } from './answer';

const view: ViewOf<'set-dial'> = {
  kind: 'set-dial',
  itemId: 'q2',
  stem: 'Set 2:40.',
  shape: 'pose',
  picture: { dial: null, display: null, lines: [], band: null },
  hands: 'geared',
  startSec: 43_200,
  layers: PLAIN_LAYERS,
};
async function open(change: Partial<ViewOf<'set-dial'>> = {}) {
  const screen = await render(PoseAnswerView, { view: { ...view, ...change }, given: null });
  const hand = (name: string) => screen.find.getByRole('slider', { name });
  const turn = async (name: string, ...keys: string[]) => {
    for (const key of keys) await screen.key(hand(name), key);
  };
  return { ...screen, hand, turn, dial: screen.component as PoseAnswerView };
}
const [LONG, SHORT] = ['Long minute hand', 'Short hour hand'];

test('geared: the minute hand carries the hour hand, the hour hand goes from hour to hour, and places are spoken, not the time', async () => {
  const { hand, turn, dial } = await open();
  await turn(SHORT, 'ArrowUp', 'ArrowUp');
  await turn(LONG, 'PageUp', 'PageUp', 'PageUp', 'PageUp', 'PageUp', 'PageUp', 'PageUp', 'PageUp', 'ArrowRight', 'ArrowLeft');
  expect(hand(LONG).getAttribute('aria-valuetext')).toBe('at 8');
  expect(hand(SHORT).getAttribute('aria-valuenow')).toBe('2');
  expect(dial.response()).toEqual({ kind: 'set-dial', hourDeg: 80, minuteDeg: 240 });
});

test('free: each hand moves alone, and each says where it points', async () => {
  const { hand, turn, dial } = await open({ hands: 'free' });
  await turn(LONG, 'PageUp', 'PageUp');
  await turn(SHORT, 'PageUp', 'ArrowRight');
  expect(hand(LONG).getAttribute('aria-valuetext')).toBe('at 2');
  expect(hand(SHORT).getAttribute('aria-valuetext')).toMatch(/between 1 and 2/);
  expect(dial.response()).toEqual({ kind: 'set-dial', hourDeg: 32.5, minuteDeg: 60 });
});

test.each(['geared', 'free'] as const)('an answer that is changed begins where its %s hands were left', async (hands) => {
  const given = { kind: 'set-dial', hourDeg: 80, minuteDeg: 240 };
  const { find, component } = await render(PoseAnswerView, { view: { ...view, hands }, given });
  expect(find.getByRole('slider', { name: LONG }).getAttribute('aria-valuenow')).toBe('40');
  expect(find.getByRole('slider', { name: SHORT }).getAttribute('aria-valuenow')).toBe('2');
  expect((component as PoseAnswerView).response()).toEqual(given);
});

test('hands that were not turned are no answer; a new view of the question leaves turned ones alone', async () => {
  const { turn, dial, setInputs, hand } = await open();
  expect(dial.ready()).toBe(false);
  await turn(LONG, 'ArrowRight');
  expect(dial.ready()).toBe(true);
  await setInputs({ view: { ...view } });
  expect(hand(LONG).getAttribute('aria-valuenow')).toBe('1');
  await setInputs({ view: { ...view, itemId: 'q3' } });
  expect([hand(LONG).getAttribute('aria-valuenow'), dial.ready()]).toEqual(['0', false]);
});
