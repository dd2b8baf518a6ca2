const LOCK = 'zeitpunkt-recording';

/** One window of a browser records at a time; the lock goes with the page, however it ends. */
export class RecordingLock {
  private release: () => void = () => undefined;

  /** @returns whether no other window records */
  take(): Promise<boolean> {
    return new Promise((resolve) => {
      if (!('locks' in navigator)) return resolve(true);
      void navigator.locks.request(LOCK, { ifAvailable: true }, (lock) => {
        resolve(lock !== null);
        return lock && new Promise<void>((release) => (this.release = release));
      });
    });
  }

  letGo(): void {
    this.release();
  }
}
