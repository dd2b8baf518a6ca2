import { isNotSure } from '../question-kinds/not-sure.js';
import { kindOf, textOfResponse, type Item, type Response } from '../question-kinds/registry.js';
import { dialOf, PLAIN_LAYERS } from '../scene/dial-state.js';
import { displayOf, type StageState } from '../scene/stage-state.js';
import type { LessonSettings } from '../lesson/settings.js';
import { talkOf } from '../talk/registry.js';

/**
 * The stage on which a class talks about an answer that somebody gave: the question as it was asked, and in it the hands,
 * digits or words that were given. Nothing says whether it is right.
 */
export function stageOfGiven(item: Item, response: Response, settings: LessonSettings): StageState {
  const asked = { ...kindOf(item).asked(item, settings), stem: talkOf(settings).howCouldSomebody };
  if (isNotSure(response)) return asked;
  if ('hourDeg' in response) {
    const { hourDeg, minuteDeg } = response;
    return { ...asked, dial: dialOf({ hourDeg, minuteDeg }, asked.dial?.layers ?? PLAIN_LAYERS) };
  }
  const { display } = asked;
  if ('hour' in response && (display === null || display.hour === null)) {
    const empty = display ?? displayOf(null, null, settings.separator);
    return { ...asked, display: { ...empty, hour: response.hour || null, minute: response.minute || null } };
  }
  if ('lines' in response) return { ...asked, words: response.lines.filter((line) => line.trim() !== '') };
  return { ...asked, board: [...asked.board, textOfResponse(item, response, settings)] };
}
