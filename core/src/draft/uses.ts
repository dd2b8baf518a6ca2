import { isOnRung } from '../ladder/rung-times.js';
import { oneOf } from '../question-kinds/slips.js';
import { hour24, toSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { capital } from '../words/capital.js';
import { WORD_PACKS } from '../words/registry.js';
import { bestWording } from '../words/say.js';
import type { DayEvent } from '../series/day-events.js';
import { tongueOf } from '../talk/registry.js';
import { situationsAt, type Situation } from './situations.js';
import type { LessonInMaking } from './lesson-in-making.js';
import { toRead, toSetFrom } from './new-items.js';

/** Times in use: something of the class’s own day, or of the day on the islands. */
export class Uses {
  private readonly ownUsed = new Set<DayEvent>();
  private readonly situationsUsed = new Set<Situation>();

  constructor(private readonly lesson: LessonInMaking) {}

  /** Something of the day on the islands, at an hour at which it happens; where the rung is about something else, mostly that. */
  use(index: number): void {
    const { texts, wish } = this.lesson;
    const own = wish.daily && this.ownUsed.size <= index / 2 ? this.ownTime(wish.daily) : null;
    if (own) return this.lesson.ask(toRead(this.lesson.times.use(toSecondOfDay(own.atSec))), texts.happens(capital(own.text))); // prettier-ignore
    const { goalKinds, readsAs } = this.lesson.rung;
    // What the day brings waits where a usual idea had too few chances yet.
    const owed = index > 0 && this.lesson.picker.owed(this.lesson.plainKinds);
    if (owed) return this.lesson.askMade(owed);
    if (!goalKinds && index % 3 === 1) return this.lesson.neededTurn();
    if (goalKinds && (this.lesson.picker.isBehind() || ((!readsAs || index % 2 === 1) && index % 3 !== 2))) return this.lesson.goalTurn();
    const isSet = !readsAs && index % 2 === 1;
    const asked = isSet ? toSetFrom('words', 'geared') : readsAs ? (timeSec: SecondOfDay) => ({ ...toRead(timeSec), as: readsAs }) : toRead;
    const at = this.lesson.times.ofTheDay(asked);
    const fitting = situationsAt(hour24(at));
    // A long lesson may run out of what happens at an hour: then something happens twice.
    const fresh = fitting.filter((one) => !this.situationsUsed.has(one));
    const chosen = oneOf((fresh.length > 0 ? fresh : fitting) as [Situation, ...Situation[]], this.lesson.rng);
    this.situationsUsed.add(chosen);
    const situation = chosen.says[tongueOf(wish.settings)];
    this.lesson.ask(
      asked(at),
      isSet ? texts.happensAt(situation, bestWording(at, WORD_PACKS[wish.settings.pack])) : texts.happens(situation),
    );
  }

  /** One of the class’s own times that stands on the rung and is not of the hour just asked; each is spoken of once. */
  private ownTime(daily: readonly DayEvent[]): DayEvent | null {
    const own = daily.find((event) => {
      const at = toSecondOfDay(event.atSec);
      return !this.ownUsed.has(event) && isOnRung(this.lesson.rung, [at]) && this.lesson.picker.isFreeAgain(at);
    });
    if (own) this.ownUsed.add(own);
    return own ?? null;
  }
}
