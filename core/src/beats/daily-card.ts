import { gearedPose } from '../dial/pose.js';
import { cardTime, type CardPattern } from '../lesson/card-pattern.js';
import { narrationMs } from '../lesson/settings.js';
import { talkOf } from '../talk/registry.js';
import { dialOf } from '../scene/dial-state.js';
import { CLEAR_STAGE, displayOf } from '../scene/stage-state.js';
import { displayText, minuteDigits } from '../time/display.js';
import { hour12, minuteOfHour } from '../time/second-of-day.js';
import { bestWording } from '../words/say.js';
import { WORD_PACKS } from '../words/registry.js';
import type { BeatKind } from './beat-kind.js';
import type { ExpandingKind } from './expanding-kind.js';

/** One time a day in a pattern, guessed before it is shown; missed days are caught up in one go. */
export interface DailyCardBeat {
  readonly kind: 'daily-card';
  readonly pattern: CardPattern;
  /** The first card that is shown, from 1: earlier than `card` where days were missed. */
  readonly since: number;
  /** Today's card, from 1. */
  readonly card: number;
  readonly text: string;
}

/** A card as it plays: guessed first, then shown. */
export interface DailyCardStep extends DailyCardBeat {
  readonly shows?: 'guess';
}

const GUESS_MS = 12_000;
const LOOK_MS = 4000;
/** Cards of the days before that are written beside the dial. */
const MOST_BEFORE = 6;

export const dailyCardBeat: BeatKind<DailyCardStep> = {
  name: 'Daily card',
  does: 'show',
  durationMs: (beat, { settings }) => narrationMs(beat.text, settings) + (beat.shows === 'guess' ? GUESS_MS : LOOK_MS),
  narration: (beat) => beat.text,
  keeps: [],
  at(_before, { pattern, card, shows }, _elapsedMs, { settings, layers }) {
    const at = cardTime(pattern, card);
    const isGuess = shows === 'guess';
    const first = Math.max(1, card - MOST_BEFORE);
    const before = Array.from({ length: card - first }, (_, index) => displayText(cardTime(pattern, first + index), settings.separator));
    const { cards } = talkOf(settings);
    return {
      ...CLEAR_STAGE,
      dial: dialOf(gearedPose(at), isGuess ? { ...layers, hourHand: false, minuteHand: false } : layers),
      display: displayOf(isGuess ? null : String(hour12(at)), isGuess ? null : minuteDigits(minuteOfHour(at)), settings.separator),
      words: isGuess ? [] : [bestWording(at, WORD_PACKS[settings.pack])],
      board: [
        cards.number(card),
        ...(before.length > 0
          ? [`${first > 1 ? '… ' : ''}${before.join(', ')}, ${isGuess ? '?' : displayText(at, settings.separator)}`]
          : []),
      ],
    };
  },
  motionMs: () => 0,
};

export const dailyCard: ExpandingKind<DailyCardBeat, DailyCardStep> = {
  name: dailyCardBeat.name,
  does: 'show',
  about: ({ since, card }) => (since < card ? `cards ${since} to ${card}` : `card ${card}`),
  expand(beat, settings) {
    const { cards } = talkOf(settings);
    const since = Math.min(beat.since, beat.card);
    return Array.from({ length: beat.card - since + 1 }, (_, index) => since + index).flatMap((card) => {
      const words = bestWording(cardTime(beat.pattern, card), WORD_PACKS[settings.pack]);
      const isToday = card === beat.card;
      return [
        {
          step: `guess-${card}`,
          beat: { ...beat, card, since: card, shows: 'guess' as const, text: (isToday && beat.text) || cards.guess },
        },
        { step: `card-${card}`, beat: { ...beat, card, since: card, text: talkOf(settings).itIs(words) } },
      ];
    });
  },
};
