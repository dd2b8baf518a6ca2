import fc from 'fast-check';
import { gearedPose } from '../dial/pose.js';
import { CLEAR_STAGE, displayOf, type StageState } from '../scene/stage-state.js';
import { TEACHING_LAYERS } from '../scene/dial-state.js';
import { secondOfDay, wrapSecondOfDay } from '../time/second-of-day.js';
import { timeOnStage } from '../scene/time-on-stage.js';
import { explain } from './explain.js';
import { exampleSteps, leavesScript, NEW_ASIDE, stageAside } from './aside.js';
import { NEW_BUILD, setTime, stageOfBuild } from './dial-build.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';

const LESSON = { settings: DEFAULT_SETTINGS };
const half = secondOfDay(4, 30);
const scripted: StageState = {
  ...stageOfBuild(setTime(half)({ ...NEW_BUILD, words: 'best', bands: ['hour-line-fives', 'day-line'] })),
  board: ['The hour hand has passed 4.'],
  stem: 'What time is it?',
};
const ring = { type: 'numeral', numeral: 6 } as const;
const aside = (timeSec: number | null, stage = scripted) => stageAside(stage, { ...NEW_ASIDE, timeSec, marks: [ring] }, LESSON);

test('pointing goes on top and leaves everything else as the script has it', () => {
  expect(stageAside(scripted, NEW_ASIDE, LESSON)).toBe(scripted);
  expect(aside(null)).toEqual({ ...scripted, dial: { ...scripted.dial, marks: [ring] } });
});

test('turned hands take display, words and lines along, and what spoke of the script’s time goes', () => {
  const stage = aside(secondOfDay(16, 55));
  expect(stage).toMatchObject({
    dial: { pose: gearedPose(secondOfDay(16, 55)), marks: [ring] },
    display: { hour: '4', minute: '55' },
    words: ['five to five'],
    bands: [
      { type: 'hour-line', hour: 4, at: 55 },
      { type: 'day-line', atSec: secondOfDay(16, 55), events: NEW_BUILD.events },
    ],
    board: [],
    stem: null,
  });
});

test('a count of the script is not left beside other hands, a hand pointed at still is', () => {
  const marks = [
    { type: 'count', toMinute: 30, by: 5 },
    { type: 'hand', hand: 'hour' },
  ] as const;
  const stage = stageAside({ ...scripted, dial: { ...scripted.dial!, marks } }, { ...NEW_ASIDE, timeSec: 0 }, LESSON);
  expect(stage.dial!.marks).toEqual([marks[1]]);
});

test('boxes that pupils are to fill stay empty, and a 24-hour display stays one', () => {
  const display = displayOf(null, null, ':');
  expect(aside(secondOfDay(9, 5), { ...scripted, display }).display).toEqual(display);
  expect(aside(secondOfDay(9, 5), { ...scripted, display: { ...display, hour: '10', minute: '30', of24: true } }).display).toMatchObject({
    hour: '09',
    minute: '05',
  });
});

test('a stage without a dial gets one to turn', () => {
  expect(aside(half, CLEAR_STAGE).dial).toMatchObject({ pose: gearedPose(half), layers: TEACHING_LAYERS });
  expect(timeOnStage(CLEAR_STAGE)).toBe(secondOfDay(8, 0));
});

test('turning begins at the time that is shown, at every minute, and the day line tells the half of the day', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1439 }), (minute) => {
      const at = wrapSecondOfDay(minute * 60);
      const stage = stageOfBuild(setTime(at)(NEW_BUILD));
      expect(timeOnStage(stage) % 43_200).toBe(at % 43_200);
      expect(timeOnStage(stageOfBuild(setTime(at)({ ...NEW_BUILD, bands: ['day-line'] })))).toBe(at);
      // What is shown beside the script is what a dial built for that time shows.
      expect(stageAside(stage, { ...NEW_ASIDE, timeSec: at }, LESSON).display).toEqual(stage.display);
    }),
  );
});

test('an example beside the script is told step by step, and ends as the explanation does; the chart has the stage to itself', () => {
  const at = secondOfDay(7, 40);
  const stages = exampleSteps(at, DEFAULT_SETTINGS).map(({ step }) =>
    stageAside(scripted, { ...NEW_ASIDE, timeSec: at, shows: { kind: 'example', step } }, LESSON),
  );
  expect(stages).toHaveLength(explain(at, DEFAULT_SETTINGS).length);
  expect(stages[0]).toMatchObject({ dial: { pose: gearedPose(at) }, display: { hour: null, minute: null }, stem: null });
  expect(stages.at(-1)).toMatchObject({ display: { hour: '7', minute: '40' }, words: ['twenty to eight', 'seven forty'] });
  const chart = { ...NEW_ASIDE, shows: { kind: 'chart' } as const };
  expect(stageAside(scripted, chart, { ...LESSON, rung: 'quarter-to' })).toMatchObject({
    dial: null,
    board: [],
    chart: { title: 'quarter to' },
  });
  expect([leavesScript(chart), leavesScript({ ...NEW_ASIDE, marks: [ring] })]).toEqual([true, false]);
});
