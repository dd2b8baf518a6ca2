/** Work for the same key comes one after the other, each made from what the one before it has left; other keys go on meanwhile. */
export class InTurn {
  private readonly last = new Map<string, Promise<void>>();

  do<T>(key: string, work: () => Promise<T>): Promise<T> {
    const before = this.last.get(key) ?? Promise.resolve();
    const done = before.then(work);
    const settled = done.then(
      () => undefined,
      () => undefined,
    );
    this.last.set(key, settled);
    void settled.then(() => this.last.get(key) === settled && this.last.delete(key));
    return done;
  }
}
