import { mistakenReading } from '../../beats/mistake.js';
import type { Beat, NewBeat } from '../../beats/registry.js';
import { checkLesson } from '../../checker-rules/check.js';
import { gearedPose } from '../../dial/pose.js';
import { reportPose } from '../../dial/possible.js';
import { criteriaOf } from '../../ladder/criteria.js';
import { MATERIALS } from '../../ladder/materials.js';
import { rungAfter, RUNGS, type RungId } from '../../ladder/registry.js';
import { isOnRung, type Rung } from '../../ladder/rung.js';
import type { MisconceptionId } from '../../misconceptions/registry.js';
import { makeChooseAll } from '../../question-kinds/choose-all/make.js';
import { rungOfItem } from '../../insight/rung-of-item.js';
import { kindOf, QUESTION_KINDS, type Item, type ItemOf, type QuestionKindId } from '../../question-kinds/registry.js';
import { oneOf } from '../../question-kinds/slips.js';
import { seededRng, type Rng } from '../../rehearsal/rng.js';
import { hour24, minuteOfHour, SECONDS_PER_HALF_DAY, secondOfDay, toSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { WORD_PACKS } from '../../words/registry.js';
import { bestWording } from '../../words/say.js';
import type { DayEvent } from '../day-events.js';
import type { Lesson } from '../lesson.js';
import { prepareLesson } from '../prepare.js';
import type { LessonSettings } from '../settings.js';
import { tongueOf } from '../talk/registry.js';
import { plannedThinkSec, type ClassTimes } from '../../run/answer-times.js';
import { thinkSecondsFor } from '../think-times.js';
import { DEMONSTRATIONS } from './demonstrations/registry.js';
import { SITUATIONS, situationsAt, type Situation } from './situations.js';
import { DRAFT_TEXTS, type DraftTexts } from './texts.js';
import { TimePicker } from './time-picker.js';

/** What a teacher asks for. */
export interface DraftWish {
  readonly rung: RungId;
  /** How long the lesson is to be, in whole minutes, 5 to 40. */
  readonly minutes: number;
  readonly delivery: 'live' | 'recorded';
  readonly settings: LessonSettings;
  /** Another seed gives other examples. */
  readonly seed: number;
  /** What those who are taught are known to hold, the commonest first, and questions that were chosen for them: all are asked. */
  readonly insight?: { readonly misconceptions: readonly MisconceptionId[]; readonly items?: readonly Item[] };
  /** Times of the class’s own day: contexts beside those of the stock. */
  readonly daily?: readonly DayEvent[];
  /** How long the class takes for each kind of question on each rung, where that was seen. */
  readonly answerTimes?: ClassTimes;
  /** What is taught before and after it, where that is planned; else the rungs next to its own. Null for nothing. */
  readonly between?: { readonly before: RungId | null; readonly after: RungId | null };
}

/** Part of the target that a draft may be off. */
const TOLERANCE = 0.05;
/** Times that are drawn before the hour of the question before is taken once more. */
const MOST_DRAWS = 12;
const hourOnDial = (at: number) => Math.floor((at % SECONDS_PER_HALF_DAY) / 3600);

/** Chance can leave a draft with something to mend: then it is drawn anew, from another seed. */
const MOST_TRIES = 6;
const NEXT_SEED = 7919;

/** Parts that are added to the shortest lesson at most. */
const MOST_EXTRAS = 70;
/** How far think times are stretched or cut to meet the target, as a part of what they should be. */
const STRETCH = [0.6, 1.7] as const;
/** Parts from which on a lesson has them: help that fades, a chart, something on paper. */
const FADES_FROM = 6;
const CHART_FROM = 9;
const PAPER_FROM = 14;
const PAPER_SECONDS = 120;

/**
 * A whole lesson in the order of the work: recall, goal, demonstration, worked examples from easy to tricky, your turn in
 * both directions, mistakes, use, an exit check, what comes next. The same wish gives the same lesson.
 */
export function draftLesson(wish: DraftWish): Lesson {
  const tries: { readonly lesson: Lesson; readonly findings: number }[] = [];
  for (let attempt = 0; attempt < MOST_TRIES; attempt++) {
    const lesson = draftOnce({ ...wish, seed: wish.seed + attempt * NEXT_SEED });
    const findings = checkLesson(lesson).length;
    if (findings === 0) return lesson;
    tries.push({ lesson, findings });
  }
  return tries.reduce((best, one) => (one.findings < best.findings ? one : best)).lesson;
}

function draftOnce(wish: DraftWish): Lesson {
  const targetMs = wish.minutes * 60_000;
  const made = new Map<number, { readonly lesson: Lesson; readonly totalMs: number }>();
  const at = (extras: number) => {
    let known = made.get(extras);
    if (!known) {
      const lesson = new Drafting(wish).lesson(extras);
      made.set(extras, (known = { lesson, totalMs: prepareLesson(lesson).totalMs }));
    }
    return known;
  };
  // Lessons grow with their parts: the first that is as long as wished lies between two that are halved again and again.
  let [tooShort, longEnough] = [-1, MOST_EXTRAS];
  while (longEnough - tooShort > 1) {
    const middle = Math.floor((tooShort + longEnough) / 2);
    if (at(middle).totalMs < targetMs) tooShort = middle;
    else longEnough = middle;
  }
  const near = [longEnough, tooShort, longEnough + 1].filter((extras) => extras >= 0).map((extras) => at(extras));
  const fits = near.map(({ lesson, totalMs }) => fitted(lesson, totalMs, targetMs));
  const cost = ({ offMs, stretch }: (typeof fits)[number]) =>
    offMs / targetMs > TOLERANCE ? 10 + offMs / targetMs : Math.abs(Math.log(stretch));
  return fits.reduce((best, one) => (cost(one) < cost(best) ? one : best)).lesson;
}

/** The lesson with its think times cut or stretched towards the target. */
function fitted(lesson: Lesson, totalMs: number, targetMs: number) {
  const thinkMs = thinkMsOf(lesson);
  const stretch = Math.min(STRETCH[1], Math.max(STRETCH[0], (targetMs - totalMs + thinkMs) / thinkMs));
  const beats = lesson.beats.map((beat) =>
    beat.kind === 'think' ? { ...beat, seconds: Math.max(8, Math.round(beat.seconds * stretch)) } : beat,
  );
  const changed: Lesson = { ...lesson, beats };
  return { lesson: changed, stretch, offMs: Math.abs(totalMs - thinkMs + thinkMsOf(changed) - targetMs) };
}

const thinkMsOf = ({ beats }: Lesson) => beats.reduce((sum, beat) => sum + (beat.kind === 'think' ? beat.seconds * 1000 : 0), 0);

/** A question without its id. */
type NewItem = { [Id in QuestionKindId]: Omit<ItemOf<Id>, 'id'> }[QuestionKindId];

/** A lesson in the making. */
class Drafting {
  private readonly rng: Rng;
  private readonly texts: DraftTexts;
  private readonly rung: Rung;
  private readonly times: TimePicker;
  private readonly beats: NewBeat[] = [];
  private readonly items: Item[] = [];
  /** Of the question before, 0 to 11: the next one has another. */
  private readonly ownUsed = new Set<DayEvent>();
  private readonly situationsUsed = new Set<Situation>();
  private lastHour = -1;
  private readonly chosen: Item[];

  constructor(private readonly wish: DraftWish) {
    this.rng = seededRng(wish.seed);
    this.texts = DRAFT_TEXTS[tongueOf(wish.settings)];
    this.rung = RUNGS[wish.rung];
    this.times = new TimePicker(this.rung, this.rng);
    this.chosen = [...(wish.insight?.items ?? [])];
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
    if (part.examples > 0) this.example(this.times.next({ isNew: true }));
    else this.trickyExample(0);
    this.newTurn();
    // I do, you do: nobody only watches for long.
    const rounds = Math.max(part.examples, part.turns);
    for (let index = 0; index < rounds; index++) {
      if (extras >= FADES_FROM && index === Math.floor(part.examples / 2)) this.fade();
      if (index < part.examples) this.trickyExample(index);
      if (index < part.turns && !this.chosenTurn()) this.turnOf(index);
    }
    for (let index = 0; index < part.mistakes; index++) this.mistake(index);
    while (this.chosenTurn());
    for (let index = 0; index < part.uses; index++) this.use(index);
    if (extras >= PAPER_FROM) this.paper();
    this.say(texts.exit);
    this.turn('set-dial', this.nextAsked({ isNew: true }));
    if (extras > 2) this.newTurn();
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

  /** How many of each part so many extras are: first an example, then turns, uses and mistakes in turn. */
  private sharesOf(extras: number) {
    const order = ['examples', 'turns', 'uses', 'examples', 'mistakes', 'turns', 'uses', 'turns'] as const;
    const shares = { examples: 0, turns: 0, uses: 0, mistakes: 0 };
    for (let index = 0; index < extras; index++) shares[order[index % order.length]!] += 1;
    return shares;
  }

  private recall(): void {
    this.say(this.texts.hello);
    const before = this.wish.between ? this.wish.between.before : (this.rung.after as RungId | null);
    if (before === null) return this.say(this.texts.parts);
    this.say(this.texts.recall(RUNGS[before].topic[tongueOf(this.wish.settings)]));
    this.ask({ kind: 'read-dial', timeSec: this.times.use(this.timeOf(RUNGS[before])) }, oneOf(this.texts.turns, this.rng));
  }

  /** A time of another rung that can be asked on this one. */
  private timeOf(rung: Rung): SecondOfDay {
    const picker = new TimePicker(rung, this.rng);
    const draws = Array.from({ length: MOST_DRAWS }, () => picker.next());
    return draws.find((at) => isOnRung(this.rung, [at])) ?? this.times.next();
  }

  private made() {
    const { rung, wish } = this;
    return { rung, settings: wish.settings, tongue: tongueOf(wish.settings) };
  }

  private example(at: SecondOfDay, from?: 'display' | 'words'): void {
    const { demonstration } = this.rung;
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

  private trickyExample(index: number): void {
    // The one between 12 and 1 first, then those where the hands mislead, then what is left.
    const [past12 = [], others = []] = [true, false].map((is12) => this.rung.tricky.filter(({ hour }) => (hour === 12) === is12));
    const tricky = [...past12.slice(0, 1), ...others, ...past12.slice(1)][index];
    // When the tricky ones are through, hands are set: from words and from a display in turn.
    if (!tricky) return this.example(this.times.next(), index % 2 === 0 ? 'words' : 'display');
    this.say(this.texts.tricky);
    this.example(this.times.use(secondOfDay(tricky.hour % 12, tricky.minute)));
  }

  /** What is new on the rung, asked: a dial to read, or where the rung is about something else, its own kinds of questions. */
  private newTurn(): void {
    if (this.rung.byMinutes) this.turn('read-dial', this.nextAsked({ isNew: true }));
    else this.turnOf(1);
  }

  /** The next of the questions that were chosen for this class; none may be left. */
  private chosenTurn(): boolean {
    const next = this.chosen.shift();
    if (!next) return false;
    const { id: _id, ...item } = next;
    const [at] = kindOf(next).timesOf(next);
    if (at !== undefined) this.times.use(at);
    this.ask(item, this.texts.yourTurn);
    return true;
  }

  /** Questions of the rung in turn: hands are set, then one of its other kinds, each before any comes again. */
  private turnOf(index: number): void {
    if (index % 2 === 0 && this.rung.byMinutes) return this.turn('set-dial');
    const others = this.rung.kinds.filter((kind) => kind !== 'set-dial' && kind !== 'choose-all');
    const asked = (kind: QuestionKindId) => this.items.filter((item) => item.kind === kind).length;
    const least = Math.min(...others.map(asked));
    const kind = others.find((one) => asked(one) === least) ?? 'read-dial';
    if (kind === 'read-dial' || !this.otherTurn(kind)) this.turn('read-dial');
  }

  /** A question of any kind that is about another hour than the one before; none may come. */
  private otherTurn(kind: QuestionKindId): boolean {
    for (let draw = 0; draw < MOST_DRAWS; draw++) {
      const { id: _id, ...item } = QUESTION_KINDS[kind].make('', this.rng, this.rung, this.wish.settings) as Item;
      const times = kindOf(item).timesOf({ ...item, id: '' } as Item);
      if (times.some((at) => hourOnDial(at) === this.lastHour) || !isOnRung(this.rung, times)) continue;
      if (times[0] !== undefined) this.times.use(times[0]);
      this.ask(item, this.texts.yourTurn);
      return true;
    }
    return false;
  }

  private turn(kind: 'read-dial' | 'set-dial', at = this.nextAsked(), text?: string): void {
    if (kind === 'read-dial') return this.ask({ kind, timeSec: at }, text ?? oneOf(this.texts.turns, this.rng));
    // Hands that move one by one come when the geared ones are known.
    const hands = this.items.some((item) => item.kind === 'set-dial') && this.rng() < 0.5 ? 'free' : 'geared';
    this.ask({ kind, timeSec: at, from: oneOf(['words', 'display'], this.rng), hands }, text ?? oneOf(this.texts.setTurns, this.rng));
  }

  /** A mistake to talk about: a question with tempting choices, a wrong reading to explain, hands that cannot be, in turn. */
  private mistake(index: number): void {
    if (index % 3 === 1 && this.wrongReading(index)) return;
    if (index % 3 === 2) return this.impossible();
    let made = makeChooseAll('', this.rng, this.rung, this.wish.settings);
    const isWanted = ({ timeSec }: typeof made) =>
      hourOnDial(timeSec) !== this.lastHour && this.rung.newMinutes.includes(minuteOfHour(toSecondOfDay(timeSec)));
    for (let draw = 0; draw < MOST_DRAWS && !isWanted(made); draw++) {
      made = makeChooseAll('', this.rng, this.rung, this.wish.settings);
    }
    const { id: _id, ...item } = made;
    this.times.use(toSecondOfDay(item.timeSec));
    this.ask(item, this.texts.mistakes);
  }

  /** What the class holds, or what is usual on the rung, at a time where it makes a difference; none may do. */
  private wrongReading(index: number): boolean {
    const ideas = [...(this.wish.insight?.misconceptions ?? []), ...this.rung.misconceptions];
    for (let draw = 0; draw < MOST_DRAWS; draw++) {
      const misconception = ideas[(Math.floor(index / 3) + draw) % ideas.length]!;
      const timeSec = this.times.next({ isNew: true });
      if (mistakenReading({ timeSec, misconception }, this.wish.settings)) {
        this.beats.push({ kind: 'mistake', timeSec, misconception, text: '' });
        return true;
      }
    }
    return false;
  }

  /** The hour hand left on its numeral, or half way at a full hour. */
  private impossible(): void {
    const at = this.times.next({ isNew: true });
    const { hourDeg, minuteDeg } = gearedPose(at);
    const off = minuteOfHour(at) >= 10 ? Math.floor(hourDeg / 30) * 30 : (Math.floor(hourDeg / 30) * 30 + 15) % 360;
    const pose = { hourDeg: off, minuteDeg };
    if (!reportPose(pose).possible) this.beats.push({ kind: 'possible', pose, text: '' });
  }

  /** The next time that is asked for: not of the hour of the question before. */
  private nextAsked(wanted: Parameters<TimePicker['next']>[0] = {}): SecondOfDay {
    for (let draw = 0; draw < MOST_DRAWS; draw++) {
      const at = this.times.next(wanted);
      if (hourOnDial(at) !== this.lastHour) return at;
    }
    return this.times.next({ ...wanted, hours: [7, 18] });
  }

  /** Something of the day on the islands, at an hour at which it happens. */
  private use(index: number): void {
    const { texts, wish } = this;
    const own = wish.daily?.length && index % 2 === 1 ? this.ownTime(wish.daily) : null;
    if (own)
      return this.turn(
        'read-dial',
        this.times.use(toSecondOfDay(own.atSec)),
        texts.happens(`${own.text[0]!.toUpperCase()}${own.text.slice(1)}`),
      );
    const { hours } = oneOf(SITUATIONS as [Situation, ...Situation[]], this.rng);
    const at = this.nextAsked({ hours });
    const fitting = situationsAt(hour24(at));
    // A long lesson may run out of what happens at an hour: then something happens twice.
    const fresh = fitting.filter((one) => !this.situationsUsed.has(one));
    const chosen = oneOf((fresh.length > 0 ? fresh : fitting) as [Situation, ...Situation[]], this.rng);
    this.situationsUsed.add(chosen);
    const situation = chosen.says[tongueOf(wish.settings)];
    const words = bestWording(at, WORD_PACKS[wish.settings.pack]);
    if (index % 2 === 0) this.turn('read-dial', at, texts.happens(situation));
    else this.ask({ kind: 'set-dial', timeSec: at, from: 'words', hands: 'geared' }, texts.happensAt(situation, words));
  }

  /** One of the class’s own times that stands on the rung and is not of the hour just asked; each is spoken of once. */
  private ownTime(daily: readonly DayEvent[]): DayEvent | null {
    const own = daily.find(
      (event) => !this.ownUsed.has(event) && isOnRung(this.rung, [toSecondOfDay(event.atSec)]) && hourOnDial(event.atSec) !== this.lastHour,
    );
    if (own) this.ownUsed.add(own);
    return own ?? null;
  }

  private ask(item: NewItem, text: string): void {
    const itemId = `q${this.items.length + 1}`;
    const asked = { ...item, id: itemId } as Item;
    // A question about no time of day leaves the hour to the one before it.
    this.lastHour = kindOf(asked).timesOf(asked).map(hourOnDial)[0] ?? this.lastHour;
    this.items.push(asked);
    const measured = this.wish.answerTimes?.[item.kind];
    const onRung = measured?.byRung[rungOfItem(asked, { rung: this.wish.rung })];
    const seconds = plannedThinkSec(thinkSecondsFor(item.kind, this.wish.rung), onRung ?? measured);
    const isRecorded = this.wish.delivery === 'recorded';
    const think = isRecorded ? this.texts.stops : oneOf(this.texts.thinks, this.rng);
    this.beats.push(
      { kind: 'ask', itemId, text },
      { kind: 'think', itemId, seconds, text: think, ...(isRecorded && { stops: true as const }) },
      { kind: 'answer', itemId },
    );
  }

  private say(text: string): void {
    this.beats.push({ kind: 'say', text });
  }

  private nextTopic(): string | null {
    const next = this.wish.between ? this.wish.between.after : rungAfter(this.wish.rung);
    return next ? RUNGS[next].topic[tongueOf(this.wish.settings)] : null;
  }
}
