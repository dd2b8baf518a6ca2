import { CoreError } from '@zeitpunkt/core/errors';

const MINUTE_MS = 60_000;
/** So many wait for their turn at most; further ones are sent away at once. */
const MOST_WAITING = 4;
/** More of one place than that are not told apart from so many. */
const MOST_COUNTED = 1000;

/** How many failed tries within a minute are taken as mistakes. */
export interface TriesLimits {
  /** One device, or one name: more are refused for the rest of the minute. */
  readonly perDevice: number;
  /** One address, behind which a whole class may sit: beyond it tries are only slowed down. */
  readonly perAddress: number;
  /** All together: beyond it too tries are only slowed down. */
  readonly perServer: number;
  /** Tries that are slowed down are made one after the other, so far apart, in milliseconds. */
  readonly turnMs: number;
  /** Within which time they are counted, in milliseconds; a minute where it is left out. */
  readonly withinMs?: number;
}

/**
 * Counts what fails, and only that: a room key, a password. Whoever guesses is slowed down to a rate at which nothing is
 * found, and nobody is locked out because another device behind the same address fails.
 */
export class FailedTries {
  private readonly failures = new Map<string, number[]>();
  /** When the next turn of each slowed place is, by the process's own clock. */
  private readonly nextTurn = new Map<string, number>();

  constructor(
    private readonly limits: TriesLimits,
    private readonly nowMs: () => number,
  ) {}

  /**
   * Resolves when a try may be made.
   * @param device what tells the device, or null where nothing does
   * @throws CoreError REQUEST_RATE
   */
  async mayTry(device: string | null, address: string): Promise<void> {
    const { perDevice, perAddress, perServer } = this.limits;
    this.mustBeFree(device);
    const isUnknown = device === null && this.count(`unknown ${address}`) >= perDevice;
    if (isUnknown || this.count(`address ${address}`) >= perAddress) await this.turn(address);
    if (this.count('server') >= perServer) await this.turn('server');
  }

  /** Refuses a device that has failed too often itself. @throws CoreError REQUEST_RATE */
  mustBeFree(device: string | null): void {
    if (device !== null && this.count(`device ${device}`) >= this.limits.perDevice) throw tooMany();
  }

  /** Whether so much fails from an address, or from anywhere, that what comes from a device that is not known is not even tried. */
  isCrowded(address: string): boolean {
    const { perAddress, perServer } = this.limits;
    return this.count(`address ${address}`) >= perAddress || this.count('server') >= perServer;
  }

  /**
   * Resolves when a try may be made that takes a while, a password for one: it counts as failed from then on, so that many at
   * once are no way round, until it is said that it was right.
   * @returns takes the failure back
   * @throws CoreError REQUEST_RATE
   */
  async begin(device: string, address: string): Promise<() => void> {
    const turn = this.mayTry(device, address);
    // Counted in the same turn of the event loop, before anybody waits.
    this.failed(device, address);
    const at = this.nowMs();
    await turn;
    return () => {
      for (const key of [`device ${device}`, `address ${address}`, 'server', 'wrong']) {
        const all = this.failures.get(key) ?? [];
        const place = all.lastIndexOf(at);
        if (place >= 0) this.failures.set(key, [...all.slice(0, place), ...all.slice(place + 1)]);
      }
    };
  }

  /** @param isWrong whether it fits nothing at all; what is right but may not be used just now is slowed down all the same */
  failed(device: string | null, address: string, isWrong = true): void {
    const now = this.nowMs();
    const keys = [device === null ? `unknown ${address}` : `device ${device}`, `address ${address}`, 'server'];
    for (const key of isWrong ? [...keys, 'wrong'] : keys) {
      this.failures.set(key, [...this.recent(key).slice(1 - MOST_COUNTED), now]);
    }
    if (this.failures.size > 10_000) for (const key of this.failures.keys()) if (this.count(key) === 0) this.failures.delete(key);
  }

  /** How many that fit nothing were tried within the last minute, from wherever. */
  get wrongLately(): number {
    return this.count('wrong');
  }

  private recent(key: string): number[] {
    const since = this.nowMs() - (this.limits.withinMs ?? MINUTE_MS);
    return (this.failures.get(key) ?? []).filter((at) => at > since);
  }

  private count(key: string): number {
    return this.recent(key).length;
  }

  private async turn(place: string): Promise<void> {
    const now = performance.now();
    const at = Math.max(now, this.nextTurn.get(place) ?? 0);
    if (at - now > MOST_WAITING * this.limits.turnMs) throw tooMany();
    this.nextTurn.set(place, at + this.limits.turnMs);
    if (at > now) await new Promise((resolve) => setTimeout(resolve, at - now));
  }
}

const tooMany = () => new CoreError('REQUEST_RATE', 'Too many tries from here. Please wait a minute and try again.');
