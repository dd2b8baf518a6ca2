import { mistakenReading } from '../beats/mistake.js';
import { gearedPose } from '../dial/pose.js';
import { reportPose } from '../dial/possible.js';
import { isAboutGoal } from '../ladder/goal.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { sayToPupilWhile } from '../misconceptions/say-while.js';
import { kindOf } from '../question-kinds/registry.js';
import { minuteOfHour } from '../time/second-of-day.js';
import type { LessonInMaking } from './lesson-in-making.js';
import { toRead, withoutId } from './new-items.js';

/** Questions that are drawn to find one in which an idea that is talked about shows. */
const DRAWN_TO_TALK = 300;

/** Mistakes to talk about. */
export class Mistakes {
  constructor(private readonly lesson: LessonInMaking) {}

  /** A mistake to talk about: what the class holds first, then tempting choices, a wrong reading, hands that cannot be. */
  mistake(index: number): void {
    const held = this.lesson.wish.insight?.misconceptions ?? [];
    const own = held[index];
    if (own) return this.talkAbout(own);
    if (this.lesson.rung.goalKinds) return this.talkAbout(this.lesson.rung.misconceptions[index % this.lesson.rung.misconceptions.length]!);
    if (index % 3 === 1 && this.anyWrongReading(index)) return;
    if (index % 3 === 2 && this.impossible()) return;
    const item = this.lesson.picker.next(['choose-all'], (one) => isAboutGoal(this.lesson.wish.rung, one));
    if (item) this.lesson.ask(withoutId(item), this.lesson.phrases.next(this.lesson.texts.mistakes));
    else if (!this.anyWrongReading(index)) this.lesson.goalTurn();
  }

  /** An idea talked about: as somebody's wrong reading where it makes one, else in a sentence and with a question where it shows. */
  private talkAbout(idea: MisconceptionId): void {
    if (this.wrongReading(idea)) return;
    const { settings } = this.lesson.wish;
    const item = this.lesson.picker.findFor(idea, this.lesson.rung.kinds, undefined, DRAWN_TO_TALK);
    if (!item) {
      if (!this.anyWrongReading(0)) this.lesson.goalTurn();
      return;
    }
    // What a pupil would be asked about an answer of their own is left out.
    const said = sayToPupilWhile(idea, kindOf(item).doing(item), settings).replace(/([.!:] )[^.!?]*\?$/, '$1');
    this.lesson.say(this.lesson.texts.somebody(said.trim()));
    this.lesson.askMade(item);
  }

  private anyWrongReading(index: number): boolean {
    const ideas = this.lesson.ideas();
    return ideas.some((_, place) => this.wrongReading(ideas[(index + place) % ideas.length]!));
  }

  /** Somebody's wrong reading, explained; then the same trap at another time. */
  private wrongReading(misconception: MisconceptionId): boolean {
    const { settings } = this.lesson.wish;
    const found = this.lesson.times.misleading((timeSec) => mistakenReading({ timeSec, misconception }, settings) !== undefined);
    if (!found) return false;
    this.lesson.picker.show(this.lesson.times.use(found.shown));
    this.lesson.beats.push({ kind: 'mistake', timeSec: found.shown, misconception, text: '' });
    const again = found.again();
    if (again !== undefined) this.lesson.ask(toRead(this.lesson.times.use(again)), this.lesson.phrases.next(this.lesson.texts.sameTrap));
    return true;
  }

  /** The hour hand left on its numeral, or half way at a full hour. */
  private impossible(): boolean {
    const at = this.lesson.times.next({ isNew: true });
    const { hourDeg, minuteDeg } = gearedPose(at);
    const off = minuteOfHour(at) >= 10 ? Math.floor(hourDeg / 30) * 30 : (Math.floor(hourDeg / 30) * 30 + 15) % 360;
    const pose = { hourDeg: off, minuteDeg };
    if (reportPose(pose).possible) return false;
    this.lesson.beats.push({ kind: 'possible', pose, text: '' });
    return true;
  }
}
