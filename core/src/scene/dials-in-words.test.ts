import fc from 'fast-check';
import { gearedPose } from '../dial/pose.js';
import { NEW_BUILD, stageOfBuild } from '../stage/dial-build.js';
import { secondOfDay, toSecondOfDay } from '../time/second-of-day.js';
import { describeDial, dialLetter } from './describe-stage.js';
import { withDialAtHand } from './dial-at-hand.js';
import { dialOf, EMPTY_LAYERS, PLAIN_LAYERS } from './dial-state.js';
import { displayAt } from './display-at.js';
import { stageScene } from './stage-scene.js';
import { svgFile } from './svg-file.js';
import { PRINT_INKS } from './print-inks.js';
import { timeOnStage } from './time-on-stage.js';

const anyTime = fc.integer({ min: 0, max: 1439 }).map((minute) => toSecondOfDay(minute * 60));
const stage = (at: number, more: object = {}) => stageOfBuild({ ...NEW_BUILD, timeSec: toSecondOfDay(at), ...more });

test('a dial is told by where its hands are, and never read: no time is in what is said of it', () => {
  fc.assert(
    fc.property(anyTime, (at) => {
      for (const tongue of ['en', 'de'] as const) {
        const told = describeDial(dialOf(gearedPose(at), PLAIN_LAYERS), tongue);
        expect(told).not.toMatch(/\d:\d|o’clock|half past|quarter|halb|viertel|Uhr ist/i);
        expect(told.split('. ').length).toBeGreaterThanOrEqual(3);
      }
    }),
  );
  const pose = gearedPose(secondOfDay(4, 30));
  expect(describeDial(dialOf(pose, EMPTY_LAYERS))).toBe('A clock dial without hands.');
  expect(describeDial(dialOf(pose, { ...PLAIN_LAYERS, minuteHand: false }))).toMatch(/^A clock dial with one hand\. .*4/);
});

test('the time of a stage is that of its hands; a day line on the same stage tells morning from evening', () => {
  fc.assert(
    fc.property(anyTime, (at) => {
      expect(timeOnStage(stage(at)) % 43_200).toBe(at % 43_200);
    }),
  );
  const evening = { ...stage(secondOfDay(8, 0)), bands: [{ type: 'day-line' as const, atSec: secondOfDay(20, 0), events: [] }] };
  expect(timeOnStage(evening as never)).toBe(secondOfDay(20, 0));
  const elsewhere = { ...evening, bands: [{ type: 'day-line' as const, atSec: secondOfDay(9, 0), events: [] }] };
  expect(timeOnStage(elsewhere as never)).toBe(secondOfDay(8, 0));
});

test('a display goes to another time as it is: what is left for pupils stays empty, and 24 hours stay 24', () => {
  const display = { hour: '4', minute: '30', separator: ':' as const, of24: false } as never;
  expect(displayAt(display, secondOfDay(17, 5))).toMatchObject({ hour: '5', minute: '05' });
  expect(displayAt({ ...(display as object), of24: true } as never, secondOfDay(7, 5))).toMatchObject({ hour: '07', minute: '05' });
  expect(displayAt({ ...(display as object), minute: null } as never, secondOfDay(7, 5))).toMatchObject({ hour: '7', minute: null });
});

test('the ring of the dial at hand lies round that dial alone, and nowhere when there is none', () => {
  const beside = [6, 9].map((hour) => ({ pose: gearedPose(secondOfDay(hour, 0)), layers: PLAIN_LAYERS, marks: [] }));
  const scene = stageScene(stage(secondOfDay(3, 0), { beside }));
  const dials = scene.nodes.filter((node) => node.type === 'group' && node.role === 'dial') as { x: number; y: number }[];
  expect(dials).toHaveLength(3);
  dials.forEach(({ x, y }, place) => {
    const added = withDialAtHand(scene, place).nodes.slice(scene.nodes.length);
    expect(added).toMatchObject([{ type: 'circle', cx: x, cy: y, stroke: 'accent' }]);
  });
  expect(withDialAtHand(scene, 3)).toBe(scene);
  expect([0, 1, 25].map(dialLetter)).toEqual(['A', 'B', 'Z']);
});

test('a drawing goes out as a document of its own: whatever is written in it, nothing breaks out, and colours are values', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme-ascii' }), (title) => {
      const file = svgFile(stageScene({ ...stage(secondOfDay(4, 30)), board: [title] }), PRINT_INKS, title, 'paper');
      expect(file).toMatch(/^<\?xml [^>]*\?>\n<svg /);
      expect(file.match(/<svg|<\/svg>/g)).toEqual(['<svg', '</svg>']);
      expect(file).not.toMatch(/var\(--|class=|<script/);
      const [, inside] = /<title>([^<]*)<\/title>/.exec(file)!;
      expect(
        inside!
          .replace(/&lt;/g, '<')
          .replace(/&quot;/g, '"')
          .replace(/&amp;/g, '&'),
      ).toBe(title);
    }),
    { numRuns: 60 },
  );
});
