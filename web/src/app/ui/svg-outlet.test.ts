import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { dialOf, PLAIN_LAYERS, TEACHING_LAYERS, type DialMark } from '@zeitpunkt/core/scene/dial-state';
import type { Scene } from '@zeitpunkt/core/scene/scene-node';
import { stageScene } from '@zeitpunkt/core/scene/stage-scene';
import { CLEAR_STAGE, displayOf } from '@zeitpunkt/core/scene/stage-state';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { SvgOutlet } from './svg-outlet';

const dial = (hour: number, minute: number, marks: DialMark[] = []) => dialOf(gearedPose(secondOfDay(hour, minute)), PLAIN_LAYERS, marks);
const newSvg = () => document.createElementNS('http://www.w3.org/2000/svg', 'svg');
/** What an outlet draws from nothing. */
function drawn(scene: Scene): string {
  const svg = newSvg();
  new SvgOutlet(svg).draw(scene);
  return svg.outerHTML;
}

test('after any change the picture is the same as drawn from nothing, in the same order', () => {
  const svg = newSvg();
  const outlet = new SvgOutlet(svg);
  const scenes = [
    dialScene(dial(4, 30)),
    dialScene(dial(1, 5, [{ type: 'hand', hand: 'hour' }])),
    dialScene(
      dial(1, 5, [
        { type: 'count', toMinute: 20, by: 5 },
        { type: 'ray', deg: 90 },
      ]),
    ),
    dialScene({ ...dial(9, 0), layers: TEACHING_LAYERS }),
    stageScene({ ...CLEAR_STAGE, dial: dial(2, 45), display: displayOf('2', null, ':'), words: ['quarter to three'] }),
    stageScene({ ...CLEAR_STAGE, board: ['One.', 'Two.'], stem: 'What time is it?', countdown: { totalMs: 9000, leftMs: 100 } }),
    dialScene(dial(4, 30)),
  ];
  for (const scene of scenes) {
    outlet.draw(scene);
    expect(svg.outerHTML).toBe(drawn(scene));
  }
});

test('a turning hand changes its own shape and nothing else, and no transform', async () => {
  const svg = newSvg();
  const outlet = new SvgOutlet(svg);
  outlet.draw(dialScene(dial(4, 0)));
  const seen: string[] = [];
  const observer = new MutationObserver((records) => {
    for (const { target, attributeName } of records) {
      seen.push(`${(target as Element).closest('[data-role]')!.getAttribute('data-role')} ${attributeName}`);
    }
  });
  observer.observe(svg, { subtree: true, attributes: true, childList: true, characterData: true });
  outlet.draw(dialScene(dial(4, 10)));
  await Promise.resolve();
  expect(seen).toEqual(['hour-hand data-deg', 'hour-hand points', 'minute-hand data-deg', 'minute-hand points']);
  observer.disconnect();
});
