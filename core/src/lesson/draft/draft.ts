import type { Beat, NewBeat } from '../../beats/registry.js';
import { RUNG_IDS, rungAfter, RUNGS, type RungId } from '../../ladder/registry.js';
import type { Rung } from '../../ladder/rung.js';
import { makeChooseAll } from '../../question-kinds/choose-all/make.js';
import type { Item } from '../../question-kinds/registry.js';
import { oneOf } from '../../question-kinds/slips.js';
import { seededRng, type Rng } from '../../rehearsal/rng.js';
import { hour24, SECONDS_PER_HALF_DAY, secondOfDay, toSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { WORD_PACKS } from '../../words/registry.js';
import { bestWording } from '../../words/say.js';
import type { Lesson } from '../lesson.js';
import { prepareLesson } from '../prepare.js';
import type { LessonSettings } from '../settings.js';
import { tongueOf } from '../talk/registry.js';
import { SITUATIONS, situationsAt } from './situations.js';
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
}

/** Part of the target that a draft may be off. */
const TOLERANCE = 0.05;
/** Times that are drawn before the hour of the question before is taken once more. */
const MOST_DRAWS = 12;
const hourOnDial = (at: number) => Math.floor((at % SECONDS_PER_HALF_DAY) / 3600);

/** Parts that are added to the shortest lesson at most. */
const MOST_EXTRAS = 70;
/** How far think times are stretched or cut to meet the target, as a part of what they should be. */
const STRETCH = [0.6, 1.7] as const;
/** Think times that should be, in seconds, by question kind; each rung adds a little. */
const THINK_SECONDS: Readonly<Record<Item['kind'], number>> = { 'read-dial': 18, 'set-dial': 26, 'choose-all': 34 };
const THINK_SECONDS_A_RUNG = 2;

/**
 * A whole lesson in the order of the work: recall, goal, demonstration, worked examples from easy to tricky, your turn in
 * both directions, mistakes, use, an exit check, what comes next. The same wish gives the same lesson.
 */
