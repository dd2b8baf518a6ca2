import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { type Pose, gearedPose } from '@zeitpunkt/core/dial/pose';
import { TEACHING_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import { toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import { bestWording } from '@zeitpunkt/core/words/say';
import { deskLanguage } from '../../shared/words/spoken';
import type { Turning } from '../../ui/dial-gesture';
import { HandSteps } from '../../ui/hand-steps';
import { Sign } from '../../ui/sign';
import { TurningDial } from '../../ui/turning-dial';
import { DeskStore } from './desk-store';
import { ReadAloud } from '../../ui/read-aloud';
import { DESK_WORDS } from './words';

const HOUR = 3600;
/** Times to set while one waits, in seconds since midnight: whole hours first, then halves. */
const TASKS = [4, 9, 7, 11, 2, 6.5, 10.5, 1.5, 8.5].map((hours) => toSecondOfDay(hours * HOUR));
/** Where the hands stand at first: apart, and at no time that is asked for. */
const START = toSecondOfDay(3 * HOUR + 20 * 60);

/** Something to do while one waits: a clock of one's own, and a time to set on it. Nothing of it counts. */
@Component({
  selector: 'zp-waiting-dial',
  imports: [HandSteps, ReadAloud, Sign, TurningDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="task">
      <p role="status">
        @if (isSet()) {
          <zp-sign name="right" />
        }
        {{ task() }}
      </p>
      @if (isSet()) {
        <button type="button" class="button outlined" (click)="goOn()">{{ words().wait.other }}</button>
      } @else {
        <zp-read-aloud [text]="heard()" [language]="language()" />
      }
    </div>
    <zp-turning-dial class="dial" speaks="places" [turning]="turning()" (turningChange)="turn($event)" [layers]="layers" />
    <zp-hand-steps [turning]="turning()" (turningChange)="turn($event)" />
  `,
  styles: `
    :host {
      display: flex;
      flex: 1;
      flex-direction: column;
      gap: 10px;
      min-height: 0;
    }
    .task {
      display: flex;
      gap: 12px;
      align-items: center;
      justify-content: space-between;
      min-height: 52px;
      font-weight: 700;
      font-size: 1.2rem;
      line-height: 1.25;
    }
    .task zp-sign {
      vertical-align: -5px;
    }
    .dial {
      flex: 1 1 0;
      min-height: 10rem;
    }
    @media (min-width: 640px) and (orientation: landscape) {
      :host {
        display: grid;
        grid-template: auto 1fr / minmax(0, 1.4fr) minmax(0, 1fr);
        gap: 6px 24px;
        align-items: center;
      }
      .task {
        grid-column: 2;
      }
      .dial {
        grid-row: 1 / 3;
        grid-column: 1;
        align-self: stretch;
      }
    }
  `,
})
export class WaitingDial {
  /** What stands above it, to be read before the task. */
  readonly before = input('');
  /** Where the hands stand, each time they are turned. */
  readonly turned = output<Pose>();
  private readonly store = inject(DeskStore);
  protected readonly words = DESK_WORDS;
  protected readonly layers = TEACHING_LAYERS;
  protected readonly turning = signal<Turning>({ hands: 'geared', at: START });
  private readonly place = signal(0);
  protected readonly language = computed(() => this.store.view()?.language ?? deskLanguage());
  private readonly pack = computed(
    () => Object.values(WORD_PACKS).find(({ language }) => language === this.language()) ?? WORD_PACKS['en-GB'],
  );
  private readonly target = computed(() => TASKS[this.place() % TASKS.length]!);
  protected readonly isSet = computed(() => {
    const turning = this.turning();
    return turning.hands === 'geared' && turning.at % (12 * HOUR) === this.target();
  });
  protected readonly task = computed(() =>
    this.isSet() ? this.words().wait.setRight : this.words().wait.meanwhile(bestWording(this.target(), this.pack())),
  );

  protected readonly heard = computed(() => `${this.before()} ${this.task()}`.trim());

  protected goOn(): void {
    this.place.update((place) => place + 1);
  }

  protected turn(turning: Turning): void {
    this.turning.set(turning);
    if (turning.hands === 'geared') this.turned.emit(gearedPose(turning.at));
  }
}
