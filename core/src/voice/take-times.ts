import type { ScriptEdit } from '../edit/edit.js';
import type { PreparedLesson } from '../lesson/prepare.js';
import { measuredPace, takeTimes } from '../rehearsal/what-it-took.js';
import type { BeatTime } from '../run/beat-times.js';
import { BREATH_MS } from './film.js';
import type { Take } from './take.js';
import { voicedSteps } from './takes-of.js';
import { motionMs } from '../stage/player.js';

/** What each beat took that was recorded whole: all its takes with a breath after each, or as long as it moves. */
export function timesOfTakes(prepared: PreparedLesson, takes: readonly Take[]): BeatTime[] {
  const steps = voicedSteps(prepared, takes);
  return prepared.lesson.beats.map(({ id }) => {
    const own = steps.filter(({ step }) => step.ref.beatId === id);
    const plannedMs = own.reduce((sum, { step }) => sum + step.durationMs, 0);
    const isWhole = own.length > 0 && own.every(({ take, stale }) => take !== null && !stale);
    const tookMs = own.reduce(
      (sum, { step, take }) => sum + Math.max((take?.durationMs ?? 0) + BREATH_MS, motionMs(prepared, step.ref)),
      0,
    );
    return { beatId: id, plannedMs, actualMs: isWhole && own[0]!.step.beat.kind !== 'think' ? tookMs : null };
  });
}

/** What these beats took becomes their time. */
export function planByTakes(prepared: PreparedLesson, takes: readonly Take[], beatIds: ReadonlySet<string>): ScriptEdit {
  // However short a take is: it was meant.
  const times = timesOfTakes(prepared, takes).filter(({ beatId }) => beatIds.has(beatId));
  return takeTimes(times.map((time) => ({ ...time, plannedMs: 0 })));
}

/** How fast somebody speaks in their takes, in words a minute; null where too little was recorded. */
export function paceOfTakes(prepared: PreparedLesson, takes: readonly Take[]): number | null {
  return measuredPace(prepared, timesOfTakes(prepared, takes));
}
