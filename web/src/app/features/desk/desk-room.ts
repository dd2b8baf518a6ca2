import { afterNextRender, ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { movingBeatOf } from '@zeitpunkt/core/beats/moving';
import { TEACHING_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import { withMarks } from '@zeitpunkt/core/scene/with-marks';
import { Confirm } from './confirm';
import { heldUpright } from '../../ui/held-upright';
import { LazyPart } from '../../ui/lazy-part';
import { StageView, type StagePlay } from '../../ui/stage-view';
import { DeskQuestion } from './desk-question';
import { DeskStore } from './desk-store';
import { OwnSteps } from './own-steps';
import { VoiceClock } from './voice-clock';

/** Parts that few lessons need: fetched when they are first shown. */
const PARTS = {
  clock: () => import('./practice-dial').then((file) => file.PracticeDial),
  calls: () => import('./desk-calls').then((file) => file.DeskCalls),
  share: () => import('./desk-share').then((file) => file.DeskShare),
  says: () => import('./own-says').then((file) => file.OwnSays),
  voice: () => import('./own-voice').then((file) => file.OwnVoice),
  over: () => import('./desk-over').then((file) => file.DeskOver),
  ways: () => import('./own-pace').then((file) => file.OwnPace),
};

/** The desk in its room: it waits in the lobby, follows the stage, and turns to the question when one is asked. */
@Component({
  selector: 'zp-desk-room',
  providers: [OwnSteps, VoiceClock],
  imports: [Confirm, DeskQuestion, LazyPart, StageView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (store.view(); as view) {
      <header>
        <strong>{{ view.pupilName }}</strong>
        <span class="class">{{ view.className }}</span>
        @if (!store.lineOpen() && view.phase !== 'ended') {
          <span class="line" role="status">Waiting for the line …</span>
        }
        <span class="push"></span>
        @if (mayPractise()) {
          <button class="button quiet" type="button" [attr.aria-pressed]="practising()" (click)="practising.set(!practising())">
            {{ practising() ? 'Back to the lesson' : 'My clock' }}
          </button>
        }
        @if (mayShare()) {
          <zp-lazy [load]="parts.share" />
        }
        <button class="button quiet" type="button" (click)="leaving.open()">Leave</button>
      </header>
      <main [class.own]="view.own" [class.voiced]="view.own?.voice">
        @if (store.outdated()) {
          <p class="problem" role="status">
            A new version is here. <button class="button outlined" type="button" (click)="reload()">Load the page again</button>
          </p>
        }
        @if (store.problem(); as problem) {
          <p class="problem" role="alert">{{ problem }}</p>
        }
        @if (calls()) {
          <zp-lazy [load]="parts.calls" />
        }
        @if (view.own && !practising()) {
          <zp-lazy [load]="parts.says" />
        }
        @if (showsClock()) {
          <!-- The clock of the class has the desk to itself. -->
        } @else if (practising()) {
          <h1 class="heard-only">A clock to practise with</h1>
          <zp-lazy [load]="parts.clock" />
        } @else if (view.question; as question) {
          <zp-desk-question [question]="question" />
        } @else if (play(); as play) {
          <h1 class="heard-only">{{ view.lessonTitle }}</h1>
          <zp-stage class="stage" [class.tall]="isTall()" [play]="play" [layout]="isTall() ? 'tall' : 'wide'" />
        } @else {
          <div class="words">
            @if (view.phase === 'door') {
              <h1>You are at the door, {{ view.pupilName }}.</h1>
              <p role="status">Your teacher lets you in soon.</p>
            } @else if (view.phase === 'ended') {
              <zp-lazy [load]="parts.over" />
            } @else {
              <h1>You are in, {{ view.pupilName }}.</h1>
              <p>{{ view.lessonTitle }} begins soon.</p>
            }
          </div>
        }
        @if (view.own?.voice && !practising()) {
          <zp-lazy [load]="parts.voice" />
        }
        @if (view.own && !practising()) {
          <zp-lazy [load]="parts.ways" />
        }
      </main>
      <zp-confirm #leaving heading="Leave the room?" yes="Leave" no="Stay" (confirmed)="store.leave()">
        @if (view.own) {
          <p>You can come back with your card, and go on where you stopped.</p>
        } @else {
          <p>{{ view.phase === 'ended' ? 'This lesson is over.' : 'You can come in again with the four pictures.' }}</p>
        }
      </zp-confirm>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      /* Every height twice: an old tablet does not know dvh. */
      min-height: 100vh;
      min-height: 100dvh;
    }
    header {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.75rem;
      padding: 0.25rem 1rem;
      border-bottom: 2px solid var(--ink);
      background: var(--sheet);
    }
    header button {
      min-height: 48px;
    }
    .push {
      flex: 1;
    }
    .class {
      color: var(--soft);
    }
    .line {
      color: var(--wrong);
    }
    main {
      flex: 1;
      display: grid;
      align-content: center;
      width: 100%;
      max-width: 1100px;
      margin: 0 auto;
      padding: 0.75rem;
    }
    .stage {
      width: 100%;
      aspect-ratio: 16 / 9;
      max-height: calc(100vh - 5rem);
      max-height: calc(100dvh - 5rem);
    }
    .stage.tall {
      aspect-ratio: 760 / 1420;
      max-height: calc(100vh - 5.5rem);
      max-height: calc(100dvh - 5.5rem);
    }
    /* Words and buttons stand under the stage, so that it is not as high as the page. */
    .own .stage {
      max-height: 62vh;
      max-height: 62dvh;
    }
    .voiced .stage {
      max-height: 52vh;
      max-height: 52dvh;
    }
    @media (max-width: 480px) {
      .voiced .stage {
        max-height: 46vh;
        max-height: 46dvh;
      }
    }
    .words {
      padding: 2rem 1rem;
      text-align: center;
      font-size: 1.2rem;
    }
  `,
})
export class DeskRoom {
  constructor() {
    // The clock is at hand in every pause, also when the line is lost by then.
    afterNextRender(() => void PARTS.clock().catch(() => undefined));
  }

  protected readonly store = inject(DeskStore);
  private readonly voice = inject(VoiceClock);
  protected readonly parts = PARTS;
  protected readonly tall = heldUpright();

  /** On a phone the parts of the stage stand under one another; a dial alone needs no room for others at own pace. */
  protected readonly isTall = computed(() => {
    const play = this.play();
    if (!this.tall() || !play || !this.store.view()?.own) return this.tall();
    const { display, words, board, bands, dials, chart } = play.stateAt(Infinity);
    return display !== null || chart !== null || [words, board, bands, dials].some((part) => part.length > 0);
  });

  /** Whether the teacher asks something of the class in passing. */
  protected readonly calls = computed(() => {
    const calls = this.store.view()?.calls;
    return calls !== undefined && (calls.showMe || calls.pulse !== null);
  });
  /** Two pupils can share a device where the teacher leads: at own pace each comes by card. */
  protected readonly mayShare = computed(() => {
    const view = this.store.view();
    return view !== null && view.own === null && (view.phase === 'lobby' || view.phase === 'running');
  });
  protected readonly showsClock = computed(() => this.store.view()?.calls.showMe ?? false);

  /** In every pause: while the lesson has not begun, while the teacher talks, and once an answer is given. */
  protected readonly mayPractise = computed(() => {
    const view = this.store.view();
    if (!view || view.phase === 'door' || view.phase === 'ended') return false;
    return view.question?.phase !== 'open' || this.store.safety() !== 'none';
  });
  /** A new question puts the practice dial away. */
  protected readonly practising = linkedSignal<string, boolean>({
    source: () =>
      `${this.store.view()?.participantId} ${this.store.view()?.question?.askingId} ${this.store.view()?.question?.phase} ${this.mayPractise()}`,
    computation: (_, before) => before?.value === true && this.mayPractise() && this.store.view()?.question?.phase !== 'revealed',
  });

  protected readonly play = computed<StagePlay | null>(() => {
    const stage = this.store.view()?.stage;
    if (!stage) return null;
    const { before, beat, settings, elapsedMs, motionMs, marks, glides } = stage;
    const context = { settings, layers: TEACHING_LAYERS, itemOf: noItems };
    const voiceMs = this.voice.elapsedMs();
    return {
      stateAt: (ms) => withMarks(beat ? movingBeatOf(beat).at(before, beat, ms, context) : before, marks),
      motionMs,
      beganAtMs: this.store.viewAtMs() - elapsedMs,
      glides,
      ...(voiceMs && { elapsedMs: voiceMs }),
    };
  });

  protected reload(): void {
    location.reload();
  }
}

/** A beat that asks nothing looks up no items; the desk has none. */
function noItems(id: string): never {
  throw new Error(`The desk does not hold item ${id}.`);
}
