import { typedTime, type TypedTime } from '../acts/typed-time.js';
import type { LessonSettings } from '../lesson/settings.js';
import { displayOf, type StageState } from '../scene/stage-state.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import { WORD_PACKS } from '../words/registry.js';
import { say } from '../words/say.js';
import { reasonLayers } from './kind-talk.js';
import { pictureOnStage } from './picture.js';
import type { ViewBase } from './question-kind.js';
import type { TimeShapeView } from './shapes/time.js';

/** A question whose answer is a time, on the stage: with an empty display while it is asked, with the key and its reason after. */
export function timeStages(view: ViewBase & TimeShapeView) {
  const stage = pictureOnStage(view.picture);
  return {
    asked: { ...stage, display: view.picture.display ?? displayOf(null, null, view.separator), stem: view.stem } satisfies StageState,
    answered(
      at: SecondOfDay,
      board: readonly string[],
      settings: LessonSettings,
      key: TypedTime = typedTime(at),
      of24 = false,
    ): StageState {
      return {
        ...stage,
        dial: stage.dial && { ...stage.dial, layers: { ...stage.dial.layers, hourZones: reasonLayers(settings).hourZones } },
        display: { ...displayOf(key.hour, key.minute, settings.separator), of24 },
        words: of24 ? [] : say(at, WORD_PACKS[settings.pack]),
        board,
      };
    },
  };
}
