import { computed, type Signal } from '@angular/core';
import type { Store } from '@ngrx/store';
import { moreTimeFor } from '@zeitpunkt/core/live/calls';
import { motionOfRun, stageOfRun } from '@zeitpunkt/core/run/run-stage';
import { leavesScript, stageAside, type Aside } from '@zeitpunkt/core/stage/aside';
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
    const { run, calls } = now;
    const beganAtMs = run.enteredAtMs + skewMs();
    // More time that was promised is counted down in place of the think time; it moves the stage as long as it lasts.
    const askingId = calls.more?.askingId ?? '';
    const motionMs = Math.max(motionOfRun(lesson, run), calls.more ? calls.more.untilMs - run.enteredAtMs : 0);
    const scripted = (elapsedMs: number) => {
      const stage = stageOfRun(lesson, run, elapsedMs);
      const countdown = moreTimeFor(calls, askingId, run.enteredAtMs + elapsedMs);
      return countdown ? { ...stage, countdown } : stage;
    };
    if (!aside) return { stateAt: scripted, motionMs, beganAtMs };
    // Hands that are turned by hand stand still for the script; marks alone go on top of what it plays.
    if (!leavesScript(aside)) return { stateAt: (elapsedMs) => stageAside(scripted(elapsedMs), aside, lesson.lesson), motionMs, beganAtMs };
    const stage = stageAside(stageOfRun(lesson, run, Infinity), aside, lesson.lesson);
    return { stateAt: () => stage, motionMs: 0, beganAtMs, glides: own === undefined && aside.shows === null };
  });
}
