import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { DeskStore } from './desk-store';
import { deskLanguage } from '../../shared/words/spoken';
import { ReadAloud } from '../../ui/read-aloud';
import { Sign } from '../../ui/sign';
import { OwnSteps } from './own-steps';
import { DESK_WORDS } from './words';

/** A lesson at own pace: the way on, back and once more. Loaded where a lesson is one. */
@Component({
  selector: 'zp-own-pace',
  imports: [ReadAloud, Sign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (own(); as own) {
      @if (own.done) {
        <p class="done" role="status">
          <zp-sign name="right" /><strong>{{ words().own.done }}</strong> {{ words().own.lookAgain }}
        </p>
        <zp-read-aloud class="heard" [text]="words().own.done + ' ' + words().own.lookAgain" [language]="language()" />
      }
      @if (ways.problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
      }
      <div class="ways">
        <button type="button" class="button outlined big" [disabled]="own.at === 0" (click)="ways.goTo(own.at - 1)">
          <zp-sign name="back" />{{ words().own.back }}
        </button>
        @if (isStage() && !own.voice?.here) {
          <button type="button" class="button outlined big" (click)="ways.goTo(own.at)">
            <zp-sign name="again" />{{ words().own.again }}
          </button>
        }
        @if (own.at < own.farthest) {
          <button
            type="button"
            class="button big"
            [class.filled]="!own.voice?.here"
            [class.outlined]="own.voice?.here"
            [class.on]="!own.voice?.here"
            (click)="ways.goTo(own.at + 1)"
          >
            <zp-sign name="on" />{{ words().own.on }}
          </button>
        } @else if (!own.done) {
          <span class="hint">{{ words().own.answerFirst }}</span>
        }
      </div>
      <label class="place">
        <span>{{ words().own.step(own.at + 1, own.total) }}</span>
        <input
          #place
          type="range"
          min="1"
          [max]="own.farthest + 1"
          [value]="own.at + 1"
          [attr.aria-valuetext]="words().own.step(own.at + 1, own.total)"
          (change)="ways.goTo(place.valueAsNumber - 1)"
        />
      </label>
      @if (ways.waiting()) {
        <p role="status">{{ words().waitsForLine }}</p>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.6rem;
      margin-top: 0.5rem;
    }
    .button {
      display: inline-flex;
      gap: 8px;
      align-items: center;
      justify-content: center;
    }
    .done {
      text-align: center;
    }
    .heard {
      justify-self: center;
    }
    .ways {
      display: flex;
      flex-wrap: wrap;
      gap: 0.6rem;
      align-items: center;
      justify-content: center;
    }
    /* Going on is what a thumb does most. */
    @media (max-width: 480px) {
      .on {
        flex: 1 0 100%;
      }
    }
    .hint {
      color: var(--soft);
    }
    .place {
      display: flex;
      gap: 0.75rem;
      align-items: center;
      color: var(--soft);
    }
    .place input {
      flex: 1;
      min-width: 0;
      height: 48px;
      accent-color: var(--ink);
    }
  `,
})
export class OwnPace {
  protected readonly store = inject(DeskStore);
  protected readonly words = DESK_WORDS;
  protected readonly language = deskLanguage;
  protected readonly own = computed(() => this.store.view()?.own ?? null);
  protected readonly isStage = computed(() => this.store.view()?.stage !== null);
  protected readonly ways = inject(OwnSteps);
}
