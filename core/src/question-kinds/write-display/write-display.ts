import { timeOnRung } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import { displayText } from '../../time/display.js';
import { toSecondOfDay } from '../../time/second-of-day.js';
import { WORD_PACKS } from '../../words/registry.js';
import { bestWording } from '../../words/say.js';
import { NO_PICTURE } from '../picture.js';
import type { ItemBase } from '../question-kind.js';
import { written } from '../seen-as.js';
import { timeKind } from '../time-kind.js';
import { TEXTS } from './texts.js';

/** A time is given in words; the pupil fills the two boxes of a display. */
export interface WriteDisplayItem extends ItemBase {
  readonly kind: 'write-display';
  /** The time that the words name, in seconds since midnight. */
  readonly timeSec: number;
}

const atOf = (item: WriteDisplayItem) => toSecondOfDay(item.timeSec);
const wordsOf = (item: WriteDisplayItem, { pack }: LessonSettings) => bestWording(atOf(item), WORD_PACKS[pack]);

export const writeDisplay = timeKind<'write-display', WriteDisplayItem>({
  kind: 'write-display',
  name: 'Write words on the display',
  thinkSec: 18,
  form: 'dial',
  at: atOf,
  timesOf: (item) => [atOf(item)],
  stem: (_item, settings) => TEXTS[tongueOf(settings)].stem,
  picture: (item, settings) => ({ ...NO_PICTURE, lines: [wordsOf(item, settings)] }),
  typed: (item, acts, settings) => written(acts.mean(wordsOf(item, settings)), acts, wordsOf(item, settings)),
  doing: () => ['mean', 'digits'],
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason: (item, settings) => [TEXTS[tongueOf(settings)].means(wordsOf(item, settings), displayText(atOf(item), settings.separator))],
  make: (id, rng, rung) => ({ id, kind: 'write-display', timeSec: timeOnRung(rung, rng) }),
  samples: [27_000, 56_700, 21_900, 45_900, 35_940, 14_400].map((timeSec, index) => ({
    id: `sample-${index}`,
    kind: 'write-display' as const,
    timeSec,
  })),
});
