import type { Waiting } from '@zeitpunkt/contract';
import { sendOnceThereIsALine } from './offline/keep-desk';
import { sendWaiting, type Settled } from './send-waiting';

/** Pause before what waits is sent again; it doubles while nothing arrives. */
const RETRY_MS = 1500;
const LONGEST_RETRY_MS = 24_000;

export interface SendingNeeds {
  /** What waits now, oldest first. */
  readonly waiting: () => readonly Waiting[];
  /** Whether two share the device: an answer may go out in the other one's turn. */
  readonly isShared: () => boolean;
  /** Is told what became of an answer, and takes it out of what waits. */
  readonly settled: (waiting: Waiting, how: Settled) => Promise<void>;
}

/** The answers of a desk on their way to the server. */
export class Sending {
  private isSending = false;
  private timer = 0;
  private pauseMs = RETRY_MS;

  constructor(private readonly needs: SendingNeeds) {}

  /**
   * Sends what waits, oldest first, until the server has it or has refused it for good. Trouble at the server loses nothing:
   * what it could not take waits, and so do later answers to the same question, but others go on.
   */
  async send(): Promise<void> {
    if (this.isSending) return;
    this.isSending = true;
    clearTimeout(this.timer);
    const stuck = new Set<string>();
    const next = () => this.needs.waiting().find(({ post }) => !stuck.has(post.askingId));
    try {
      for (let one = next(); one; one = next()) {
        if (await this.settle(one)) this.lineChanged();
        else stuck.add(one.post.askingId);
      }
    } finally {
      this.isSending = false;
    }
    if (stuck.size === 0) return;
    void sendOnceThereIsALine();
    this.timer = window.setTimeout(() => void this.send(), this.pauseMs);
    this.pauseMs = Math.min(this.pauseMs * 2, LONGEST_RETRY_MS);
  }

  /** The line came or went: what waits is tried again soon, however long it has waited. */
  lineChanged(): void {
    this.pauseMs = RETRY_MS;
  }

  stop(): void {
    clearTimeout(this.timer);
  }

  /** @returns whether the answer is settled; otherwise it goes on waiting */
  private async settle(one: Waiting): Promise<boolean> {
    let how: Settled;
    try {
      how = await sendWaiting(one, this.needs.isShared());
    } catch {
      return false; // whatever it was, the answer is kept and goes out later
    }
    await this.needs.settled(one, how);
    return true;
  }
}
