import { computed, type Signal } from '@angular/core';
import type { Store } from '@ngrx/store';
import { leavesScript, motionOfRun, stageAside, stageOfRun, type Aside } from '@zeitpunkt/core';
import type { StagePlay } from '../ui/stage-view';
import { liveFeature } from './live';

/**
 * What the stage of the live session plays now: the same in console and audience window, from the same moment.
 * @param ahead what this window shows beside the script before the server has it; undefined where it is not ahead
 */
export function playOf(store: Store, ahead: Signal<Aside | null | undefined>): Signal<StagePlay | null> {
  const detail = store.selectSignal(liveFeature.selectDetail);
  const prepared = store.selectSignal(liveFeature.selectPrepared);
  const skewMs = store.selectSignal(liveFeature.selectClockSkewMs);
  const room = computed(() => detail()?.live.room);
  return computed(() => {
    const [lesson, now] = [prepared(), room()];
    if (!lesson || !now || now.phase === 'lobby') return null;
    const own = ahead();
    const aside = own === undefined ? now.aside : own;
    const { run } = now;
    const beganAtMs = run.enteredAtMs + skewMs();
    const motionMs = motionOfRun(lesson, run);
    if (!aside) return { stateAt: (elapsedMs) => stageOfRun(lesson, run, elapsedMs), motionMs, beganAtMs };
    // Hands that are turned by hand stand still for the script; marks alone go on top of what it plays.
    if (!leavesScript(aside))
      return { stateAt: (elapsedMs) => stageAside(stageOfRun(lesson, run, elapsedMs), aside, lesson.lesson), motionMs, beganAtMs };
    const stage = stageAside(stageOfRun(lesson, run, Infinity), aside, lesson.lesson);
    return { stateAt: () => stage, motionMs: 0, beganAtMs, glides: own === undefined && aside.shows === null };
  });
}
