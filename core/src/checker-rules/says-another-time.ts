import type { Beat } from '../beats/registry.js';
import { tongueOf } from '../talk/registry.js';
import { SECONDS_PER_HALF_DAY, toSecondOfDay } from '../time/second-of-day.js';
import type { Tongue } from '../words/pack.js';
import { timesInText, type NamedTime } from '../words/times-in-text.js';
import { WORD_PACKS } from '../words/registry.js';
import { bestWording } from '../words/say.js';
import type { CheckerRule } from './rule.js';
import { saidIn, withSaid } from './said.js';
import { isDenied, isPutOff, sentencesOf } from './sentences.js';

/** Who says what the clock shows; other times in what is only said or pointed at are no claim. */
const CLAIMS: Readonly<Record<Tongue, RegExp>> = {
  en: /\b(it is|it.s|now|shows?|says|this is|here is)\b/i,
  de: /\b(es ist|ist es|jetzt|zeigt|hier ist|das ist)\b/i,
};
/** Something that happens at a time, and times that are held against each other. */
const ELSEWHERE: Readonly<Record<Tongue, RegExp>> = { en: /\b(at|from|between|than|or)\s*$/i, de: /\b(um|von|zwischen|als|oder)\s*$/i };

const onDial = (sec: number) => sec % SECONDS_PER_HALF_DAY;

/** What is said of a time that is set, shown, or that pupils are to set. */
export const saysAnotherTime: CheckerRule = {
  severity: 'error',
  find({ lesson, steps, context }) {
    const pack = WORD_PACKS[lesson.settings.pack];
    const tongue = tongueOf(lesson.settings);
    const shown = shownAt(lesson.beats);
    return saidIn(lesson).flatMap(({ beat, beatIndex, text }) => {
      const item = beat.kind === 'ask' || beat.kind === 'think' ? context.itemOf(beat.itemId) : null;
      const isSpoken = beat.kind === 'say' || beat.kind === 'mark';
      const meant = item ? (item.kind === 'set-dial' ? item.timeSec : null) : isSpoken || beat.kind === 'set' || beat.kind === 'worked-example' ? shown[beatIndex]! : null; // prettier-ignore
      if (meant === null) return [];
      const wrong = sentencesOf(text).flatMap((sentence): NamedTime[] => {
        const named = timesInText(sentence.text, pack);
        const isClaim = !isSpoken || CLAIMS[tongue].test(sentence.text);
        // One right time in a sentence is held against the others.
        if (named.length === 0 || !isClaim || named.some(({ at }) => at === onDial(meant))) return [];
        if (isPutOff(sentence.text, tongue) || isDenied(sentence.text, tongue)) return [];
        const [first] = named.filter(({ from }) => !ELSEWHERE[tongue].test(sentence.text.slice(0, from)));
        return first ? [{ ...first, from: first.from + sentence.from, to: first.to + sentence.from }] : [];
      })[0];
      if (!wrong) return [];
      const right = bestWording(toSecondOfDay(meant), pack);
      return [
        {
          at: steps.find((step) => step.beatIndex === beatIndex)!.ref,
          what: `The words say “${text.slice(wrong.from, wrong.to)}”, and ${item ? 'what counts as right is' : 'the dial shows'} ${right}.`,
          why: 'Pupils believe what they hear.',
          mend: {
            label: `Say ${right}`,
            apply: (one) =>
              withSaid(one, beat.id, (words) => (words === text ? words.slice(0, wrong.from) + right + words.slice(wrong.to) : words)),
          },
        },
      ];
    });
  },
};

/** For each beat the time that the dial shows while it plays; null where it shows none, or that of a question. */
function shownAt(beats: readonly Beat[]): (number | null)[] {
  let now: number | null = null;
  return beats.map((beat) => {
    if (beat.kind === 'set' || beat.kind === 'worked-example' || beat.kind === 'missing-hand') now = beat.timeSec;
    else if (beat.kind === 'sweep') now = beat.toSec;
    else if (beat.kind === 'show') now = beat.build.hands === 'geared' && beat.build.beside.length === 0 ? beat.build.timeSec : null;
    else if (beat.kind !== 'say' && beat.kind !== 'mark' && beat.kind !== 'layers') now = null;
    return now;
  });
}
