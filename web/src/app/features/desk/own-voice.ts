import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, signal, untracked } from '@angular/core';
import { deviceStore } from '../../shared/device-store';
import { TakePlayer } from '../../shared/voice/take-player';
import { Sign } from '../../ui/sign';
import { DeskStore } from './desk-store';
import { OwnSteps } from './own-steps';
import { VoiceClock } from './voice-clock';
import { DESK_WORDS } from './words';
import { ApiProblem } from '../../shared/api';

/** Slower, for those who want to follow word by word. */
const SLOW = 0.8;
/** A breath between two steps, and the time to look at an answer once its reason was said, in milliseconds. */
const BREATH_MS = 400;
const LOOK_MS = 3000;
/** A sound that could not be fetched is tried again after this pause, in milliseconds. */
const AGAIN_MS = 2000;
/** Sounds that are kept: the one at hand, the next, and one to go back to. */
const KEPT_SOUNDS = 3;
const CAPTIONS = 'zp-captions';
const device = deviceStore();

/** The teacher's voice at own pace: it speaks step by step, stops at each question and goes on after; again, slower, with captions. */
@Component({
  selector: 'zp-own-voice',
  imports: [Sign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (voice(); as voice) {
      @if (captions() && speaks() && caption(); as caption) {
        <p class="caption" aria-live="off" [attr.lang]="language()">{{ caption }}</p>
      }
      @if (problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
      }
      @if (waiting()) {
        <p role="status">{{ words().waitsForLine }}</p>
      }
      <div class="keys" role="group" [attr.aria-label]="words().own.voice">
        <button type="button" class="button filled big main" [disabled]="!voice.here" (click)="press()">
          <zp-sign [name]="state() === 'playing' ? 'pause' : 'read'" />
          {{ state() === 'playing' ? words().own.pause : state() === 'ended' ? words().own.listenAgain : words().own.listen }}
        </button>
        <button type="button" class="button outlined" [disabled]="!voice.here" (click)="again()">
          <zp-sign name="again" />{{ words().own.repeat }}
        </button>
        <button type="button" class="button outlined" [attr.aria-pressed]="slow()" (click)="setSlow(!slow())">
          <zp-sign name="slower" />{{ words().own.slower }}
        </button>
        <button type="button" class="button outlined" [attr.aria-pressed]="captions()" (click)="setCaptions(!captions())">
          <zp-sign name="captions" />{{ words().own.captions }}
        </button>
      </div>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
      margin-top: 0.4rem;
    }
    .keys {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      justify-content: center;
    }
    .keys button {
      display: inline-flex;
      gap: 8px;
      align-items: center;
      justify-content: center;
      min-height: 48px;
    }
    @media (max-width: 480px) {
      .keys {
        display: grid;
        grid-template-columns: repeat(6, 1fr);
      }
      .keys button {
        flex-direction: column;
        grid-column: span 2;
        gap: 2px;
        padding: 4px;
        font-size: 1rem;
        line-height: 1.1;
      }
      .keys .main {
        flex-direction: row;
        grid-column: span 6;
        gap: 12px;
        font-size: 1.2rem;
      }
    }
    .caption {
      min-height: 2.8em;
      margin: 0;
      font-size: 1.25rem;
      line-height: 1.4;
      text-align: center;
      text-wrap: balance;
    }
  `,
})
export class OwnVoice {
  private readonly store = inject(DeskStore);
  protected readonly words = DESK_WORDS;
  private readonly steps = inject(OwnSteps);
  private readonly clock = inject(VoiceClock);
  /** Whether the voice speaks just now: its words are captions then, and stand there in full when it does not. */
  protected readonly speaks = this.clock.speaks;
  private readonly own = computed(() => this.store.view()?.own ?? null);
  protected readonly voice = computed(() => this.own()?.voice ?? null);
  protected readonly language = computed(() => this.store.view()?.language ?? null);
  /** Names what is to be heard: another step, or the same one wished for once more. */
  private readonly place = computed(() => {
    const own = this.own();
    const at = own?.steps[own.at];
    return at ? `${at.beatId}/${at.step} ${this.steps.onceMore()} ${own.voice?.here?.takeId ?? ''}` : '';
  });
  /** Where the sound of this step stands. */
  protected readonly state = signal<'silent' | 'playing' | 'paused' | 'ended'>('silent');
  /** The pupil has pressed once: from then on the voice goes on by itself. */
  private readonly begun = signal(false);
  protected readonly slow = signal(false);
  protected readonly captions = signal(device.get(CAPTIONS) !== 'off');
  protected readonly caption = signal('');
  protected readonly problem = signal<string | null>(null);
  protected readonly waiting = signal(false);
  private readonly player = new TakePlayer(() => this.ended());
  private readonly sounds = new Map<string, Promise<Blob>>();
  private endedAtMs = 0;
  private next = 0;
  private ticking = 0;

  constructor() {
    effect(() => {
      this.place();
      untracked(() => this.begin());
    });
    effect(() => {
      const next = this.voice()?.nextTakeId;
      if (next) void this.fetch(next).catch(() => undefined); // fetched again when it is heard
    });
    inject(DestroyRef).onDestroy(() => {
      this.stop();
      this.clock.elapsedMs.set(null);
      this.clock.speaks.set(false);
    });
  }

  protected press(): void {
    if (this.state() === 'playing') {
      this.player.pause();
      this.state.set('paused');
      // Listening is a choice at each step: whoever stopped it reads on, and so at the next one.
      this.begun.set(false);
      this.clock.speaks.set(false);
      clearInterval(this.ticking);
    } else if (this.state() === 'paused') {
      this.begun.set(true);
      this.clock.speaks.set(true);
      this.state.set('playing');
      this.tick();
      void this.player.resume();
    } else void this.play();
  }

  protected again(): void {
    void this.play();
  }

  protected setSlow(slow: boolean): void {
    this.slow.set(slow);
    this.player.setRate(slow ? SLOW : 1);
  }

  protected setCaptions(shown: boolean): void {
    this.captions.set(shown);
    device.set(CAPTIONS, shown ? 'on' : 'off');
  }

  /** Another step: it is heard at once, if the pupil has begun to listen. */
  private begin(): void {
    this.stop();
    const here = this.voice()?.here ?? null;
    this.state.set('silent');
    this.problem.set(null);
    if (!here || !this.begun()) return this.leaveToReading();
    // Before the voice begins, the stage waits for it.
    this.speakFor(() => 0);
    void this.play();
  }

  /** The voice leads: captions follow it, and the stage goes along with it. */
  private speakFor(elapsedMs: () => number): void {
    this.caption.set(this.voice()?.here?.cues[0]?.text ?? '');
    this.clock.speaks.set(true);
    this.clock.elapsedMs.set(elapsedMs);
  }

  /** Nothing is heard: all words stand there to be read, and the stage moves by itself. */
  private leaveToReading(): void {
    this.caption.set('');
    this.clock.speaks.set(false);
    this.clock.elapsedMs.set(null);
  }

  private async play(): Promise<void> {
    const here = this.voice()?.here;
    if (!here) return;
    this.begun.set(true);
    clearTimeout(this.next);
    const place = this.place();
    try {
      const sound = await this.fetch(here.takeId);
      if (place !== this.place()) return;
      this.waiting.set(false);
      this.state.set('playing');
      this.speakFor(() => this.elapsedMs());
      await this.player.play(sound, this.slow() ? SLOW : 1);
      this.tick();
    } catch (error) {
      if (place !== this.place()) return;
      this.failed(error);
    }
  }

  private failed(error: unknown): void {
    const name = error instanceof DOMException ? error.name : '';
    this.state.set('silent');
    if (name === 'AbortError') return; // another sound has taken its place
    if (name === 'NotAllowedError') {
      this.begun.set(false); // the browser wants a press first
      return this.leaveToReading();
    }
    if (name === 'NotSupportedError') {
      this.leaveToReading();
      return this.problem.set(this.words().own.noVoice);
    }
    this.waiting.set(true);
    this.leaveToReading();
    this.next = window.setTimeout(() => void this.play(), AGAIN_MS);
  }

  private ended(): void {
    this.endedAtMs = Date.now();
    this.state.set('ended');
    this.clock.speaks.set(false);
    clearInterval(this.ticking);
    const view = this.store.view();
    const own = view?.own;
    // At a question that is still to be answered nothing goes on; nor where this step is the last.
    if (!view || !own || own.at >= own.farthest || view.question?.phase === 'open') return;
    const leftMs = Math.max(0, (view.stage?.motionMs ?? 0) - this.elapsedMs());
    this.next = window.setTimeout(() => this.steps.goTo(own.at + 1), Math.max(leftMs, view.question ? LOOK_MS : BREATH_MS));
  }

  private elapsedMs(): number {
    return this.state() === 'ended' ? this.player.atMs + Date.now() - this.endedAtMs : this.player.atMs;
  }

  private tick(): void {
    clearInterval(this.ticking);
    this.ticking = window.setInterval(() => {
      const atMs = this.player.atMs;
      const cue = this.voice()?.here?.cues.find(({ fromMs, toMs }) => fromMs <= atMs && atMs < toMs);
      if (cue) this.caption.set(cue.text);
    }, 100);
  }

  private stop(): void {
    this.player.stop();
    clearTimeout(this.next);
    clearInterval(this.ticking);
  }

  private fetch(takeId: string): Promise<Blob> {
    const known = this.sounds.get(takeId);
    if (known) return known;
    const sound = fetch(`/api/desk/takes/${takeId}`).then((reply) => {
      if (!reply.ok)
        throw new ApiProblem('SOUND_NOT_FETCHED', `The sound cannot be fetched just now (status ${reply.status}).`, reply.status, {
          status: reply.status,
        });
      return reply.blob();
    });
    this.sounds.set(takeId, sound);
    sound.catch(() => this.sounds.delete(takeId));
    for (const old of [...this.sounds.keys()].slice(0, -KEPT_SOUNDS)) this.sounds.delete(old);
    return sound;
  }
}
