import { CoreError } from '../../errors.js';
import type { Acts } from '../../acts/acts.js';
import { sameTyped, timeTyped, typedTime } from '../../acts/typed-time.js';
import { gearedPose } from '../../dial/pose.js';
import { rungsToTry, timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import { actsOf } from '../../misconceptions/distorted-acts.js';
import { MISCONCEPTION_IDS } from '../../misconceptions/registry.js';
import type { Rng } from '../../random/rng.js';
import { dialLetter } from '../../scene/describe-stage.js';
import { displayText } from '../../time/display.js';
import { toSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { WORD_PACKS } from '../../words/registry.js';
import { say } from '../../words/say.js';
import { choiceKind } from '../choice-kind.js';
import type { ItemBase } from '../question-kind.js';
import { dialsReadAs } from '../read-as.js';
import { seenAs, tellApart } from '../seen-as.js';
import type { Choice } from '../shapes/choices.js';
import { shuffled } from '../slips.js';
import { TEXTS } from './texts.js';

/** All choices but one show the same time, on dials or in texts; the pupil finds the one that does not. */
export interface OddOneOutItem extends ItemBase {
  readonly kind: 'odd-one-out';
  /** The time that the others show, in seconds since midnight. */
  readonly timeSec: number;
  /** Three to five dials, or as many texts. */
  readonly choices: readonly Choice[];
}

const atOf = (item: OddOneOutItem) => toSecondOfDay(item.timeSec);

export const oddOneOut = choiceKind<'odd-one-out', OddOneOutItem>({
  kind: 'odd-one-out',
  name: 'Which does not belong',
  thinkSec: 32,
  timesOf: (item) => [atOf(item)],
  stem: (_item, settings) => TEXTS[tongueOf(settings)].stem,
  choices: (item) => item.choices,
  taken: (item, acts) => oddOf(item.choices, acts),
  doing: () => ['read', 'mean'],
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason: (item, settings, [key = 0]) => [TEXTS[tongueOf(settings)].odd(dialLetter(key), displayText(atOf(item), settings.separator))],
  make,
  samples: [
    {
      id: 'sample-half',
      kind: 'odd-one-out',
      timeSec: 27_000,
      choices: [{ text: 'half past seven' }, { text: '7:30' }, { text: '6:30' }, { text: 'seven thirty' }],
    },
    {
      id: 'sample-quarter',
      kind: 'odd-one-out',
      timeSec: 56_700,
      choices: [{ text: 'quarter to four' }, { text: '4:45' }, { text: '3:45' }, { text: 'three forty-five' }],
    },
    {
      id: 'sample-ten',
      kind: 'odd-one-out',
      timeSec: 25_800,
      choices: [{ text: 'ten past seven' }, { text: '10:07' }, { text: '7:10' }, { text: 'seven ten' }],
    },
    {
      id: 'sample-dials',
      kind: 'odd-one-out',
      timeSec: 9900,
      choices: [
        { hourDeg: 82.5, minuteDeg: 270, numerals: 'all' },
        { hourDeg: 82.5, minuteDeg: 270, numerals: 'quarters' },
        { hourDeg: 112.5, minuteDeg: 270, numerals: 'all' },
      ],
    },
  ],
});

/** The one whose time none of the others has, where those agree; to somebody who does the acts so. */
function oddOf(choices: readonly Choice[], acts: Acts): number[][] {
  const seen = choices.map((choice) => seenAs(choice, acts));
  const agree = (one: number, other: number) => seen[one]!.some((a) => seen[other]!.some((b) => sameTyped(a, b)));
  return choices.flatMap((_, odd) => {
    const others = choices.flatMap((_choice, place) => (place === odd ? [] : [place]));
    const isOdd = others.every((place) => !agree(odd, place)) && others.every((place) => agree(place, others[0]!));
    return isOdd && seen[others[0]!]!.length > 0 ? [[odd]] : [];
  });
}

/** The odd one is what somebody with an idea takes for the same: they then find another one odd, or none. */
function make(id: string, rng: Rng, wanted: RungTimes, settings: LessonSettings): OddOneOutItem {
  for (const rung of rungsToTry(wanted)) {
    const at = timeOnRung(rung, rng);
    const wordings = say(at, WORD_PACKS[settings.pack]);
    const same: Choice[] = [{ text: displayText(at, settings.separator) }, ...wordings.slice(0, 2).map((text) => ({ text }))];
    const odd = shuffled(MISCONCEPTION_IDS, rng).flatMap((idea) => mistakenText(at, wordings, actsOf([idea], settings), settings))[0];
    if (odd && same.length > 2) return { id, kind: 'odd-one-out', timeSec: at, choices: shuffled([...same, { text: odd }], rng) };
    // No idea makes a difference to these words: the odd one is a dial that an idea reads as this time.
    const dials = readAs(at, rng, rung, settings);
    if (dials) {
      const shown: Choice[] = (['all', 'quarters'] as const).map((numerals) => ({ ...gearedPose(at), numerals }));
      return { id, kind: 'odd-one-out', timeSec: at, choices: shuffled([...shown, dials], rng) };
    }
  }
  throw new CoreError('ITEM_NOT_MADE', 'No such question could be made on this rung.');
}

function mistakenText(at: SecondOfDay, wordings: readonly string[], acts: Acts, settings: LessonSettings): string[] {
  const wrong = wordings
    .flatMap((words) => acts.mean(words))
    .filter((typed) => timeTyped(typed) !== null && !sameTyped(typed, typedTime(at)));
  return wrong.filter(({ minute }) => minute.length === 2).map(({ hour, minute }) => `${hour}${settings.separator}${minute}`);
}

function readAs(at: SecondOfDay, rng: Rng, rung: RungTimes, settings: LessonSettings): Choice | null {
  for (const idea of shuffled(MISCONCEPTION_IDS, rng)) {
    const others = dialsReadAs(typedTime(at), idea, rung.minutes, settings).map((other): Choice => ({
      ...gearedPose(other),
      numerals: 'all',
    }));
    const [odd] = tellApart([{ ...gearedPose(at), numerals: 'all' }], others, 1);
    if (odd) return odd;
  }
  return null;
}
