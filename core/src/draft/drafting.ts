import { mistakenReading } from '../beats/mistake.js';
import type { Beat, NewBeat } from '../beats/registry.js';
import { gearedPose } from '../dial/pose.js';
import { reportPose } from '../dial/possible.js';
import { rungOfItem } from '../insight/rung-of-item.js';
import { criteriaOf } from '../ladder/criteria.js';
import { isAboutGoal } from '../ladder/goal.js';
import { MATERIALS } from '../ladder/materials.js';
import { rungAfter, RUNGS, type RungId } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import { isOnRung } from '../ladder/rung-times.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { sayToPupilWhile } from '../misconceptions/say-while.js';
import { kindOf, type Item, type ItemOf, type QuestionKindId } from '../question-kinds/registry.js';
import { oneOf } from '../question-kinds/slips.js';
import { seededRng, type Rng } from '../random/rng.js';
import { plannedThinkSec } from '../run/answer-times.js';
import { PLAIN_LAYERS } from '../scene/dial-state.js';
import { hour24, minuteOfHour, secondOfDay, toSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { capital } from '../words/capital.js';
import { WORD_PACKS } from '../words/registry.js';
import { bestWording } from '../words/say.js';
import type { DayEvent } from '../series/day-events.js';
import { NEW_BUILD } from '../stage/dial-build.js';
import type { Lesson } from '../lesson/lesson.js';
import { tongueOf } from '../talk/registry.js';
import { thinkSecondsFor } from '../lesson/think-times.js';
import type { Chances } from './chances.js';
import { DEMONSTRATIONS } from './demonstrations/registry.js';
import type { DraftWish } from './wish.js';
import { Phrases } from './phrases.js';
import { QuestionPicker } from './question-picker.js';
import { situationsAt, type Situation } from './situations.js';
import { DRAFT_TEXTS, type DraftTexts } from './texts.js';
import { TimeFinder } from './time-finder.js';

/** A question without its id. */
type NewItem = { [Id in QuestionKindId]: Omit<ItemOf<Id>, 'id'> }[QuestionKindId];

/** Parts from which on a lesson has them: a contrast, help that fades, a chart, something on paper. */
const CONTRAST_FROM = 2;
const FADES_FROM = 6;
const CHART_FROM = 9;
const PAPER_FROM = 14;
/** Questions from which on there is room for one that sets hands, where the rung is about something else. */
const SETS_FROM = 6;
const PAPER_SECONDS = 120;
/** Questions that are drawn to find one in which an idea that is talked about shows. */
const DRAWN_TO_TALK = 300;
/** Kinds in which two hands are looked at. */
const SHOWS_BOTH_HANDS: ReadonlySet<QuestionKindId> = new Set(['read-dial', 'possible-dial', 'explain-mistake']);

/** A lesson in the making, in the order of the work. */
export class Drafting {
  private readonly rng: Rng;
  private readonly texts: DraftTexts;
  private readonly rung: Rung;
  private readonly picker: QuestionPicker;
  private readonly times: TimeFinder;
  private readonly phrases = new Phrases();
  private readonly beats: NewBeat[] = [];
  private readonly items: Item[] = [];
  private readonly ownUsed = new Set<DayEvent>();
  private readonly situationsUsed = new Set<Situation>();
  private readonly chosen: Item[];
  /** Kinds that are asked anywhere; choosing all that are right is for talk about mistakes. */
  private readonly plainKinds: readonly QuestionKindId[];
  /** Tricky times that no example has shown yet. */
  private readonly traps: Rung['tricky'][number][];
  /** Examples in which hands are set. */
  private handsSet = 0;
  private wasAskedHow = false;
  private wasContrasted = false;

  constructor(
    private readonly wish: DraftWish,
    chances: Chances,
  ) {
    this.rng = seededRng(wish.seed);
    this.texts = DRAFT_TEXTS[tongueOf(wish.settings)];
    this.rung = RUNGS[wish.rung];
    this.picker = new QuestionPicker(wish.rung, this.ideas(), wish.settings, this.rng, chances);
    this.times = new TimeFinder(this.rung, this.picker, this.rng);
    this.plainKinds = this.rung.kinds.filter((kind) => kind !== 'choose-all');
    this.chosen = [...(wish.insight?.items ?? [])];
    // The one between 12 and 1 first, then those where the hands mislead, then what is left.
    const [past12 = [], others = []] = [true, false].map((is12) => this.rung.tricky.filter(({ hour }) => (hour === 12) === is12));
    this.traps = [...past12.slice(0, 1), ...others, ...past12.slice(1)];
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
    if (part.examples > 0) this.example(this.times.forExample());
    else this.trickyExample();
    this.goalTurn();
    // I do, you do: nobody only watches for long.
    const rounds = Math.max(part.examples, part.turns);
    for (let index = 0; index < rounds; index++) {
      if (extras >= FADES_FROM && index === Math.floor(part.examples / 2)) this.fade();
      if (index < part.examples) this.trickyExample();
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
    if (!rung.goalKinds) return this.ask({ kind: 'read-dial', timeSec: this.times.newOn(rung) }, this.phrases.next(this.texts.turns));
    const item = this.picker.recalled(before);
    if (item) this.askMade(item);
    else this.goalTurn();
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
  private trickyExample(): void {
    const place = this.traps.findIndex(({ hour, minute }) => !this.picker.wasAsked(secondOfDay(hour, minute)));
    // When the tricky ones are through, hands are set: from words and from a display in turn.
    if (place < 0) return this.example(this.times.forExample(), this.handsSet++ % 2 === 0 ? 'words' : 'display');
    const [tricky] = this.traps.splice(place, 1) as [Rung['tricky'][number]];
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
    if (!this.rung.goalKinds && !this.items.some((one) => isAboutGoal(this.wish.rung, one))) return this.turn('read-dial');
    const kinds = this.rung.goalKinds ?? this.plainKinds;
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
    const isGoal = (one: Item) => isAboutGoal(this.wish.rung, one);
    const item = this.picker.next(this.plainKinds, this.picker.isBehind() ? isGoal : undefined);
    if (item) this.askMade(item);
    else this.turn('read-dial');
  }

  private askMade(made: Item): void {
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
  private turn(kind: 'read-dial' | 'set-dial'): void {
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

  /** A mistake to talk about: what the class holds first, then tempting choices, a wrong reading, hands that cannot be. */
  private mistake(index: number): void {
    const held = this.wish.insight?.misconceptions ?? [];
    const own = held[index];
    if (own) return this.talkAbout(own);
    if (this.rung.goalKinds) return this.talkAbout(this.rung.misconceptions[index % this.rung.misconceptions.length]!);
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
    const said = sayToPupilWhile(idea, kindOf(item).doing(item), settings).replace(/([.!:] )[^.!?]*\?$/, '$1');
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
    const found = this.times.misleading((timeSec) => mistakenReading({ timeSec, misconception }, settings) !== undefined);
    if (!found) return false;
    this.picker.show(this.times.use(found.shown));
    this.beats.push({ kind: 'mistake', timeSec: found.shown, misconception, text: '' });
    const again = found.again();
    if (again !== undefined) this.ask(toRead(this.times.use(again)), this.phrases.next(this.texts.sameTrap));
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

  /** Something of the day on the islands, at an hour at which it happens; where the rung is about something else, mostly that. */
  private use(index: number): void {
    const { texts, wish } = this;
    const own = wish.daily && this.ownUsed.size <= index / 2 ? this.ownTime(wish.daily) : null;
    if (own) return this.ask(toRead(this.times.use(toSecondOfDay(own.atSec))), texts.happens(capital(own.text))); // prettier-ignore
    const { goalKinds, readsAs } = this.rung;
    // What the day brings waits where a usual idea had too few chances yet.
    const owed = index > 0 && this.picker.owed(this.plainKinds);
    if (owed) return this.askMade(owed);
    if (!goalKinds && index % 3 === 1) return this.neededTurn();
    if (goalKinds && (this.picker.isBehind() || ((!readsAs || index % 2 === 1) && index % 3 !== 2))) return this.goalTurn();
    const isSet = !readsAs && index % 2 === 1;
    const asked = isSet ? toSetFrom('words', 'geared') : readsAs ? (timeSec: SecondOfDay) => ({ ...toRead(timeSec), as: readsAs }) : toRead;
    const at = this.times.ofTheDay(asked);
    const fitting = situationsAt(hour24(at));
    // A long lesson may run out of what happens at an hour: then something happens twice.
    const fresh = fitting.filter((one) => !this.situationsUsed.has(one));
    const chosen = oneOf((fresh.length > 0 ? fresh : fitting) as [Situation, ...Situation[]], this.rng);
    this.situationsUsed.add(chosen);
    const situation = chosen.says[tongueOf(wish.settings)];
    this.ask(asked(at), isSet ? texts.happensAt(situation, bestWording(at, WORD_PACKS[wish.settings.pack])) : texts.happens(situation));
  }

  /** One of the class’s own times that stands on the rung and is not of the hour just asked; each is spoken of once. */
  private ownTime(daily: readonly DayEvent[]): DayEvent | null {
    const own = daily.find((event) => {
      const at = toSecondOfDay(event.atSec);
      return !this.ownUsed.has(event) && isOnRung(this.rung, [at]) && this.picker.isFreeAgain(at);
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
    this.turn('set-dial');
    if (extras > 2) this.turn('read-dial');
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

const toRead = (timeSec: SecondOfDay) => ({ id: '', kind: 'read-dial', timeSec }) as const;

const toSetFrom = (from: 'words' | 'display', hands: 'geared' | 'free') => (timeSec: SecondOfDay) => ({ id: '', kind: 'set-dial', timeSec, from, hands }) as const; // prettier-ignore

function withoutId({ id: _id, ...item }: Item): NewItem {
  return item;
}
