import { afterNextRender, ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject } from '@angular/core';
import { movingBeatOf } from '@zeitpunkt/core/beats/moving';
import { TEACHING_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import { withMarks } from '@zeitpunkt/core/scene/with-marks';
import { heldUpright } from '../../ui/held-upright';
import { LazyPart } from '../../ui/lazy-part';
import { Sign } from '../../ui/sign';
import { StageView, type StagePlay } from '../../ui/stage-view';
import { Countdown } from './countdown';
import { DeskQuestion } from './desk-question';
import { DeskStore } from './desk-store';
import { OwnSteps } from './own-steps';
import { Practising } from './practising';
import { Sharing } from './sharing';
import { Sheet } from './sheet';
import { DESK_WORDS } from './words';
import { VoiceClock } from './voice-clock';

/** Parts that few lessons need: fetched when they are first shown. */
const PARTS = {
  clock: () => import('./practice-dial').then((file) => file.PracticeDial),
  calls: () => import('./desk-calls').then((file) => file.DeskCalls),
  share: () => import('./desk-share').then((file) => file.DeskShare),
  says: () => import('./own-says').then((file) => file.OwnSays),
  voice: () => import('./own-voice').then((file) => file.OwnVoice),
  wait: () => import('./desk-wait').then((file) => file.DeskWait),
  ways: () => import('./own-pace').then((file) => file.OwnPace),
};

/** The desk in its room: it waits in the lobby, follows the stage, and turns to the question when one is asked. */
@Component({
  selector: 'zp-desk-room',
  providers: [OwnSteps, Practising, Sharing, VoiceClock],
  imports: [Countdown, DeskQuestion, LazyPart, Sheet, Sign, StageView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (store.view(); as view) {
      <header>
        <p class="who">
          <strong>{{ view.pupilName }}</strong> <span class="class">{{ view.className }}</span>
        </p>
        @if (countdown(); as countdown) {
          <zp-countdown [countdown]="countdown" [sinceMs]="store.viewAtMs()" />
        }
        @if (practising.mayBe()) {
          <button class="head" type="button" [attr.aria-pressed]="practising.isOn()" (click)="practising.isOn.set(!practising.isOn())">
            <zp-sign [name]="practising.isOn() ? 'back' : 'clock'" />{{ practising.isOn() ? words().toLesson : words().myClock }}
          </button>
        }
        @if (store.beside() || sharing.asked()) {
          <zp-lazy [load]="parts.share" />
        }
        <button class="head" type="button" (click)="more.open()"><zp-sign name="more" />{{ words().more }}</button>
      </header>
      <main [class.own]="view.own" [class.voiced]="view.own?.voice">
        <p class="heard-only" role="status">{{ told() }}</p>
        @if (!store.lineOpen() && view.phase !== 'ended') {
          <p class="line" role="status"><zp-sign name="line" />{{ words().offLine }}</p>
        }
        @if (store.outdated()) {
          <p class="problem" role="status">
            {{ words().newer }} <button class="button outlined" type="button" (click)="reload()">{{ words().loadAgain }}</button>
          </p>
        }
        @if (store.problem(); as problem) {
          <p class="problem" role="alert">{{ problem }}</p>
        }
        @if (calls()) {
          <zp-lazy [load]="parts.calls" />
        }
        @if (view.own && !practising.isOn()) {
          <zp-lazy [load]="parts.says" />
        }
        @if (showsClock()) {
          <!-- The clock of the class has the desk to itself. -->
        } @else if (practising.isOn()) {
          <h1 class="heard-only">{{ words().practice }}</h1>
          <zp-lazy [load]="parts.clock" />
        } @else if (view.question; as question) {
          <zp-desk-question [question]="question" [hasClock]="practising.mayBe()" (tried)="practising.isOn.set(true)" />
        } @else if (play(); as play) {
          <h1 class="heard-only">{{ view.lessonTitle }}</h1>
          <zp-stage class="stage" [class.tall]="tall()" [play]="play" [layout]="tall() ? 'tall' : 'wide'" />
        } @else {
          <zp-lazy [load]="parts.wait" />
        }
        @if (view.own?.voice && !practising.isOn()) {
          <zp-lazy [load]="parts.voice" />
        }
        @if (view.own && !practising.isOn()) {
          <zp-lazy [load]="parts.ways" />
        }
      </main>
      <zp-sheet #more [heading]="view.pupilName" [close]="words().close">
        @if (mayShare() && !store.beside()) {
          <button class="button outlined big" type="button" (click)="more.shut(); sharing.asked.set(true)">
            <zp-sign name="two" />{{ words().share.two }}
          </button>
        }
        <button class="button outlined big" type="button" (click)="more.shut(); leaving.open()">
          <zp-sign name="away" />{{ words().leave }}
        </button>
      </zp-sheet>
      <zp-sheet #leaving [heading]="words().leaving" [close]="words().stays">
        <p>{{ view.own ? words().backByCard : view.phase === 'ended' ? words().isOver : words().backByKey }}</p>
        <button class="button filled big" type="button" (click)="leaving.shut(); store.leave()">
          <zp-sign name="away" />{{ words().goes }}
        </button>
      </zp-sheet>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      /* Every height twice: an old tablet does not know dvh. */
      height: 100vh;
      height: 100dvh;
    }
    header {
      display: flex;
      flex: none;
      gap: 4px;
      align-items: center;
      min-height: 56px;
      padding: 0 8px 0 16px;
      border-bottom: 1px solid var(--line);
      background: var(--sheet);
    }
    .who {
      flex: 1;
      min-width: 0;
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    .class {
      margin-left: 4px;
      color: var(--soft);
    }
    .head {
      display: flex;
      flex: none;
      flex-direction: column;
      align-items: center;
      justify-content: center;
      min-width: 56px;
      min-height: 52px;
      padding: 0 6px;
      border: 0;
      border-radius: 5px;
      background: none;
      color: var(--ink);
      font: inherit;
      font-size: 14px;
      line-height: 18px;
      white-space: nowrap;
      cursor: pointer;
      touch-action: manipulation;
    }
    main {
      position: relative;
      display: flex;
      flex: 1;
      flex-direction: column;
      gap: 10px;
      width: 100%;
      max-width: 1100px;
      min-height: 0;
      margin: 0 auto;
      padding: 10px 16px 0;
      overflow-y: auto;
    }
    /* What ends a question stands at the foot, from edge to edge; all else keeps a little room there. */
    main:not(:has(zp-desk-question footer)) {
      padding-bottom: 12px;
    }
    /* Lies over what is there, so that nothing moves under a finger. */
    .line {
      position: absolute;
      z-index: 3;
      inset: 4px 16px auto;
      display: flex;
      gap: 8px;
      align-items: center;
      justify-content: center;
      padding: 4px 12px;
      border: 2px solid var(--wrong);
      background: var(--sheet);
      pointer-events: none;
    }
    .stage {
      flex: 1 1 0;
      min-height: 12rem;
      width: 100%;
    }
    .button {
      display: flex;
      gap: 12px;
      align-items: center;
      justify-content: center;
    }
    @media (min-width: 600px) {
      header {
        padding: 0 24px;
      }
    }
    @media (max-width: 480px) and (max-height: 660px) {
      main {
        padding-top: 6px;
      }
    }
    @media (max-height: 420px) {
      header {
        min-height: 44px;
      }
      .head {
        flex-direction: row;
        gap: 6px;
        min-height: 44px;
      }
      main {
        padding-top: 6px;
      }
    }
  `,
})
export class DeskRoom {
  constructor() {
    // The clock is at hand in every pause, also when the line is lost by then.
    afterNextRender(() => void PARTS.clock().catch(() => undefined));
    const titleBefore = document.title;
    // Where one is stands in the title, too: a screen reader tells it, and a tab is found again by it.
    effect(() => {
      const view = this.store.view();
      if (view) document.title = view.question?.view.stem ?? view.lessonTitle;
    });
    inject(DestroyRef).onDestroy(() => (document.title = titleBefore));
  }

  protected readonly store = inject(DeskStore);
  private readonly voice = inject(VoiceClock);
  protected readonly sharing = inject(Sharing);
  protected readonly practising = inject(Practising);
  protected readonly parts = PARTS;
  protected readonly words = DESK_WORDS;
  /** Time to think that is left, while a question is open. */
  protected readonly countdown = computed(() => {
    const question = this.store.view()?.question;
    return question?.phase === 'open' && !this.practising.isOn() ? question.countdown : null;
  });
  /** What is new, once, for those who hear it. */
  protected readonly told = computed(() => (this.store.view()?.question?.phase === 'open' ? this.words().question : ''));
  /** On a phone the parts of the stage stand under one another. */
  protected readonly tall = heldUpright();

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
