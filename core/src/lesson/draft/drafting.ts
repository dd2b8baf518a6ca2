import { mistakenReading } from '../../beats/mistake.js';
import type { Beat, NewBeat } from '../../beats/registry.js';
import { gearedPose } from '../../dial/pose.js';
import { reportPose } from '../../dial/possible.js';
import { rungOfItem } from '../../insight/rung-of-item.js';
import { criteriaOf } from '../../ladder/criteria.js';
import { isAboutGoal } from '../../ladder/goal.js';
import { MATERIALS } from '../../ladder/materials.js';
import { rungAfter, RUNGS, type RungId } from '../../ladder/registry.js';
import { isOnRung, type Rung } from '../../ladder/rung.js';
import type { MisconceptionId } from '../../misconceptions/registry.js';
import { sayToPupilWhile } from '../../misconceptions/say-while.js';
import { kindOf, QUESTION_KINDS, type Item, type ItemOf, type QuestionKindId } from '../../question-kinds/registry.js';
import { oneOf } from '../../question-kinds/slips.js';
import { seededRng, type Rng } from '../../rehearsal/rng.js';
import { plannedThinkSec } from '../../run/answer-times.js';
import { PLAIN_LAYERS } from '../../scene/dial-state.js';
import { hour24, minuteOfHour, secondOfDay, toSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { WORD_PACKS } from '../../words/registry.js';
import { bestWording } from '../../words/say.js';
import type { DayEvent } from '../day-events.js';
import { NEW_BUILD } from '../dial-build.js';
import type { Lesson } from '../lesson.js';
import { tongueOf } from '../talk/registry.js';
import { thinkSecondsFor } from '../think-times.js';
import { DEMONSTRATIONS } from './demonstrations/registry.js';
import type { DraftWish } from './draft.js';
import { Phrases } from './phrases.js';
import { QuestionPicker } from './question-picker.js';
import { SITUATIONS, situationsAt, type Situation } from './situations.js';
import { DRAFT_TEXTS, type DraftTexts } from './texts.js';
import { TimePicker } from './time-picker.js';

/** A question without its id. */
type NewItem = { [Id in QuestionKindId]: Omit<ItemOf<Id>, 'id'> }[QuestionKindId];

/** Times that are drawn before something less good is taken. */
const MOST_DRAWS = 16;
/** Parts from which on a lesson has them: a contrast, help that fades, a chart, something on paper. */
const CONTRAST_FROM = 2;
const FADES_FROM = 6;
const CHART_FROM = 9;
const PAPER_FROM = 14;
/** Questions from which on there is room for one that sets hands, where the rung is about something else. */
const SETS_FROM = 6;
const PAPER_SECONDS = 120;
/** Of the times of the day that are spoken of, so many are about what is new. */
const NEW_IN_USE = 0.8;
/** Questions that are drawn to find one in which an idea that is talked about shows. */
const DRAWN_TO_TALK = 300;
/** Kinds in which two hands are looked at. */
const SHOWS_BOTH_HANDS: ReadonlySet<QuestionKindId> = new Set(['read-dial', 'possible-dial', 'explain-mistake']);

/** A lesson in the making, in the order of the work. */
export class Drafting {
  private readonly rng: Rng;
  private readonly texts: DraftTexts;
  private readonly rung: Rung;
  private readonly times: TimePicker;
  private readonly picker: QuestionPicker;
  private readonly phrases = new Phrases();
  private readonly beats: NewBeat[] = [];
  private readonly items: Item[] = [];
  private readonly ownUsed = new Set<DayEvent>();
  private readonly situationsUsed = new Set<Situation>();
  private readonly chosen: Item[];
  private wasAskedHow = false;
  private wasContrasted = false;

  constructor(private readonly wish: DraftWish) {
    this.rng = seededRng(wish.seed);
    this.texts = DRAFT_TEXTS[tongueOf(wish.settings)];
    this.rung = RUNGS[wish.rung];
    this.times = new TimePicker(this.rung, this.rng);
    this.picker = new QuestionPicker(wish.rung, this.ideas(), wish.settings, this.rng);
    this.chosen = [...(wish.insight?.items ?? [])];
  }

  /** What the class holds, and what is usual on the rung. */
  private ideas(): readonly MisconceptionId[] {
    return [...new Set([...(this.wish.insight?.misconceptions ?? []), ...this.rung.misconceptions])];
  }

  /** @param extras how many parts more than the shortest lesson has */
  lesson(extras: number): Lesson {
    const { texts, rung, wish } = this;
    const tongue = tongueOf(wish.settings);
    const part = this.sharesOf(extras);
    this.recall();
    this.say(texts.today(rung.topic[tongue], rung.criteria[tongue]));
    this.beats.push(...DEMONSTRATIONS[rung.demonstration].show(oneOf([2, 4, 8, 10], this.rng), this.made()));
    if (extras >= CHART_FROM) this.beats.push({ kind: 'chart', rung: wish.rung, text: texts.chart });
    this.say(texts.examples);
    // The one example of a short lesson is the one between 12 and 1.
    if (part.examples > 0) this.example(this.exampleTime());
    else this.trickyExample(0);
    this.goalTurn();
    // I do, you do: nobody only watches for long.
    const rounds = Math.max(part.examples, part.turns);
    for (let index = 0; index < rounds; index++) {
      if (extras >= FADES_FROM && index === Math.floor(part.examples / 2)) this.fade();
      if (index < part.examples) this.trickyExample(index);
      if (extras >= CONTRAST_FROM) this.contrast();
      if (index < part.turns && !this.chosenTurn()) this.neededTurn();
    }
    for (let index = 0; index < part.mistakes; index++) this.mistake(index);
    while (this.chosenTurn());
    for (let index = 0; index < part.uses; index++) this.use(index);
    if (extras >= PAPER_FROM) this.paper();
    this.setOnce();
    this.say(texts.exit);
    this.exit(extras);
    this.say(texts.end(this.nextTopic()));
    return {
      format: 'zeitpunkt-lesson',
      formatVersion: 3,
      title: texts.title(rung.topic[tongue], wish.minutes),
      goal: texts.goal(rung.topic[tongue]),
      successCriteria: criteriaOf(rung, wish.settings),
      rung: wish.rung,
      targetMinutes: wish.minutes,
      settings: wish.settings,
      items: this.items,
      beats: this.beats.map((beat, index) => ({ ...beat, id: `b${index + 1}` }) as Beat),
    };
  }

  /** How many of each part so many extras are; what a class is known to hold is talked about in the shortest lesson, too. */
  private sharesOf(extras: number) {
    const order = ['examples', 'turns', 'uses', 'examples', 'mistakes', 'turns', 'uses', 'turns'] as const;
    const shares = { examples: 0, turns: 0, uses: 0, mistakes: this.wish.insight?.misconceptions.length ? 1 : 0 };
    for (let index = 0; index < extras; index++) shares[order[index % order.length]!] += 1;
    return shares;
  }

  /** What was learnt last time, asked as it was asked then. */
  private recall(): void {
    this.say(this.texts.hello);
    const before = this.wish.between ? this.wish.between.before : (this.rung.after as RungId | null);
    if (before === null) return this.say(this.texts.parts);
    const rung: Rung = RUNGS[before];
    this.say(this.texts.recall(rung.topic[tongueOf(this.wish.settings)]));
    if (!rung.goalKinds)
      return this.ask({ kind: 'read-dial', timeSec: this.times.use(this.timeOf(rung)) }, this.phrases.next(this.texts.turns));
    for (let draw = 0; draw < MOST_DRAWS; draw++) {
      const kind = rung.goalKinds[draw % rung.goalKinds.length]!;
      const made = QUESTION_KINDS[kind].make('', this.rng, rung, this.wish.settings) as Item;
      if (isAboutGoal(before, made) && kindOf(made).timesOf(made).every((at) => this.picker.isFree(at) && isOnRung(this.rung, [at]))) return this.askMade(made); // prettier-ignore
    }
    this.goalTurn();
  }

  /** A time that is new on another rung and can be asked on this one. */
  private timeOf(rung: Rung): SecondOfDay {
    const picker = new TimePicker(rung, this.rng);
    const draws = Array.from({ length: MOST_DRAWS }, () => picker.next({ isNew: true }));
    const fits = draws.filter((at) => isOnRung(this.rung, [at]));
    return fits.find((at) => this.picker.isFree(at)) ?? fits[0] ?? this.times.next();
  }

  private made() {
    const { rung, wish } = this;
    return { rung, settings: wish.settings, tongue: tongueOf(wish.settings) };
  }

  private example(at: SecondOfDay, from?: 'display' | 'words'): void {
    const { demonstration } = this.rung;
    this.picker.show(at);
    const beats: readonly NewBeat[] =
      from && demonstration === 'sweep'
        ? [{ kind: 'worked-example', timeSec: at, from }]
        : DEMONSTRATIONS[demonstration].example(at, this.made());
    this.beats.push(...beats);
  }

  /** A new time of the rung that nobody was asked for yet. */
  private exampleTime(): SecondOfDay {
    // Before noon there is nothing to add.
    const hours = this.wish.rung === 'hours-24' ? ({ hours: [13, 21] } as const) : {};
    const draws = Array.from({ length: MOST_DRAWS }, () => this.times.peek({ isNew: true, ...hours }));
    const { picker } = this;
    const isNew = (at: SecondOfDay) => !picker.wasAsked(at) && !picker.wasShown(at);
    return this.times.use(draws.find((at) => isNew(at) && picker.isFree(at)) ?? draws.find(isNew) ?? draws.find((at) => !picker.wasAskedLately(at)) ?? draws[0]!); // prettier-ignore
  }

  /** From here on plain: a clock at home has no minute numbers and no colours. */
  private fade(): void {
    this.beats.push({ kind: 'layers', layers: { minuteRing: 'none', handInk: 'alike' }, lasts: true, text: this.texts.fades });
  }

  /** Something to do on paper, with a way round for homes without a printer. */
  private paper(): void {
    const tongue = tongueOf(this.wish.settings);
    const { sheet, text } = this.texts.task;
    this.beats.push({ kind: 'task', sheet, text, withoutPrinter: MATERIALS.sheet.otherwise[tongue], seconds: PAPER_SECONDS });
  }

  /** The trap is named before it is gone round. */
  private trickyExample(index: number): void {
    // The one between 12 and 1 first, then those where the hands mislead, then what is left.
    const [past12 = [], others = []] = [true, false].map((is12) => this.rung.tricky.filter(({ hour }) => (hour === 12) === is12));
    const tricky = [...past12.slice(0, 1), ...others, ...past12.slice(1)].filter(
      ({ hour, minute }) => !this.picker.wasAsked(secondOfDay(hour, minute)),
    )[index];
    // When the tricky ones are through, hands are set: from words and from a display in turn.
    if (!tricky) return this.example(this.exampleTime(), index % 2 === 0 ? 'words' : 'display');
    this.say(this.texts.tricky(tricky.why[tongueOf(this.wish.settings)]));
    this.example(this.times.use(secondOfDay(tricky.hour, tricky.minute)));
  }

  /** Two dials beside each other that show where the trap lies. */
  private contrast(): void {
    const { contrast } = this.rung;
    if (!contrast || this.wasContrasted) return;
    const [left, right] = contrast.times.map(({ hour, minute }) => secondOfDay(hour, minute)) as [SecondOfDay, SecondOfDay];
    if (this.picker.wasAskedLately(left) || this.picker.wasAskedLately(right)) return;
    this.wasContrasted = true;
    for (const at of [left, right]) this.picker.show(at);
    const { settings } = this.wish;
    this.beats.push({
      kind: 'show',
      build: {
        ...NEW_BUILD,
        timeSec: right,
        layers: PLAIN_LAYERS,
        display: 'none',
        separator: settings.separator,
        pack: settings.pack,
        events: [],
        beside: [{ pose: gearedPose(left), layers: PLAIN_LAYERS, marks: [] }],
        place: 1,
      },
      text: contrast.says[tongueOf(settings)],
    });
  }

  /** What the lesson is about, asked: a dial to read, or where the rung is about something else, its own kinds of questions. */
  private goalTurn(): void {
    if (!this.rung.goalKinds && !this.items.some((one) => isAboutGoal(this.wish.rung, one)))
      return this.turn('read-dial', this.nextAsked());
    const kinds = this.rung.goalKinds ?? this.rung.kinds.filter((kind) => kind !== 'choose-all');
    const item = this.picker.next(kinds, (one) => isAboutGoal(this.wish.rung, one));
    if (item) this.askMade(item);
    else this.turn('read-dial');
  }

  /** The next of the questions that were chosen for this class; none may be left. */
  private chosenTurn(): boolean {
    const next = this.chosen.shift();
    if (!next) return false;
    const [at] = kindOf(next).timesOf(next);
    if (at !== undefined) this.times.use(at);
    this.ask(withoutId(next), this.phrases.next(this.texts.yourTurn));
    return true;
  }

  /** The question that the lesson needs most: of any kind of the rung. */
  private neededTurn(): void {
    const item = this.picker.next(this.rung.kinds.filter((kind) => kind !== 'choose-all'));
    if (item) this.askMade(item);
    else this.turn('read-dial');
  }

  private askMade(made: Item): void {
    const { id: _id, ...item } = made;
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

  private turn(kind: 'read-dial' | 'set-dial', at = this.nextAsked(), text?: string): void {
    if (kind === 'read-dial') return this.ask({ kind, timeSec: at }, text ?? this.readText());
    const hands = this.items.some((item) => item.kind === 'set-dial') && this.rng() < 0.5 ? 'free' : 'geared';
    this.ask({ kind, timeSec: at, from: oneOf(['words', 'display'], this.rng), hands }, text ?? this.phrases.next(this.texts.setTurns));
  }

  /** Once a lesson pupils say how they know. */
  private readText(): string {
    if (this.wasAskedHow || this.items.length === 0) return this.phrases.next(this.texts.turns);
    this.wasAskedHow = true;
    return this.texts.howDoYouKnow;
  }

  /** A mistake to talk about: what the class holds first, then tempting choices, a wrong reading, hands that cannot be. */
  private mistake(index: number): void {
    const held = this.wish.insight?.misconceptions ?? [];
    const own = held[index];
    if (own) return this.talkAbout(own);
    if (this.rung.goalKinds && this.wish.rung !== 'hour-hand')
      return this.talkAbout(this.rung.misconceptions[index % this.rung.misconceptions.length]!);
    if (index % 3 === 1 && this.anyWrongReading(index)) return;
    if (index % 3 === 2 && this.impossible()) return;
    const item = this.picker.next(['choose-all'], (one) => isAboutGoal(this.wish.rung, one));
    if (item) this.ask(withoutId(item), this.phrases.next(this.texts.mistakes));
    else if (!this.anyWrongReading(index)) this.goalTurn();
  }

  /** An idea talked about: as somebody's wrong reading where it makes one, else in a sentence and with a question where it shows. */
  private talkAbout(idea: MisconceptionId): void {
    if (this.wrongReading(idea)) return;
    const { settings } = this.wish;
    const item = this.picker.findFor(idea, this.rung.kinds, undefined, DRAWN_TO_TALK);
    if (!item) {
      if (!this.anyWrongReading(0)) this.goalTurn();
      return;
    }
    // What a pupil would be asked about an answer of their own is left out.
    const said = sayToPupilWhile(idea, kindOf(item).doing(item), settings).replace(/(?<=[.!:] )[^.!?]*\?$/, '');
    this.say(this.texts.somebody(said.trim()));
    this.askMade(item);
  }

  private anyWrongReading(index: number): boolean {
    const ideas = this.ideas();
    return ideas.some((_, place) => this.wrongReading(ideas[(index + place) % ideas.length]!));
  }

  /** Somebody's wrong reading, explained; then the same trap at another time. */
  private wrongReading(misconception: MisconceptionId): boolean {
    const { settings } = this.wish;
    const misleads = (timeSec: SecondOfDay) => mistakenReading({ timeSec, misconception }, settings) !== undefined;
    const draws = Array.from({ length: 2 * MOST_DRAWS }, () => this.times.peek({ isNew: true })).filter(misleads);
    const at = draws.find((one) => this.picker.isFree(one) && !this.picker.wasAsked(one)) ?? draws.find((one) => this.picker.isFree(one));
    if (at === undefined) return false;
    this.picker.show(this.times.use(at));
    this.beats.push({ kind: 'mistake', timeSec: at, misconception, text: '' });
    const again = draws.find((one) => this.picker.isFree(one));
    if (again !== undefined) this.turn('read-dial', this.times.use(again), this.phrases.next(this.texts.sameTrap));
    return true;
  }

  /** The hour hand left on its numeral, or half way at a full hour. */
  private impossible(): boolean {
    const at = this.times.next({ isNew: true });
    const { hourDeg, minuteDeg } = gearedPose(at);
    const off = minuteOfHour(at) >= 10 ? Math.floor(hourDeg / 30) * 30 : (Math.floor(hourDeg / 30) * 30 + 15) % 360;
    const pose = { hourDeg: off, minuteDeg };
    if (reportPose(pose).possible) return false;
    this.beats.push({ kind: 'possible', pose, text: '' });
    return true;
  }

  /** The next time that is asked for: free, not asked before where that can be, and of those what the usual ideas need most. */
  private nextAsked(wanted: Parameters<TimePicker['next']>[0] = { isNew: true }): SecondOfDay {
    const { picker } = this;
    const draws = Array.from({ length: MOST_DRAWS }, () => this.times.peek(wanted));
    const free = [...draws, ...this.times.all(wanted)].filter((at) => picker.isFree(at));
    const isNew = (at: SecondOfDay) => !picker.wasAsked(at) && !picker.wasShown(at);
    const best = [free.filter(isNew), free.filter((at) => !picker.wasAskedLately(at)), free].find((list) => list.length > 0);
    return this.times.use(best ? picker.mostNeeded(best.slice(0, MOST_DRAWS)) : draws[0]!);
  }

  /** Something of the day on the islands, at an hour at which it happens; where the rung is about something else, mostly that. */
  private use(index: number): void {
    const { texts, wish } = this;
    const own = wish.daily?.length && index % 2 === 1 ? this.ownTime(wish.daily) : null;
    if (own) {
      this.turn('read-dial', this.times.use(toSecondOfDay(own.atSec)), texts.happens(`${own.text[0]!.toUpperCase()}${own.text.slice(1)}`));
      return;
    }
    if (!this.rung.goalKinds && index % 3 === 1) return this.neededTurn();
    if (this.rung.goalKinds && (wish.rung !== 'hours-24' || index % 2 === 1) && index % 3 !== 2) return this.goalTurn();
    const isOf24 = wish.rung === 'hours-24';
    const at = this.timeOfDay(isOf24);
    const fitting = situationsAt(hour24(at));
    // A long lesson may run out of what happens at an hour: then something happens twice.
    const fresh = fitting.filter((one) => !this.situationsUsed.has(one));
    const chosen = oneOf((fresh.length > 0 ? fresh : fitting) as [Situation, ...Situation[]], this.rng);
    this.situationsUsed.add(chosen);
    const situation = chosen.says[tongueOf(wish.settings)];
    const words = bestWording(at, WORD_PACKS[wish.settings.pack]);
    if (isOf24) return this.ask({ kind: 'read-dial', timeSec: at, as: 'of-24' }, texts.happens(situation));
    if (index % 2 === 0) this.turn('read-dial', at, texts.happens(situation));
    else this.ask({ kind: 'set-dial', timeSec: at, from: 'words', hands: 'geared' }, texts.happensAt(situation, words));
  }

  /** A time at which something happens on the islands: drawn until one is free. */
  private timeOfDay(isOf24: boolean): SecondOfDay {
    const isNew = !this.rung.goalKinds && this.rng() < NEW_IN_USE;
    const [first, ...others] = SITUATIONS.filter(({ hours: [from] }) => !isOf24 || from >= 13);
    for (let draw = 0; draw < MOST_DRAWS; draw++) {
      const at = this.nextAsked({ hours: oneOf([first!, ...others], this.rng).hours, ...(isNew && { isNew: true as const }) });
      if (this.picker.isFree(at)) return at;
    }
    return this.nextAsked();
  }

  /** One of the class’s own times that stands on the rung and is not of the hour just asked; each is spoken of once. */
  private ownTime(daily: readonly DayEvent[]): DayEvent | null {
    const own = daily.find((event) => {
      const at = toSecondOfDay(event.atSec);
      return !this.ownUsed.has(event) && isOnRung(this.rung, [at]) && this.picker.isFree(at);
    });
    if (own) this.ownUsed.add(own);
    return own ?? null;
  }

  /** What pupils can do when they leave: what the lesson was about, read and set. */
  private exit(extras: number): void {
    if (this.rung.goalKinds) {
      this.goalTurn();
      if (extras > 2) this.goalTurn();
      return;
    }
    this.turn('set-dial', this.nextAsked());
    if (extras > 2) this.turn('read-dial', this.nextAsked());
  }

  /** Hands are set once in a lesson that has room for it. */
  private setOnce(): void {
    const { goalKinds, kinds } = this.rung;
    if (!goalKinds || this.items.length < SETS_FROM || !kinds.includes('set-dial') || this.items.some(({ kind }) => kind === 'set-dial'))
      return;
    const item = this.picker.next(['set-dial']);
    if (item) this.askMade(item);
  }

  private ask(item: NewItem, text: string): void {
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

  private say(text: string): void {
    this.beats.push({ kind: 'say', text });
  }

  private nextTopic(): string | null {
    const next = this.wish.between ? this.wish.between.after : rungAfter(this.wish.rung);
    return next ? RUNGS[next].topic[tongueOf(this.wish.settings)] : null;
  }
}

function withoutId({ id: _id, ...item }: Item): NewItem {
  return item;
}
