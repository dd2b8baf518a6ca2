import type { Acts } from '../../acts/acts.js';
import { timeTyped } from '../../acts/typed-time.js';
import { timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import { reasonFor } from '../../talk/reason.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import type { Rng } from '../../random/rng.js';
import { later } from '../../time/duration.js';
import { minuteOfHour, SECONDS_PER_HALF_DAY, toSecondOfDay } from '../../time/second-of-day.js';
import type { HeardTime } from '../../words/heard.js';
import { hearAgain } from '../../words/hear-again.js';
import { WORD_PACKS } from '../../words/registry.js';
import { say } from '../../words/say.js';
import { haveAGo, opener, whereToBegin } from '../kind-talk.js';
import { pictureOnStage } from '../picture.js';
import type { ItemBase, Judgement, QuestionKind, ViewBase } from '../question-kind.js';
import { asChoice, asPicture, seenAs, type Given } from '../seen-as.js';
import { wordsText, type WordsAnswer, type WordsShapeView } from '../shapes/words.js';
import { oneOf } from '../slips.js';
import { TEXTS } from './texts.js';
import { tilesOf } from './tiles.js';

/** A time is shown; the pupil writes it in words, in one way or in two. */
export interface WriteWordsItem extends ItemBase {
  readonly kind: 'write-words';
  /** The time that is shown, in seconds since midnight. */
  readonly timeSec: number;
  readonly from: Exclude<Given, 'words'>;
  readonly lines: 1 | 2;
  /** Wordings that the teacher lets count besides those of the pack. */
  readonly accepted?: readonly string[];
}

export interface WriteWordsResponse extends WordsAnswer {
  readonly kind: 'write-words';
}

export interface WriteWordsView extends ViewBase, WordsShapeView {
  readonly kind: 'write-words';
}

const atOf = (item: WriteWordsItem) => toSecondOfDay(item.timeSec);
const give = (lines: readonly string[]): WriteWordsResponse => ({ kind: 'write-words', lines });
const stemOf = (item: WriteWordsItem, settings: LessonSettings) => TEXTS[tongueOf(settings)].stem[linesOf(item, settings) - 1]!;

export const writeWords: QuestionKind<WriteWordsItem, WriteWordsResponse, WriteWordsView> = {
  name: 'Write in words',
  thinkSec: 34,
  shape: 'words',
  timesOf: (item) => [atOf(item)],
  keyOf: (item, settings) => give(say(atOf(item), WORD_PACKS[settings.pack]).slice(0, linesOf(item, settings))),
  viewOf: (item, settings) => ({
    kind: 'write-words',
    shape: 'words',
    itemId: item.id,
    stem: stemOf(item, settings),
    picture: asPicture(atOf(item), item.from, settings),
    lines: linesOf(item, settings),
    tiles: tilesOf(WORD_PACKS[settings.pack], minuteOfHour(atOf(item)) % 5 !== 0),
  }),
  judge,
  predict(item, acts, settings) {
    const lines = linesOf(item, settings);
    const said = timesSaid(item, acts, settings).map((at) => acts.word(at).slice(0, lines));
    // Who has one wording only leaves the other line empty.
    return said.flatMap((wordings) =>
      wordings.length > 0 ? [give(Array.from({ length: lines }, (_, line) => wordings[line] ?? ''))] : [],
    );
  },
  isSame(_item, predicted, given, settings) {
    // Whichever wordings they chose for what they meant, and in whatever order.
    const [one, other] = [predicted, given].map(({ lines }) => lines.filter((line) => line.trim() !== ''));
    return one!.length > 0 && other!.length > 0 && other!.every((line) => one!.some((wording) => meansTheSame(wording, line, settings)));
  },
  isPossible: (item, { lines }, settings) => lines.length === linesOf(item, settings),
  doing: (item) => (item.from === 'dial' ? ['word', 'read'] : ['word']),
  hint(item, judgement, settings) {
    const text = TEXTS[tongueOf(settings)];
    if (judgement.verdict === 'blank') return haveAGo(settings);
    if (judgement.verdict === 'right') return opener(judgement, settings);
    const words = judgement.parts.filter(({ part }) => part === 'words');
    if (judgement.verdict === 'right-other-form') return text.inWords;
    if (words.every(({ right }) => right)) return text.twoWays;
    return `${opener(judgement, settings)} ${writeWords.lookAt(item, settings)}`;
  },
  lookAt: (item, settings) => (item.from === 'dial' ? whereToBegin(atOf(item), settings) : TEXTS[tongueOf(settings)].fromDisplay),
  reason: (item, settings) => [...reasonFor(atOf(item), settings), writeWords.keySentence(item, settings)],
  keySentence: (item, settings) => TEXTS[tongueOf(settings)].is(writeWords.keyOf(item, settings).lines[0]!),
  responseText: (_item, response) => wordsText(response),
  asked: (item, settings) => ({ ...pictureOnStage(asPicture(atOf(item), item.from, settings)), stem: stemOf(item, settings) }),
  answered: (item, settings) => ({
    ...pictureOnStage(asPicture(atOf(item), item.from, settings)),
    words: say(atOf(item), WORD_PACKS[settings.pack]),
    board: [...pictureOnStage(asPicture(atOf(item), item.from, settings)).board, ...writeWords.reason(item, settings)],
  }),
  accepting: (item, wordings) => ({ ...item, accepted: [...(item.accepted ?? []), ...wordings] }),
  unheard(item, { lines }, settings) {
    const right = linesRight(item, lines, settings);
    // What says another time is wrong, and cannot be let count.
    const saysNoTime = (line: string) => line !== '' && hearAgain(line, WORD_PACKS[settings.pack]).kind === 'unreadable';
    return lines.map((line) => line.trim()).filter((line, place) => !right[place] && saysNoTime(line));
  },
  slip(item, rng, settings) {
    const beside = later(atOf(item), oneOf([3600, -3600, 300], rng));
    const wordings = say(beside, WORD_PACKS[settings.pack]);
    return give(Array.from({ length: linesOf(item, settings) }, (_, line) => (line === 0 ? wordings[0]! : '')));
  },
  make,
  samples: [
    { id: 'sample-half', kind: 'write-words', timeSec: 27_000, from: 'dial', lines: 1 },
    { id: 'sample-to', kind: 'write-words', timeSec: 56_700, from: 'display', lines: 2 },
    { id: 'sample-quarter', kind: 'write-words', timeSec: 15_300, from: 'display', lines: 1 },
    { id: 'sample-five', kind: 'write-words', timeSec: 21_900, from: 'dial', lines: 2 },
    { id: 'sample-minute', kind: 'write-words', timeSec: 50_820, from: 'dial', lines: 1 },
  ],
};

/** As many lines as are asked for, where there are so many right wordings. */
const linesOf = (item: WriteWordsItem, { pack }: LessonSettings) => Math.min(item.lines, say(atOf(item), WORD_PACKS[pack]).length);

/** The times that somebody who does the acts so has in mind when they write. */
function timesSaid(item: WriteWordsItem, acts: Acts, settings: LessonSettings) {
  if (item.from === 'display') return [atOf(item)];
  return seenAs(asChoice(atOf(item), 'dial', settings), acts)
    .map(timeTyped)
    .filter((time) => time !== null);
}

const heardAs = (line: string, { pack }: LessonSettings): HeardTime | null => {
  const heard = hearAgain(line, WORD_PACKS[pack]);
  return heard.kind === 'time' ? heard : null;
};

/** A line as it is compared: without capitals, marks and what is more than one space. */
const plainLine = (line: string): string =>
  line
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Which lines say the time, in the words of the pack or in others that are accepted. */
function linesRight(item: WriteWordsItem, lines: readonly string[], settings: LessonSettings): boolean[] {
  const wanted = (atOf(item) % SECONDS_PER_HALF_DAY) / 60;
  const accepted = new Set((item.accepted ?? []).map(plainLine));
  return lines.map((line) => {
    const heard = heardAs(line, settings);
    return accepted.has(plainLine(line)) || (heard !== null && heard.misconception === null && heard.minuteOfDay % 720 === wanted);
  });
}

/** Every line must say the time, each in another way; digits say it, but not in words. */
function judge(item: WriteWordsItem, { lines }: WriteWordsResponse, settings: LessonSettings): Judgement {
  const heard = lines.map((line) => heardAs(line, settings));
  const right = linesRight(item, lines, settings);
  const inWords = heard.every((one) => one === null || one.form === 'words');
  const plain = lines.map(plainLine);
  const isOther = new Set(plain).size === plain.length;
  const parts = [...right.map((one) => ({ part: 'words', right: one }) as const), { part: 'form', right: inWords && isOther } as const];
  if (lines.every((line) => line.trim() === '')) return { verdict: 'blank', parts };
  if (!right.every(Boolean)) return { verdict: right.some(Boolean) ? 'partly' : 'not-yet', parts };
  if (!isOther) return { verdict: 'partly', parts };
  return { verdict: inWords ? 'right' : 'right-other-form', parts };
}

function meansTheSame(one: string, other: string, settings: LessonSettings): boolean {
  if (one.trim().toLowerCase() === other.trim().toLowerCase()) return true;
  const [a, b] = [heardAs(one, settings), heardAs(other, settings)];
  return a !== null && b !== null && a.form === 'words' && b.form === 'words' && a.minuteOfDay % 720 === b.minuteOfDay % 720;
}

/** In two ways only where there are two. */
function make(id: string, rng: Rng, rung: RungTimes, settings: LessonSettings): WriteWordsItem {
  const timeSec = timeOnRung(rung, rng);
  const from = oneOf(['dial', 'display'], rng);
  const item: WriteWordsItem = { id, kind: 'write-words', timeSec, from, lines: rng() < 0.3 ? 2 : 1 };
  return { ...item, lines: linesOf(item, settings) === 2 ? 2 : 1 };
}
