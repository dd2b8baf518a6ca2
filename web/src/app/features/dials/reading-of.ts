import { dialNotes } from '@zeitpunkt/core/dial/dial-notes';
import { hourProgress } from '@zeitpunkt/core/dial/hour-progress';
import type { Pose } from '@zeitpunkt/core/dial/pose';
import { reportPose } from '@zeitpunkt/core/dial/possible';
import type { StageState } from '@zeitpunkt/core/scene/stage-state';
import { poseOfBuild, timeOfBuild, type DialBuild } from '@zeitpunkt/core/stage/dial-build';
import { displayText } from '@zeitpunkt/core/time/display';
import { wrapSecondOfDay, type SecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import { bestWording } from '@zeitpunkt/core/words/say';

/** The last full minute that geared hands have reached, as a display shows it; between midnight and noon. */
export function minuteSeen({ hourDeg }: Pose): SecondOfDay {
  return wrapSecondOfDay(Math.floor(hourDeg * 2 + 1e-6) * 60); // half a degree a minute; a hair short of one is rounding
}

/** What stands beside a dial that is built: its time in digits and words, the hour hand's way, and what free hands cannot be. */
export function readingOf(build: DialBuild, moving: StageState | null) {
  const pose = moving?.dial?.pose ?? poseOfBuild(build);
  const free = build.hands === 'free' && !moving;
  const at = free ? timeOfBuild(build) : minuteSeen(pose);
  const { hourHand, minuteHand, handInk } = build.layers;
  const report = free ? reportPose(pose) : null;
  const readable = report === null || report.possible;
  return {
    digits: readable ? displayText(at, build.separator) : '',
    words: readable ? bestWording(at, WORD_PACKS[build.pack]) : '',
    progress: hourProgress(pose.hourDeg).sentence,
    notes: free ? [] : dialNotes(pose, { hourHand, minuteHand, alike: handInk === 'alike' }),
    report,
  };
}
