import fc from 'fast-check';
import { gearedPose } from '../dial/pose.js';
import type { DialMark } from '../scene/dial-state.js';
import { dialsInOrder } from '../scene/stage-state.js';
import { secondOfDay, toSecondOfDay } from '../time/second-of-day.js';
import {
  BAND_CHOICES,
  freeHands,
  letGoIntoGear,
  NEW_BUILD,
  placeOf,
  poseOfBuild,
  setAside,
  setTime,
  stageOfBuild,
  switchBand,
  takeAway,
  takeUp,
  turnHand,
  type BandChoice,
  type DialBuild,
} from './dial-build.js';
import type { GroupNode } from '../scene/scene-node.js';
import { stageScene } from '../scene/stage-scene.js';

const at = (hour: number, minute: number, change: Partial<DialBuild> = {}) =>
  setTime(secondOfDay(hour, minute))({ ...NEW_BUILD, ...change });

test('free hands begin where the gears left them, and let go into the nearest time', () => {
  const free = freeHands(at(9, 0));
  expect(poseOfBuild(free)).toEqual(gearedPose(secondOfDay(9, 0)));
  const impossible = turnHand('minute', 180)(free);
  expect(poseOfBuild(impossible)).toEqual({ hourDeg: 270, minuteDeg: 180 });
  const stage = stageOfBuild({ ...impossible, display: '24h', words: 'all', covered: [1] });
  expect(stage).toMatchObject({ display: { hour: null, minute: null, covered: [] }, words: ['–'] });
  // The dial stays where it is under the hand that turns it out of gear.
  const whereDial = (build: DialBuild) => {
    const { x, y, scale } = stageScene(stageOfBuild(build)).nodes.find(({ id }) => id === 'dial') as GroupNode;
    return [x, y, scale];
  };
  for (const shown of [
    { display: '24h', words: 'none' },
    { display: 'none', words: 'best' },
    { display: 'none', words: 'none' },
  ] as const) {
    expect(whereDial({ ...impossible, ...shown })).toEqual(whereDial({ ...free, ...shown }));
  }
  const geared = letGoIntoGear(turnHand('hour', 14)(impossible));
  expect(geared).toMatchObject({ hands: 'geared', timeSec: secondOfDay(9, 30) });
});

test('a geared hand carries the other one in a build too', () => {
  expect(turnHand('minute', 90)(at(9, 0)).timeSec).toBe(secondOfDay(9, 15));
  expect(turnHand('hour', -30)(at(0, 20)).timeSec).toBe(secondOfDay(23, 20));
});

test('display and words follow the hands at every minute, in 12 and in 24 hours', () => {
  for (let minute = 0; minute < 1440; minute += 13) {
    const build = setTime(toSecondOfDay(minute * 60))({ ...NEW_BUILD, display: '24h', words: 'best' });
    const { display, words } = stageOfBuild(build);
    expect(Number(display!.hour) * 60 + Number(display!.minute)).toBe(minute);
    expect(words).toHaveLength(1);
  }
  expect(stageOfBuild(at(16, 5)).display).toMatchObject({ hour: '4', minute: '05' });
});

test('lines and strips show the time of the hands; a third one pushes the first out', () => {
  const [one, two, three] = Object.keys(BAND_CHOICES) as [BandChoice, BandChoice, BandChoice];
  const both = switchBand(two)(switchBand(one)(at(4, 45)));
  expect(stageOfBuild(both).bands).toEqual([
    {
      type: 'hour-line',
      hour: 4,
      by: 15,
      at: 45,
      jumps: [
        { from: 0, to: 15 },
        { from: 15, to: 30 },
        { from: 30, to: 45 },
      ],
    },
    expect.objectContaining({ by: 5, at: 45 }),
  ]);
  expect(switchBand(three)(both).bands).toEqual([two, three]);
  expect(switchBand(two)(both).bands).toEqual([one]);
  expect(stageOfBuild({ ...at(16, 30), bands: ['day-line', 'strip-quarters'] }).bands).toMatchObject([
    { atSec: secondOfDay(16, 30) },
    { parts: 4, filled: 2 },
  ]);
});

