import { computed, inject, Injectable, signal, type OnDestroy } from '@angular/core';
import { motionMs } from '@zeitpunkt/core/stage/player';
import { BREATH_MS } from '@zeitpunkt/core/voice/film';
import type { Take } from '@zeitpunkt/core/voice/take';
import { TakePlayer } from '../../shared/voice/take-player';
import { RecordStore } from './record-store';
import { RecordedSteps } from './recorded-steps';
import { RECORD_WORDS } from './words';

/** Takes are listened to from the step at hand on, one after the other as pupils will hear them. */
@Injectable()
export class Listening implements OnDestroy {
  private readonly store = inject(RecordStore);
  private readonly steps = inject(RecordedSteps);
  /** The take that is heard now. */
  readonly take = signal<Take | null>(null);
  private readonly player = new TakePlayer(() => this.heard());
  /** How far the step at hand is once its take is over, while what moves goes on. */
  private readonly afterMs = signal<(() => number) | null>(null);
  private nextTimer = 0;
  /** How far the step at hand is, in milliseconds. */
  readonly elapsedMs = computed(() => this.afterMs() ?? (() => this.player.atMs));

  /** Begins at the step at hand. */
  async begin(): Promise<void> {
    const take = this.steps.here()?.take;
    if (!take) return this.stop();
    try {
      const sound = await this.store.soundOf(take);
      this.take.set(take);
      await this.player.play(sound);
    } catch {
      this.stop();
      this.store.tell(RECORD_WORDS().notPlayed);
    }
  }

  /** A take is over: the next one follows when what moves has come to rest. */
  private heard(): void {
    const [prepared, here] = [this.steps.prepared(), this.steps.here()];
    if (!prepared || !here) return this.stop();
    const endedMs = this.player.atMs;
    const endedAtMs = Date.now();
    this.afterMs.set(() => endedMs + Date.now() - endedAtMs);
    const waitMs = Math.max(BREATH_MS, motionMs(prepared, here.step.ref) - endedMs);
    const next = this.steps.all().findIndex(({ take }, place) => place > this.steps.place() && take !== null);
    this.nextTimer = window.setTimeout(() => {
      this.afterMs.set(null);
      if (next < 0) return this.stop();
      this.steps.place.set(next);
      void this.begin();
    }, waitMs);
  }

  stop(): void {
    clearTimeout(this.nextTimer);
    this.afterMs.set(null);
    this.player.stop();
    this.take.set(null);
  }

  ngOnDestroy(): void {
    this.stop();
  }
}
