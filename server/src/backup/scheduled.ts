import type { BackupStatus } from '@zeitpunkt/contract';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { readFileName, schoolInFiles } from './names.js';

export interface ScheduledOptions {
  /** Where backups lie. */
  readonly to: string;
  readonly school: string;
  /** When one is made each day: minutes since midnight, by the clock of the machine. */
  readonly atMin: number;
  readonly nowMs: () => number;
  /** Makes one; what stands in the way is the message of its error. */
  readonly make: () => Promise<unknown>;
  /** Is told of each one that was made, or why not. */
  readonly onDone: (problem: string | null) => void;
}

/** The backups of a school, made once a day while it is served, and whenever somebody asks for one. */
export class ScheduledBackups {
  private problem: string | null = null;
  private running: Promise<void> | null = null;

  constructor(private readonly options: ScheduledOptions) {}

  status(): BackupStatus {
    const { to, atMin } = this.options;
    const last = this.newest();
    return { each: { to, atMin }, last, problem: this.problem, running: this.running !== null };
  }

  /** Makes one now; asked for again meanwhile it is the same one. */
  make(): Promise<void> {
    this.running ??= this.attempt().finally(() => (this.running = null));
    return this.running;
  }

  /** Makes one where the time of today is over and none was made since. */
  async makeIfDue(): Promise<void> {
    const { nowMs, atMin } = this.options;
    const due = new Date(nowMs());
    due.setHours(0, atMin, 0, 0);
    const newest = this.newest();
    if (nowMs() >= due.getTime() && (newest === null || newest.atMs < due.getTime())) await this.make();
  }

  private async attempt(): Promise<void> {
    try {
      await this.options.make();
      this.problem = null;
    } catch (error) {
      this.problem = (error as Error).message;
    }
    this.options.onDone(this.problem);
  }

  /** A place that cannot be looked at, a disk that is gone for one, is a problem to be told and stops nobody. */
  private newest(): BackupStatus['last'] {
    try {
      return this.lookFor();
    } catch (error) {
      this.problem = (error as Error).message;
      return null;
    }
  }

  private lookFor(): BackupStatus['last'] {
    const { to, school } = this.options;
    if (!existsSync(to)) return null;
    const own = readdirSync(to).flatMap((file) => {
      const name = readFileName(file);
      return name?.school === schoolInFiles(school) ? [{ file, ...name }] : [];
    });
    const [last] = own.sort((one, other) => other.atMs - one.atMs);
    return last ? { atMs: last.atMs, sealed: last.sealed, bytes: statSync(join(to, last.file)).size } : null;
  }
}