test('dials set aside stand beside, at most eight in all, and every build draws inside its stage', () => {
  let build = at(1, 0);
  for (let hour = 1; hour < 12; hour++) build = setAside(setTime(secondOfDay(hour, 0))(build));
  expect(build.beside).toHaveLength(7);
  for (const beside of [0, 1, 3, 7]) {
    for (const bands of [[], ['day-line'], ['hour-line-ones', 'circle-quarters']] as BandChoice[][]) {
      for (const layout of ['wide', 'tall', 'large'] as const) {
        const scene = stageScene(stageOfBuild({ ...build, bands, beside: build.beside.slice(0, beside), words: 'all' }), layout);
        const ids = scene.nodes.map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
        for (const node of scene.nodes) {
          if (node.type === 'text') expect(node.y + node.size / 2).toBeLessThanOrEqual(scene.height);
          if (node.type === 'group' && node.role === 'dial') expect(node.y + 122 * node.scale).toBeLessThanOrEqual(scene.height);
        }
      }
    }
  }
});

describe('several dials', () => {
  const ring: DialMark = { type: 'numeral', numeral: 4 };
  const three = setTime(secondOfDay(15, 0))(setAside(setTime(secondOfDay(14, 30))(setAside({ ...at(1, 0), marks: [ring] }))));
  const order = (build: DialBuild) => dialsInOrder(stageOfBuild(build)).map(({ pose }) => pose.hourDeg);

  test('stand in the order they were set aside, marks staying with theirs', () => {
    expect(order(three)).toEqual([30, 75, 90]);
    expect(dialsInOrder(stageOfBuild(three)).map(({ marks }) => marks)).toEqual([[ring], [], []]);
  });

  test('any of them can be taken up, changed where it stands, and put down for another', () => {
    const first = takeUp(0)(three);
    expect(first).toMatchObject({ hands: 'geared', timeSec: secondOfDay(13, 0), marks: [ring] }); // the afternoon stays the afternoon
    const changed = setTime(secondOfDay(16, 0))(first);
    expect(order(changed)).toEqual([120, 75, 90]);
    expect(order(takeUp(2)(changed))).toEqual([120, 75, 90]);
    expect(takeUp(2)(takeUp(0)(three))).toEqual(three);
    expect(takeUp(2)(three)).toBe(three);
    expect(takeUp(9)(three)).toBe(three);
  });

  test('one that shows no time keeps its hands free', () => {
    const odd = { ...three, hands: 'free' as const, freePose: { hourDeg: 270, minuteDeg: 180 } };
    expect(takeUp(2)(takeUp(0)(odd))).toMatchObject({ hands: 'free', freePose: { hourDeg: 270, minuteDeg: 180 } });
  });

  test('the one at hand can be taken away, down to the last', () => {
    expect(order(takeAway(takeUp(1)(three)))).toEqual([30, 90]);
    const last = takeAway(takeAway(three));
    expect(order(last)).toEqual([30]);
    expect(takeAway(last)).toBe(last);
  });

  test('however they are taken up, set aside and away, the dial at hand is among at most eight', () => {
    const act = fc.oneof(
      fc.constant(setAside),
      fc.constant(takeAway),
      fc.nat(8).map((index) => takeUp(index)),
    );
    fc.assert(
      fc.property(fc.array(act, { maxLength: 30 }), (acts) => {
        const build = acts.reduce((before, change) => change(before), three);
        const all = dialsInOrder(stageOfBuild(build));
        expect(all.length).toBeLessThanOrEqual(8);
        expect(all[placeOf(build)]).toMatchObject({ pose: poseOfBuild(build), layers: build.layers });
      }),
    );
  });
});
