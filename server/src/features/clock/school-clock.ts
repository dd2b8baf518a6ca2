import { eq } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { schoolClock } from '../../tables/clock.js';

/** A clock that is further ahead than that of when it was last seen is not believed by itself, in milliseconds: a week. */
const LEAP_MS = 7 * 86_400_000;
const ROW = 1;

/** From when to when the clock went without anybody seeing it on the way; milliseconds since 1970. */
export interface Leap {
  readonly fromMs: number;
  readonly toMs: number;
}

/**
 * The server's clock as far as something is deleted by it. What is kept for a time is deleted when the time is over; a clock
 * that was set a year ahead would delete a year's work. After a leap, which may as well be the summer holidays, nothing is
 * deleted until a teacher says that the day is right.
 */
export class SchoolClock {
  constructor(
    private readonly db: Db,
    private readonly nowMs: () => number,
  ) {}

  /** Looks at the clock. @returns whether it is believed */
  look(): boolean {
    if (this.leap()) return false;
    this.confirm();
    return true;
  }

  /** The leap that nobody has said yes to; null where there is none. */
  leap(): Leap | null {
    const fromMs = this.db.select().from(schoolClock).where(eq(schoolClock.id, ROW)).get()?.seenAtMs;
    const toMs = this.nowMs();
    return fromMs !== undefined && toMs - fromMs > LEAP_MS ? { fromMs, toMs } : null;
  }

  /** The clock is right: it says so itself from week to week, or a teacher does. */
  confirm(): void {
    const seenAtMs = this.nowMs();
    this.db.insert(schoolClock).values({ id: ROW, seenAtMs }).onConflictDoUpdate({ target: schoolClock.id, set: { seenAtMs } }).run();
  }
}
