/** So long what was taken away can be brought back, in milliseconds. */
export const UNDO_MS = 10_000;

/** What was taken away and is deleted for good in a moment, unless that is undone. */
export class Leavings {
  /** What deletes each for good, where that has not begun. */
  private readonly leaving = new Map<string, () => void>();
  private away: readonly string[] = [];

  /** @param show what is away, also while it is being deleted */
  constructor(private readonly show: (ids: readonly string[]) => void) {}

  /**
   * Takes something away.
   * @param forGood deletes it, when the time to undo that is over
   * @returns what brings it back
   */
  takeAway(id: string, forGood: () => Promise<unknown>): () => void {
    const go = () => {
      clearTimeout(timer);
      this.leaving.delete(id);
      void forGood().then(() => this.tell(this.away.filter((one) => one !== id)));
    };
    const timer = setTimeout(go, UNDO_MS);
    this.leaving.set(id, go);
    this.tell([...this.away, id]);
    return () => {
      clearTimeout(timer);
      this.leaving.delete(id);
      this.tell(this.away.filter((one) => one !== id));
    };
  }

  /** The page is left: what was taken away is deleted now. */
  goNow(): void {
    for (const go of [...this.leaving.values()]) go();
  }

  private tell(away: readonly string[]): void {
    this.away = away;
    this.show(away);
  }
}
