import { talkOf } from '../talk/registry.js';
import type { HandId } from '../dial/pose.js';
import { displayText } from '../time/display.js';
import { toSecondOfDay } from '../time/second-of-day.js';
import { bestWording } from '../words/say.js';
import { WORD_PACKS } from '../words/registry.js';
import type { ExpandingKind } from './expanding-kind.js';
import type { MarkBeat } from './mark.js';
import type { SetBeat } from './set.js';

/** One hand alone: about what time is it, and which hand tells more? */
export interface MissingHandBeat {
  readonly kind: 'missing-hand';
  readonly timeSec: number;
  /** The hand that is seen. */
  readonly shows: HandId;
  /** What is asked; the lesson's own words where it is empty. */
  readonly text: string;
}

export const missingHand: ExpandingKind<MissingHandBeat, SetBeat | MarkBeat> = {
  name: 'One hand alone',
  does: 'slip',
  about: ({ timeSec, shows }, { separator }) =>
    `${shows === 'hour' ? 'short' : 'long'} hand, ${displayText(toSecondOfDay(timeSec), separator)}`,
  expand({ timeSec, shows, text }, settings) {
    const at = toSecondOfDay(timeSec);
    const talk = talkOf(settings);
    const layers = shows === 'hour' ? { minuteHand: false, minuteRing: 'none' as const } : { hourHand: false };
    const told = talk.oneHand[shows](at);
    return [
      { step: 'shown', beat: { kind: 'set', timeSec: at, display: 'none', words: false, layers, text: text || talk.oneHand.ask[shows] } },
      { step: 'told', beat: { kind: 'mark', marks: [{ type: 'hand', hand: shows }], text: told, board: told } },
      {
        step: 'both',
        beat: {
          kind: 'set',
          timeSec: at,
          display: 'full',
          words: true,
          text: talk.oneHand.both(bestWording(at, WORD_PACKS[settings.pack])),
        },
      },
    ];
  },
};
