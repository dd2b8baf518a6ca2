import { beatKindOf } from '@zeitpunkt/core/beats/registry';
import { NEW_BUILD, setTime, stageOfBuild, switchBand, type DialBuild } from '@zeitpunkt/core/stage/dial-build';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { sweepOf } from './sweep-of';

/** The stage of a build at a part of its sweep. */
function midSweep(build: DialBuild, from: number, to: number, part: number) {
  const { beat, context } = sweepOf(from as never, to as never, 60, 'fives', build);
  const kind = beatKindOf(beat);
  return kind.at(stageOfBuild(build), beat, kind.motionMs(beat, context) * part, context);
}

test('what is covered stays covered, 24 hours stay 24, and lines follow, also over midnight', () => {
  const late = setTime(secondOfDay(23, 50))({ ...NEW_BUILD, display: '24h', covered: [2, 3] });
  const build = switchBand('hour-line-fives')(switchBand('day-line')(late));
  const at = (part: number) => midSweep(build, secondOfDay(23, 50), secondOfDay(0, 10), part);
  expect(at(0.25)).toMatchObject({
    display: { hour: '23', minute: '55', covered: [2, 3] },
    bands: [{ atSec: secondOfDay(23, 55) }, { hour: 11, at: 55 }],
  });
  expect(at(0.75)).toMatchObject({
    dial: { pose: { hourDeg: 2.5, minuteDeg: 30 } },
    display: { hour: '00', minute: '05' },
    bands: [{ atSec: secondOfDay(0, 5) }, { hour: 12, at: 5 }],
  });
});

test('within the day a sweep is as long as its way', () => {
  const { beat } = sweepOf(secondOfDay(7, 0), secondOfDay(8, 0), 30, 'none', NEW_BUILD);
  expect(beat).toMatchObject({ fromSec: secondOfDay(7, 0), toSec: secondOfDay(8, 0), turnSeconds: 30 });
});
