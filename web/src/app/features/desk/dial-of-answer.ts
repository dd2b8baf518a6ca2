import type { Response } from '@zeitpunkt/core/question-kinds/registry';
import type { Scene } from '@zeitpunkt/core/scene/scene-node';
import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { describeDial } from '@zeitpunkt/core/scene/describe-stage';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { dialOf, PLAIN_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import { toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { deskTongue } from '../../shared/words/spoken';

/** The clock that shows the time somebody wrote, to be held beside the right one; null where no clock shows what was written. */
export function dialOfAnswer(response: Response): { readonly scene: Scene; readonly label: string } | null {
  if (!('hour' in response) || !('minute' in response) || response.hour === '' || response.minute === '') return null;
  const [hour, minute] = [Number(response.hour), Number(response.minute)];
  if (!(hour <= 24 && minute < 60)) return null;
  const dial = dialOf(gearedPose(toSecondOfDay((hour % 12) * 3600 + minute * 60)), PLAIN_LAYERS);
  return { scene: dialScene(dial), label: describeDial(dial, deskTongue()) };
}
