import type { Beat } from '../beats/registry.js';
import { criteriaOf } from '../ladder/criteria.js';
import { MATERIALS } from '../ladder/materials.js';
import { rungAfter, RUNGS, type RungId } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import { kindOf, type Item } from '../question-kinds/registry.js';
import { oneOf } from '../question-kinds/slips.js';
import type { Lesson } from '../lesson/lesson.js';
import { tongueOf } from '../talk/registry.js';
import type { Chances } from './chances.js';
import { DEMONSTRATIONS } from './demonstrations/registry.js';
import type { DraftWish } from './wish.js';
import { Examples } from './examples.js';
import { LessonInMaking } from './lesson-in-making.js';
import { Mistakes } from './mistakes.js';
import { withoutId } from './new-items.js';
import { Uses } from './uses.js';

/** Parts from which on a lesson has them: a contrast, help that fades, a chart, something on paper. */
const CONTRAST_FROM = 2;
const FADES_FROM = 6;
const CHART_FROM = 9;
const PAPER_FROM = 14;
/** Questions from which on there is room for one that sets hands, where the rung is about something else. */
const SETS_FROM = 6;
const PAPER_SECONDS = 120;

/** A lesson in the making, in the order of the work. */
export class Drafting {
  private readonly making: LessonInMaking;
  private readonly examples: Examples;
  private readonly mistakes: Mistakes;
  private readonly uses: Uses;
  private readonly chosen: Item[];

  constructor(wish: DraftWish, chances: Chances) {
    this.making = new LessonInMaking(wish, chances);
    this.examples = new Examples(this.making);
    this.mistakes = new Mistakes(this.making);
    this.uses = new Uses(this.making);
    this.chosen = [...(wish.insight?.items ?? [])];
  }

  /** @param extras how many parts more than the shortest lesson has */
  lesson(extras: number): Lesson {
    const { texts, rung, wish } = this.making;
    const tongue = tongueOf(wish.settings);
    const part = this.sharesOf(extras);
    this.recall();
    this.making.say(texts.today(rung.topic[tongue], rung.criteria[tongue]));
    this.making.beats.push(...DEMONSTRATIONS[rung.demonstration].show(oneOf([2, 4, 8, 10], this.making.rng), this.making.made()));
    if (extras >= CHART_FROM) this.making.beats.push({ kind: 'chart', rung: wish.rung, text: texts.chart });
    this.making.say(texts.examples);
    // The one example of a short lesson is the one between 12 and 1.
    if (part.examples > 0) this.examples.example(this.making.times.forExample());
    else this.examples.trickyExample();
    this.making.goalTurn();
    // I do, you do: nobody only watches for long.
    const rounds = Math.max(part.examples, part.turns);
    for (let index = 0; index < rounds; index++) {
      if (extras >= FADES_FROM && index === Math.floor(part.examples / 2)) this.examples.fade();
      if (index < part.examples) this.examples.trickyExample();
      if (extras >= CONTRAST_FROM) this.examples.contrast();
      if (index < part.turns && !this.chosenTurn()) this.making.neededTurn();
    }
    for (let index = 0; index < part.mistakes; index++) this.mistakes.mistake(index);
    while (this.chosenTurn());
    for (let index = 0; index < part.uses; index++) this.uses.use(index);
    if (extras >= PAPER_FROM) this.paper();
    this.setOnce();
    this.making.say(texts.exit);
    this.exit(extras);
    this.making.say(texts.end(this.nextTopic()));
    return {
      format: 'zeitpunkt-lesson',
      formatVersion: 3,
      title: texts.title(rung.topic[tongue], wish.minutes),
      goal: texts.goal(rung.topic[tongue]),
      successCriteria: criteriaOf(rung, wish.settings),
      rung: wish.rung,
      targetMinutes: wish.minutes,
      settings: wish.settings,
      items: this.making.items,
      beats: this.making.beats.map((beat, index) => ({ ...beat, id: `b${index + 1}` }) as Beat),
    };
  }

  /** How many of each part so many extras are; what a class is known to hold is talked about in the shortest lesson, too. */
  private sharesOf(extras: number) {
    const order = ['examples', 'turns', 'uses', 'examples', 'mistakes', 'turns', 'uses', 'turns'] as const;
    const shares = { examples: 0, turns: 0, uses: 0, mistakes: this.making.wish.insight?.misconceptions.length ? 1 : 0 };
    for (let index = 0; index < extras; index++) shares[order[index % order.length]!] += 1;
    return shares;
  }

  /** What was learnt last time, asked as it was asked then. */
  private recall(): void {
    this.making.say(this.making.texts.hello);
    const before = this.making.wish.between ? this.making.wish.between.before : (this.making.rung.after as RungId | null);
    if (before === null) return this.making.say(this.making.texts.parts);
    const rung: Rung = RUNGS[before];
    this.making.say(this.making.texts.recall(rung.topic[tongueOf(this.making.wish.settings)]));
    if (!rung.goalKinds)
      return this.making.ask(
        { kind: 'read-dial', timeSec: this.making.times.newOn(rung) },
        this.making.phrases.next(this.making.texts.turns),
      );
    const item = this.making.picker.recalled(before);
    if (item) this.making.askMade(item);
    else this.making.goalTurn();
  }

  /** Something to do on paper, with a way round for homes without a printer. */
  private paper(): void {
    const tongue = tongueOf(this.making.wish.settings);
    const { sheet, text } = this.making.texts.task;
    this.making.beats.push({ kind: 'task', sheet, text, withoutPrinter: MATERIALS.sheet.otherwise[tongue], seconds: PAPER_SECONDS });
  }

  /** The next of the questions that were chosen for this class; none may be left. */
  private chosenTurn(): boolean {
    const next = this.chosen.shift();
    if (!next) return false;
    const [at] = kindOf(next).timesOf(next);
    if (at !== undefined) this.making.times.use(at);
    this.making.ask(withoutId(next), this.making.phrases.next(this.making.texts.yourTurn));
    return true;
  }

  /** What pupils can do when they leave: what the lesson was about, read and set. */
  private exit(extras: number): void {
    if (this.making.rung.goalKinds) {
      this.making.goalTurn();
      if (extras > 2) this.making.goalTurn();
      return;
    }
    this.making.turn('set-dial');
    if (extras > 2) this.making.turn('read-dial');
  }

  /** Hands are set once in a lesson that has room for it. */
  private setOnce(): void {
    const { goalKinds, kinds } = this.making.rung;
    if (
      !goalKinds ||
      this.making.items.length < SETS_FROM ||
      !kinds.includes('set-dial') ||
      this.making.items.some(({ kind }) => kind === 'set-dial')
    )
      return;
    const item = this.making.picker.next(['set-dial']);
    if (item) this.making.askMade(item);
  }

  private nextTopic(): string | null {
    const next = this.making.wish.between ? this.making.wish.between.after : rungAfter(this.making.wish.rung);
    return next ? RUNGS[next].topic[tongueOf(this.making.wish.settings)] : null;
  }
}
