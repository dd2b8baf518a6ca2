import type { NewBeat } from '../beats/registry.js';
import { rungOfItem } from '../insight/rung-of-item.js';
import { isAboutGoal } from '../ladder/goal.js';
import { RUNGS } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { kindOf, type Item, type QuestionKindId } from '../question-kinds/registry.js';
import { oneOf } from '../question-kinds/slips.js';
import { seededRng, type Rng } from '../random/rng.js';
import { plannedThinkSec } from '../run/answer-times.js';
import { tongueOf } from '../talk/registry.js';
import { thinkSecondsFor } from '../lesson/think-times.js';
import type { Chances } from './chances.js';
import type { DraftWish } from './wish.js';
import { Phrases } from './phrases.js';
import { QuestionPicker } from './question-picker.js';
import { DRAFT_TEXTS, type DraftTexts } from './texts.js';
import { TimeFinder } from './time-finder.js';
import { toRead, toSetFrom, withoutId, type NewItem } from './new-items.js';

/** Kinds in which two hands are looked at. */
const SHOWS_BOTH_HANDS: ReadonlySet<QuestionKindId> = new Set(['read-dial', 'possible-dial', 'explain-mistake']);

/** What every part of a lesson in the making works with: what was said and asked so far, and how the next thing is. */
export class LessonInMaking {
  readonly rng: Rng;
  readonly texts: DraftTexts;
  readonly rung: Rung;
  readonly picker: QuestionPicker;
  readonly times: TimeFinder;
  readonly phrases = new Phrases();
  readonly beats: NewBeat[] = [];
  readonly items: Item[] = [];
  /** Kinds that are asked anywhere; choosing all that are right is for talk about mistakes. */
  readonly plainKinds: readonly QuestionKindId[];
  private wasAskedHow = false;

  constructor(
    readonly wish: DraftWish,
    chances: Chances,
  ) {
    this.rng = seededRng(wish.seed);
    this.texts = DRAFT_TEXTS[tongueOf(wish.settings)];
    this.rung = RUNGS[wish.rung];
    this.picker = new QuestionPicker(wish.rung, this.ideas(), wish.settings, this.rng, chances);
    this.times = new TimeFinder(this.rung, this.picker, this.rng);
    this.plainKinds = this.rung.kinds.filter((kind) => kind !== 'choose-all');
  }

  /** What the class holds, and what is usual on the rung. */
  ideas(): readonly MisconceptionId[] {
    return [...new Set([...(this.wish.insight?.misconceptions ?? []), ...this.rung.misconceptions])];
  }

  /** What a demonstration is made for. */
  made() {
    const { rung, wish } = this;
    return { rung, settings: wish.settings, tongue: tongueOf(wish.settings) };
  }

  /** What the lesson is about, asked: a dial to read, or where the rung is about something else, its own kinds of questions. */
  goalTurn(): void {
    if (!this.rung.goalKinds && !this.items.some((one) => isAboutGoal(this.wish.rung, one))) return this.turn('read-dial');
    const kinds = this.rung.goalKinds ?? this.plainKinds;
    const item = this.picker.next(kinds, (one) => isAboutGoal(this.wish.rung, one));
    if (item) this.askMade(item);
    else this.turn('read-dial');
  }

  /** The question that the lesson needs most: of any kind of the rung. */
  neededTurn(): void {
    const isGoal = (one: Item) => isAboutGoal(this.wish.rung, one);
    const item = this.picker.next(this.plainKinds, this.picker.isBehind() ? isGoal : undefined);
    if (item) this.askMade(item);
    else this.turn('read-dial');
  }

  askMade(made: Item): void {
    const item = withoutId(made);
    const [at] = kindOf(made).timesOf(made);
    if (at !== undefined) this.times.use(at);
    if (item.kind === 'read-dial')
      return this.ask(item, item.as ? this.phrases.next(this.texts.yourTurn) : this.phrases.next(this.texts.turns));
    if (item.kind === 'set-dial') {
      // Hands that move one by one come when the geared ones are known.
      const isFirst = !this.items.some((one) => one.kind === 'set-dial');
      return this.ask({ ...item, hands: isFirst ? 'geared' : item.hands }, this.phrases.next(this.texts.setTurns));
    }
    this.ask(item, this.phrases.next(this.texts.yourTurn));
  }

  /** A dial to read or to set, at a time that the usual ideas need most. */
  turn(kind: 'read-dial' | 'set-dial'): void {
    if (kind === 'read-dial') return this.ask(toRead(this.times.forQuestion(toRead)), this.readText());
    const hands = this.items.some((item) => item.kind === 'set-dial') && this.rng() < 0.5 ? 'free' : 'geared';
    const toSet = toSetFrom(oneOf(['words', 'display'], this.rng), hands);
    this.ask(toSet(this.times.forQuestion(toSet)), this.phrases.next(this.texts.setTurns));
  }

  /** Once a lesson pupils say how they know. */
  private readText(): string {
    if (this.wasAskedHow || this.items.length === 0) return this.phrases.next(this.texts.turns);
    this.wasAskedHow = true;
    return this.texts.howDoYouKnow;
  }

  ask(item: NewItem, text: string): void {
    const itemId = `q${this.items.length + 1}`;
    const asked = { ...item, id: itemId } as Item;
    this.picker.ask(asked);
    this.items.push(asked);
    const measured = this.wish.answerTimes?.[item.kind];
    const onRung = measured?.byRung[rungOfItem(asked, { rung: this.wish.rung })];
    const seconds = plannedThinkSec(thinkSecondsFor(item.kind, this.wish.rung), onRung ?? measured);
    const isRecorded = this.wish.delivery === 'recorded';
    const think = this.phrases.next(isRecorded ? this.texts.stops : this.thinksFor(asked));
    this.beats.push(
      { kind: 'ask', itemId, text },
      { kind: 'think', itemId, seconds, text: think, ...(isRecorded && { stops: true as const }) },
      { kind: 'answer', itemId },
    );
  }

  private thinksFor({ kind }: Item): readonly [string, ...string[]] {
    return SHOWS_BOTH_HANDS.has(kind) ? [...this.texts.thinks, this.texts.bothHands] : this.texts.thinks;
  }

  say(text: string): void {
    this.beats.push({ kind: 'say', text });
  }
}
