import type { BackupStatus } from '@zeitpunkt/contract';
import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { readFileName, schoolInFiles, type BackupName } from './names.js';

export interface ScheduledOptions {
  /** Where backups lie. */
  readonly to: string;
  readonly school: string;
  /** When one is made each day: minutes since midnight, by the clock of the machine. */
  readonly atMin: number;
  /** So many are kept. */
  readonly most: number;
  /** When pupils were deleted last, in milliseconds since 1970; null where that never was. */
  readonly pupilsDeletedAtMs: () => number | null;
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
    const { to, atMin, most } = this.options;
    const all = this.own();
    const last = this.newest(all);
    const holdDeleted = this.holdDeleted(all);
    const kept = all.map(({ atMs }) => atMs);
    return { each: { to, atMin, most }, kept, last, problem: this.problem, holdDeleted, running: this.running !== null };
  }

  /** Makes one now; asked for again meanwhile it is the same one. */
  make(): Promise<void> {
    this.running ??= this.attempt().finally(() => (this.running = null));
    return this.running;
  }

  /** Deletes those that hold pupils who were deleted since, once there is one without them. @returns how many it deleted */
  async forgetDeleted(): Promise<number> {
    await this.make();
    const deletedAtMs = this.options.pupilsDeletedAtMs();
    if (this.problem !== null || deletedAtMs === null) return 0;
    // The newest stays in any case: one that had begun before is not without them, and is the only one then.
    const [, ...older] = this.own();
    const holding = older.filter(({ atMs }) => atMs <= deletedAtMs);
    try {
      for (const { file } of holding) rmSync(join(this.options.to, file));
    } catch (error) {
      this.problem = (error as Error).message;
    }
    return holding.length;
  }

  /** Makes one where the time of today is over and none was made since. */
  async makeIfDue(): Promise<void> {
    const { nowMs, atMin } = this.options;
    const due = new Date(nowMs());
    due.setHours(0, atMin, 0, 0);
    const newest = this.newest();
    if (nowMs() >= due.getTime() && (newest === null || newest.atMs < due.getTime())) await this.make();
  }

  /** Resolves once the one that is being made has ended. */
  settled(): Promise<void> {
    return this.running ?? Promise.resolve();
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

  private newest([last] = this.own()): BackupStatus['last'] {
    return last ? { atMs: last.atMs, sealed: last.sealed, bytes: statSync(join(this.options.to, last.file)).size } : null;
  }

  private holdDeleted(all: ReturnType<ScheduledBackups['own']>): BackupStatus['holdDeleted'] {
    const deletedAtMs = this.options.pupilsDeletedAtMs();
    if (deletedAtMs === null) return null;
    const without = all.findIndex(({ atMs }) => atMs <= deletedAtMs);
    if (without === -1) return null;
    return { count: all.length - without, deletedAtMs, goneAfter: Math.max(1, this.options.most - without) };
  }

  /**
   * Those of this school, the newest first. A place that cannot be looked at, a disk that is gone for one, is a problem to be told
   * and stops nobody.
   */
  private own(): readonly (BackupName & { readonly file: string })[] {
    const { to, school } = this.options;
    try {
      const files = existsSync(to) ? readdirSync(to) : [];
      const own = files.flatMap((file) => {
        const name = readFileName(file);
        return name?.school === schoolInFiles(school) ? [{ file, ...name }] : [];
      });
      return own.sort((one, other) => other.atMs - one.atMs);
    } catch (error) {
      this.problem = (error as Error).message;
      return [];
    }
  }
}
