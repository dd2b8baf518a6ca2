import { fireEvent } from '@testing-library/dom';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { PLAIN_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import type { Turning } from './dial-gesture';
import { render } from '../testing/render';
import { TurningDial } from './turning-dial';

const SIZE = 200;

async function open(turning: Turning, speaks: 'time' | 'places' = 'time') {
  const screen = await render(TurningDial, { turning, layers: PLAIN_LAYERS, speaks });
  const dial = screen.component as TurningDial;
  const svg = screen.page.querySelector('svg')!;
  svg.getBoundingClientRect = () => ({ left: 0, top: 0, width: SIZE, height: SIZE }) as DOMRect;
  svg.setPointerCapture = () => undefined;
  /** A finger at an angle from the 12, so far out, 0 to 1. */
  const finger = async (type: string, deg: number, reach = 0.7, change: object = {}) => {
    const [x, y] = [Math.sin((deg * Math.PI) / 180), -Math.cos((deg * Math.PI) / 180)].map((one) => (SIZE / 2) * (1 + one * reach));
    const event = new MouseEvent(type, { bubbles: true, cancelable: true, clientX: x!, clientY: y!, button: 0 });
    fireEvent(svg, Object.assign(event, { isPrimary: true, pointerId: 1, ...change }));
    await screen.settled();
  };
  const slider = (name: 'Short hour hand' | 'Long minute hand') => screen.find.getByRole('slider', { name });
  const says = (name: Parameters<typeof slider>[0]) => slider(name).getAttribute('aria-valuetext');
  return { ...screen, dial, finger, slider, says };
}
const at = (hour: number, minute: number): Turning => ({ hands: 'geared', at: secondOfDay(hour, minute) });

test('geared hands go by keys, minutes by ones and fives, hours by whole ones, and say the time', async () => {
  const { key, slider, says, dial } = await open(at(7, 58));
  const [hour, minute] = [slider('Short hour hand'), slider('Long minute hand')];
  await key(minute, 'ArrowRight');
  await key(minute, 'PageUp');
  expect(dial.turning()).toEqual(at(8, 4));
  await key(hour, 'ArrowUp');
  await key(hour, 'ArrowUp');
  await key(hour, 'PageDown');
  expect(dial.turning()).toEqual(at(9, 4));
  await key(minute, 'ArrowDown');
  expect([says('Short hour hand'), says('Long minute hand')]).toEqual(['three minutes past nine', 'three minutes past nine']);
  expect([hour.getAttribute('aria-valuenow'), minute.getAttribute('aria-valuenow')]).toEqual(['9', '3']);
  // A key that means nothing here is left to the page.
  expect(fireEvent.keyDown(minute, { key: 'Tab' })).toBe(true);
  expect(fireEvent.keyDown(minute, { key: 'ArrowLeft' })).toBe(false);
});

test('where the time is asked, a hand says only where it points', async () => {
  const { says, key, slider } = await open({ hands: 'free', pose: { hourDeg: 225, minuteDeg: 180 } }, 'places');
  expect([says('Short hour hand'), says('Long minute hand')]).toEqual(['between 7 and 8', 'at 6']);
  await key(slider('Short hour hand'), 'PageUp');
  expect(says('Short hour hand')).toBe('between 8 and 9');
});

test('a finger takes the hand under it along; one that is taken away by the device puts it back', async () => {
  const { finger, dial } = await open(at(3, 0));
  await finger('pointerdown', 0); // on the long hand
  await finger('pointermove', 90);
  expect(dial.turning()).toEqual(at(3, 15));
  await finger('pointercancel', 90);
  expect(dial.turning()).toEqual(at(3, 0));
  await finger('pointermove', 180); // nothing is held any more
  expect(dial.turning()).toEqual(at(3, 0));
  await finger('pointerdown', 0);
  await finger('pointermove', 60, 0.7, { isPrimary: false }); // a second finger
  expect(dial.turning()).toEqual(at(3, 0));
  await finger('pointermove', 60);
  await finger('pointerup', 60);
  expect(dial.turning()).toEqual(at(3, 10));
});
