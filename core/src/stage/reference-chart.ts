import { gearedPose } from '../dial/pose.js';
import { RUNGS, type RungId } from '../ladder/registry.js';
import type { ChartState } from '../scene/stage-state.js';
import { displayText } from '../time/display.js';
import { secondOfDay } from '../time/second-of-day.js';
import { bestWording } from '../words/say.js';
import { WORD_PACKS } from '../words/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import { talkOf, tongueOf } from '../talk/registry.js';

/** The hour that the chart reads its minutes at: its numeral is far from all of the quarters. */
const HOUR = 7;
/** Hours that stand for all of them, where a rung knows whole hours only. */
const WHOLE_HOURS = [3, 6, 9, 12];
const FIVES = Array.from({ length: 12 }, (_, index) => index * 5);

/** The chart of a rung: its minutes, at most each five, as dial, display and words in the lesson's school. */
export function referenceChart(rung: RungId, settings: LessonSettings): ChartState {
  const { minutes, topic, criteria } = RUNGS[rung];
  const tongue = tongueOf(settings);
  const shown = minutes.length > FIVES.length ? FIVES : minutes;
  const times =
    shown.length === 1 ? WHOLE_HOURS.map((hour) => secondOfDay(hour % 12, 0)) : shown.map((minute) => secondOfDay(HOUR, minute));
  const { tells } = talkOf(settings);
  const hands = settings.readingOrder === 'hour-first' ? [tells.hour, tells.minute] : [tells.minute, tells.hour];
  return {
    title: topic[tongue],
    entries: times.map((at) => ({
      pose: gearedPose(at),
      display: displayText(at, settings.separator),
      words: bestWording(at, WORD_PACKS[settings.pack]),
    })),
    lines: [hands.join(' '), ...criteria[tongue]],
  };
}
