import { CoreError } from '../errors.js';
import { talkOf } from '../talk/registry.js';
import { sayToPupilWhile } from '../misconceptions/say-while.js';
import { misconceptionOf, type MisconceptionId } from '../misconceptions/registry.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import type { Item, Response } from '../question-kinds/registry.js';
import { displayText } from '../time/display.js';
import { toSecondOfDay } from '../time/second-of-day.js';
import { bestWording } from '../words/say.js';
import { WORD_PACKS } from '../words/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { ExpandingKind } from './expanding-kind.js';
import type { MarkBeat } from './mark.js';
import type { SetBeat } from './set.js';

/** A wrong reading of a dial: how could somebody get that? Then what is right, and why. */
export interface MistakeBeat {
  readonly kind: 'mistake';
  readonly timeSec: number;
  /** The idea that leads to it. */
  readonly misconception: MisconceptionId;
  /** What is asked; the lesson's own words where it is empty. */
  readonly text: string;
}

type Typed = Extract<Response, { kind: 'read-dial' }>;

/** What an idea makes of a dial, where that is wrong. */
export function mistakenReading({ timeSec, misconception }: Pick<MistakeBeat, 'timeSec' | 'misconception'>, settings: LessonSettings) {
  const item: Item = { id: 'mistake', kind: 'read-dial', timeSec };
  return predictionsOf(item, settings).get(misconception)?.[0] as Typed | undefined;
}

export const mistake: ExpandingKind<MistakeBeat, SetBeat | MarkBeat> = {
  name: 'Explain the mistake',
  does: 'slip',
  about: ({ timeSec }, { separator }) => displayText(toSecondOfDay(timeSec), separator),
  expand(beat, settings) {
    const at = toSecondOfDay(beat.timeSec);
    const idea = misconceptionOf(beat.misconception);
    const wrong = mistakenReading(beat, settings);
    if (!wrong) {
      throw new CoreError(
        'LESSON_MISTAKE_NONE',
        `At ${displayText(at, settings.separator)} the idea “${idea.name}” leads to no wrong reading. Choose another time or another idea.`,
        { time: displayText(at, settings.separator), idea: idea.name },
      );
    }
    const talk = talkOf(settings);
    const [hour, minute] = [wrong.hour, wrong.minute];
    const reading = `${hour}${settings.separator}${minute}`;
    return [
      { step: 'dial', beat: { kind: 'set', timeSec: at, display: 'empty', words: false, text: talk.look } },
      {
        step: 'shown',
        beat: {
          kind: 'mark',
          marks: [],
          board: talk.mistake.wrote(reading),
          write: { hour, minute },
          text: beat.text || talk.mistake.how(reading),
        },
      },
      {
        step: 'why',
        beat: {
          kind: 'mark',
          marks: [
            { type: 'hand', hand: 'hour' },
            { type: 'hand', hand: 'minute' },
          ],
          text: sayToPupilWhile(beat.misconception, ['read', 'digits'], settings),
        },
      },
      {
        step: 'right',
        beat: { kind: 'set', timeSec: at, display: 'full', words: true, text: talk.itIs(bestWording(at, WORD_PACKS[settings.pack])) },
      },
    ];
  },
};
