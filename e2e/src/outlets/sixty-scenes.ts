import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { seededRng } from '@zeitpunkt/core/random/rng';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { dialOf, PLAIN_LAYERS, TEACHING_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import type { Scene } from '@zeitpunkt/core/scene/scene-node';
import { stageScene } from '@zeitpunkt/core/scene/stage-scene';
import { NEW_BUILD, setAside, setTime, stageOfBuild, type BandChoice, type DialBuild } from '@zeitpunkt/core/stage/dial-build';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';

const BANDS: readonly BandChoice[] = [
  'hour-line-quarters',
  'hour-line-fives',
  'hour-line-ones',
  'day-line',
  'strip-quarters',
  'circle-quarters',
];

/** Sixty scenes with every layer, mark, band and layout somewhere among them; the same ones every time. */
export function sixtyScenes(): Scene[] {
  const rng = seededRng(60);
  const one = <T>(of: readonly T[]): T => of[Math.floor(rng() * of.length)]!;
  const coin = () => rng() < 0.5;
  return Array.from({ length: 60 }, (_, index): Scene => {
    const [hour, minute] = [Math.floor(rng() * 24), Math.floor(rng() * 60)];
    const layers = {
      ...TEACHING_LAYERS,
      numerals: one(['all', 'quarters', 'none'] as const),
      numeralGaps: coin() ? [2, 7] : [],
      ticks: coin(),
      minuteRing: one(['full', 'quarters', 'none'] as const),
      ringTop: one(['00', '60', 'oclock', 'none'] as const),
      ring24: coin(),
      hourZones: coin(),
      halves: coin(),
      quarters: coin(),
      shaded: coin(),
      secondHand: coin(),
      handInk: one(['own', 'red-blue', 'blue-red', 'alike'] as const),
    };
    if (index % 10 === 9) return dialScene(dialOf(gearedPose(secondOfDay(hour, minute)), index % 20 === 9 ? PLAIN_LAYERS : layers));
    let build: DialBuild = {
      ...setTime(secondOfDay(hour, minute))(NEW_BUILD),
      layers,
      marks: [
        { type: 'numeral', numeral: 4 },
        { type: 'ray', deg: 90 },
        { type: 'arc', fromMinute: 10, toMinute: 30, by: 5 },
        { type: 'hand', hand: one(['hour', 'minute'] as const) },
        { type: 'count', toMinute: minute, by: 5 },
        { type: 'ink', id: 'a', d: 'M-40 20 Q0 60 40 20 L38 26 Q0 70 -42 26 Z' },
      ].slice(0, Math.floor(rng() * 7)) as DialBuild['marks'],
      display: one(['none', '12h', '24h'] as const),
      covered: coin() ? [1, 2] : [],
      tied: coin(),
      words: one(['none', 'best', 'all'] as const),
      pack: one(['en-GB', 'en-US', 'de'] as const),
      bands: index % 3 === 0 ? [one(BANDS)] : [],
    };
    for (let aside = index % 7 === 6 ? Math.floor(rng() * 8) : 0; aside > 0; aside--) build = setAside(build);
    return stageScene(stageOfBuild(build), one(['wide', 'tall', 'large'] as const));
  });
}