export function draftLesson(wish: DraftWish): Lesson {
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

/** A lesson in the making. */
class Drafting {
  private readonly rng: Rng;
  private readonly texts: DraftTexts;
  private readonly rung: Rung;
  private readonly times: TimePicker;
  private readonly beats: NewBeat[] = [];
  private readonly items: Item[] = [];
  /** Of the question before, 0 to 11: the next one has another. */
  private lastHour = -1;

  constructor(private readonly wish: DraftWish) {
    this.rng = seededRng(wish.seed);
    this.texts = DRAFT_TEXTS[tongueOf(wish.settings)];
    this.rung = RUNGS[wish.rung];
    this.times = new TimePicker(this.rung, this.rng);
  }

  /** @param extras how many parts more than the shortest lesson has */
  lesson(extras: number): Lesson {
    const { texts, rung, wish } = this;
    const tongue = tongueOf(wish.settings);
    const part = this.sharesOf(extras);
    this.recall();
    this.say(texts.today(rung.topic[tongue], rung.criteria[tongue]));
    this.demonstrate();
    this.say(texts.examples);
    // The one example of a short lesson is the one between 12 and 1.
    if (part.examples > 0) this.example(this.times.next({ isNew: true }));
    else this.trickyExample(0);
    this.turn('read-dial', this.nextAsked({ isNew: true }));
    // I do, you do: nobody only watches for long.
    for (let index = 0; index < Math.max(part.examples, part.turns); index++) {
      if (index < part.examples) this.trickyExample(index);
      if (index < part.turns) this.turn(index % 2 === 0 ? 'set-dial' : 'read-dial');
    }
    for (let index = 0; index < part.mistakes; index++) this.mistake();
    for (let index = 0; index < part.uses; index++) this.use(index);
    this.say(texts.exit);
    this.turn('set-dial', this.nextAsked({ isNew: true }));
    if (extras > 2) this.turn('read-dial', this.nextAsked({ isNew: true }));
    this.say(texts.end(this.nextTopic()));
    return {
      format: 'zeitpunkt-lesson',
      formatVersion: 3,
      title: texts.title(rung.topic[tongue], wish.minutes),
      goal: texts.goal(rung.topic[tongue]),
      successCriteria: rung.criteria[tongue],
      targetMinutes: wish.minutes,
      settings: wish.settings,
      items: this.items,
      beats: this.beats.map((beat, index) => ({ ...beat, id: `b${index + 1}` }) as Beat),
    };
  }

  /** How many of each part so many extras are: first an example, then turns, uses and mistakes in turn. */
  private sharesOf(extras: number) {
    const order = ['examples', 'turns', 'uses', 'mistakes', 'turns', 'uses', 'examples', 'turns'] as const;
    const shares = { examples: 0, turns: 0, uses: 0, mistakes: 0 };
    for (let index = 0; index < extras; index++) shares[order[index % order.length]!] += 1;
    return shares;
  }

  private recall(): void {
    this.say(this.texts.hello);
    const before = this.rung.after as RungId | null;
    if (before === null) return this.say(this.texts.parts);
    this.say(this.texts.recall(RUNGS[before].topic[tongueOf(this.wish.settings)]));
    this.ask(
      { kind: 'read-dial', timeSec: this.times.use(new TimePicker(RUNGS[before], this.rng).next()) },
      oneOf(this.texts.turns, this.rng),
    );
  }

  /** From the full hour on to what is new, with a stop on the way to look at the short hand. */
  private demonstrate(): void {
    const { texts, rung, wish } = this;
    const hour = oneOf([2, 4, 8, 10], this.rng);
    const minute = rung.newMinutes.at(-1)! || 60;
    const [fromSec, toSec] = [hour * 3600, hour * 3600 + minute * 60];
    this.beats.push({ kind: 'set', timeSec: fromSec, display: 'full', words: true, text: texts.from(hour) });
    const stopSec = fromSec + Math.round(minute / 2 / 5) * 300;
    const stops = stopSec > fromSec && stopSec < toSec ? [{ atSec: stopSec, prompt: texts.look }] : [];
    const count = minute % 5 === 0 ? 'fives' : 'ones';
    this.beats.push({ kind: 'sweep', fromSec, toSec, turnSeconds: 24, count, stops, text: texts.watch });
    const words = bestWording(secondOfDay(hour + (minute === 60 ? 1 : 0), minute % 60), WORD_PACKS[wish.settings.pack]);
    this.beats.push({
      kind: 'mark',
      marks: [
        { type: 'hand', hand: 'hour' },
        { type: 'hand', hand: 'minute' },
      ],
      text: texts.seen(words),
    });
  }

  private example(at: SecondOfDay): void {
    this.beats.push({ kind: 'worked-example', timeSec: at });
  }

  private trickyExample(index: number): void {
    const tricky = [...this.rung.tricky].sort((a, b) => Number(b.hour === 12) - Number(a.hour === 12))[index];
    if (!tricky) return this.example(this.times.next());
    this.say(this.texts.tricky);
    this.example(this.times.use(secondOfDay(tricky.hour % 12, tricky.minute)));
  }

  private turn(kind: 'read-dial' | 'set-dial', at = this.nextAsked(), text?: string): void {
    if (kind === 'read-dial') return this.ask({ kind, timeSec: at }, text ?? oneOf(this.texts.turns, this.rng));
    // Hands that move one by one come when the geared ones are known.
    const hands = this.items.some((item) => item.kind === 'set-dial') && this.rng() < 0.5 ? 'free' : 'geared';
    this.ask({ kind, timeSec: at, from: oneOf(['words', 'display'], this.rng), hands }, text ?? oneOf(this.texts.setTurns, this.rng));
  }

  private mistake(): void {
    let made = makeChooseAll('', this.rng, this.rung, this.wish.settings);
    for (let draw = 0; draw < MOST_DRAWS && hourOnDial(made.timeSec) === this.lastHour; draw++) {
      made = makeChooseAll('', this.rng, this.rung, this.wish.settings);
    }
    const { id: _id, ...item } = made;
    this.times.use(toSecondOfDay(item.timeSec));
    this.ask(item, this.texts.mistakes);
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
    const { hours } = oneOf(SITUATIONS as [(typeof SITUATIONS)[number], ...(typeof SITUATIONS)[number][]], this.rng);
    const at = this.nextAsked({ hours });
    const fitting = situationsAt(hour24(at)) as [(typeof SITUATIONS)[number], ...(typeof SITUATIONS)[number][]];
    const situation = oneOf(fitting, this.rng).says[tongueOf(wish.settings)];
    const words = bestWording(at, WORD_PACKS[wish.settings.pack]);
    if (index % 2 === 0) this.turn('read-dial', at, texts.happens(situation));
    else this.ask({ kind: 'set-dial', timeSec: at, from: 'words', hands: 'geared' }, texts.happensAt(situation, words));
  }

  private ask(
    item:
      | Omit<Extract<Item, { kind: 'read-dial' }>, 'id'>
      | Omit<Extract<Item, { kind: 'set-dial' }>, 'id'>
      | Omit<Extract<Item, { kind: 'choose-all' }>, 'id'>,
    text: string,
  ): void {
    const itemId = `q${this.items.length + 1}`;
    this.lastHour = hourOnDial(item.timeSec);
    const asked: Item = { ...item, id: itemId };
    this.items.push(asked);
    const seconds = THINK_SECONDS[item.kind] + THINK_SECONDS_A_RUNG * RUNG_IDS.indexOf(this.wish.rung);
    const think = this.wish.delivery === 'recorded' ? this.texts.stops : oneOf(this.texts.thinks, this.rng);
    this.beats.push({ kind: 'ask', itemId, text }, { kind: 'think', itemId, seconds, text: think }, { kind: 'answer', itemId });
  }

  private say(text: string): void {
    this.beats.push({ kind: 'say', text });
  }

  private nextTopic(): string | null {
    const next = rungAfter(this.wish.rung);
    return next ? RUNGS[next].topic[tongueOf(this.wish.settings)] : null;
  }
}
