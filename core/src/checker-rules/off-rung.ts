import type { Beat } from '../beats/registry.js';
import { RUNGS } from '../ladder/registry.js';
import { isOnRung } from '../ladder/rung-times.js';
import { kindOf } from '../question-kinds/registry.js';
import { displayText } from '../time/display.js';
import { minuteOfHour, toSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import type { Rung } from '../ladder/rung.js';
import { withOtherTime } from '../lesson/lesson-parts.js';
import type { CheckerRule } from './rule.js';

/** The same hour with the minutes of the rung that come nearest. */
function nearestOnRung({ minutes }: Rung, at: SecondOfDay): SecondOfDay {
  const minute = minuteOfHour(at);
  const nearest = minutes.reduce((best, one) => (Math.abs(one - minute) < Math.abs(best - minute) ? one : best));
  return toSecondOfDay(at - minute * 60 + nearest * 60);
}

/** A time from which the hands are swept on is no example. */
function startsSweep(beats: readonly Beat[], index: number): boolean {
  const next = beats.slice(index + 1).find(({ kind }) => kind !== 'layers' && kind !== 'say' && kind !== 'mark');
  return next?.kind === 'sweep';
}

export const offRung: CheckerRule = {
  severity: 'error',
  find({ lesson, steps, context }) {
    if (!lesson.rung) return [];
    const rung: Rung = RUNGS[lesson.rung];
    return lesson.beats.flatMap((beat, beatIndex) => {
      const item = beat.kind === 'ask' ? context.itemOf(beat.itemId) : null;
      const isExample =
        beat.kind === 'worked-example' ||
        beat.kind === 'mistake' ||
        beat.kind === 'missing-hand' ||
        (beat.kind === 'set' && beat.display === 'full' && !startsSweep(lesson.beats, beatIndex));
      const times = item ? kindOf(item).timesOf(item) : isExample ? [toSecondOfDay(beat.timeSec)] : [];
      const off = times.find((at) => !isOnRung(rung, [at]));
      if (off === undefined) return [];
      return [
        {
          at: steps.find((step) => step.beatIndex === beatIndex)!.ref,
          what: `${displayText(off, lesson.settings.separator)} is beyond the rung of this lesson, ${rung.name.toLowerCase()}.`,
          why: 'What was not taught yet tells nothing about what was.',
          mend: item
            ? { label: 'Ask a time of the rung', apply: (one) => withOtherTime(one, item, (at) => isOnRung(rung, [toSecondOfDay(at)])) }
            : {
                label: `Take ${displayText(nearestOnRung(rung, off), lesson.settings.separator)}`,
                apply: (one) => ({
                  ...one,
                  beats: one.beats.map((other) =>
                    other.id === beat.id && 'timeSec' in other ? { ...other, timeSec: nearestOnRung(rung, off) } : other,
                  ),
                }),
              },
        },
      ];
    });
  },
};
