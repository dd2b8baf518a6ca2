import { computed, type Signal } from '@angular/core';
import type { Store } from '@ngrx/store';
import { motionMs, stageAt } from '@zeitpunkt/core';
import type { StagePlay } from '../ui/stage-view';
import { liveFeature } from './live';

/** What the stage of the live session plays now: the same in console and audience window, from the same moment. */
export function playOf(store: Store): Signal<StagePlay | null> {
  const detail = store.selectSignal(liveFeature.selectDetail);
  const prepared = store.selectSignal(liveFeature.selectPrepared);
  const skewMs = store.selectSignal(liveFeature.selectClockSkewMs);
  const room = computed(() => detail()?.live.room);
  return computed(() => {
    const [lesson, now] = [prepared(), room()];
    if (!lesson || !now || now.phase === 'lobby') return null;
    return {
      stateAt: (elapsedMs) => stageAt(lesson, now.step, elapsedMs),
      motionMs: motionMs(lesson, now.step),
      beganAtMs: now.stepStartedAtMs + skewMs(),
    };
  });
}
