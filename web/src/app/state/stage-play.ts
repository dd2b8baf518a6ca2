import { computed, type Signal } from '@angular/core';
import type { Store } from '@ngrx/store';
import { motionMs, stageAside, stageAt, type Aside } from '@zeitpunkt/core';
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
    const beganAtMs = now.stepStartedAtMs + skewMs();
    const { settings } = lesson.lesson;
    if (!aside) return { stateAt: (elapsedMs) => stageAt(lesson, now.step, elapsedMs), motionMs: motionMs(lesson, now.step), beganAtMs };
    // Hands that are turned by hand stand still for the script; marks alone go on top of what it plays.
    if (aside.timeSec === null)
      return {
        stateAt: (elapsedMs) => stageAside(stageAt(lesson, now.step, elapsedMs), aside, settings),
        motionMs: motionMs(lesson, now.step),
        beganAtMs,
      };
    const stage = stageAside(stageAt(lesson, now.step, Infinity), aside, settings);
    return { stateAt: () => stage, motionMs: 0, beganAtMs, glides: own === undefined };
  });
}
