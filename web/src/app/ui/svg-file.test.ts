import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { dialOf, TEACHING_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import type { Inks } from '@zeitpunkt/core/scene/scene-node';
import { stageScene } from '@zeitpunkt/core/scene/stage-scene';
import { stageOfBuild, NEW_BUILD } from '@zeitpunkt/core/stage/dial-build';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { svgFile } from '@zeitpunkt/core/scene/svg-file';

const inks = new Proxy({}, { get: (_, name) => `#${String(name)}` }) as Inks;

test('a file is well-formed XML with the same elements as the scene, colours as values and texts escaped', () => {
  const scene = stageScene({ ...stageOfBuild({ ...NEW_BUILD, words: 'all' }), board: ['5 < 10 & "so on"'] });
  const parsed = new DOMParser().parseFromString(svgFile(scene, inks, 'Mail boat & lamp', 'paper'), 'image/svg+xml');
  expect(parsed.querySelector('parsererror')).toBeNull();
  expect(parsed.querySelector('title')!.textContent).toBe('Mail boat & lamp');
  expect([...parsed.querySelectorAll('text')].map((text) => text.textContent)).toContain('5 < 10 & "so on"');
  expect(parsed.querySelector('rect')!.getAttribute('fill')).toBe('#paper');
  expect(parsed.querySelectorAll('[class]')).toHaveLength(0);
});

test('a clear background has no sheet behind the dial', () => {
  const file = svgFile(dialScene(dialOf(gearedPose(secondOfDay(4, 30)), TEACHING_LAYERS)), inks, 'Dial', null);
  expect(file).not.toContain('<rect');
  expect(file).toContain('rotate(135)');
});
