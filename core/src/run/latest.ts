/** What tells one attempt from another. */
interface Attempt {
  readonly pupilId: string;
  readonly askingId: string;
  /** 1 for the first. */
  readonly attempt: number;
}

/** Each pupil's latest attempt at each asking: a changed mind counts. */
export class LatestAttempts<T extends Attempt> {
  private readonly byAsking = new Map<string, Map<string, T>>();

  constructor(attempts: Iterable<T> = []) {
    for (const attempt of attempts) this.add(attempt);
  }

  /** Takes an attempt in, in whatever order they come. */
  add(attempt: T): void {
    let byPupil = this.byAsking.get(attempt.askingId);
    if (!byPupil) this.byAsking.set(attempt.askingId, (byPupil = new Map<string, T>()));
    const before = byPupil.get(attempt.pupilId);
    if (!before || before.attempt < attempt.attempt) byPupil.set(attempt.pupilId, attempt);
  }

  of(pupilId: string, askingId: string): T | undefined {
    return this.byAsking.get(askingId)?.get(pupilId);
  }

  /** The latest attempts at an asking, by pupil. */
  at(askingId: string): ReadonlyMap<string, T> {
    return this.byAsking.get(askingId) ?? new Map<string, T>();
  }

  /** Forgets a pupil. */
  forget(pupilId: string): void {
    for (const byPupil of this.byAsking.values()) byPupil.delete(pupilId);
  }
}
