import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { Pose } from '@zeitpunkt/core/dial/pose';
import { ask } from '../../shared/api';
import { latestEvery } from '../../shared/latest-every';
import { deskLanguage } from '../../shared/words/spoken';
import { ReadAloud } from '../../ui/read-aloud';
import { Sign } from '../../ui/sign';
import { DeskStore } from './desk-store';
import { PracticeDial } from './practice-dial';
import { sentences } from './sentences';
import { WaitingDial } from './waiting-dial';
import { DESK_WORDS } from './words';

/** While a hand is dragged its place goes out at most so often, in milliseconds. */
const SHOW_EVERY_MS = 250;

/** What the teacher asks of the class in passing: "Ready?", and the clock that everybody shows. Loaded when it is asked for. */
@Component({
  selector: 'zp-desk-calls',
  imports: [PracticeDial, ReadAloud, Sign, WaitingDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (calls(); as calls) {
      @if (calls.pulse; as pulse) {
        <div class="ready" role="group" [attr.aria-label]="words().calls.ready">
          <strong>{{ words().calls.ready }}</strong>
          <zp-read-aloud
            class="heard"
            [text]="sentences([words().calls.ready, words().calls.yes, words().calls.notYet])"
            [language]="language()"
          />
          <button type="button" class="press large" [attr.aria-pressed]="pulse.ready === true" (click)="say(pulse.id, true)">
            <zp-sign name="right" />{{ words().calls.yes }}
          </button>
          <button type="button" class="press large" [attr.aria-pressed]="pulse.ready === false" (click)="say(pulse.id, false)">
            <zp-sign name="wait" />{{ words().calls.notYet }}
          </button>
        </div>
      }
      @if (calls.showMe) {
        @if (waiting(); as waiting) {
          <h1>{{ words().wait.inAs(waiting.pupilName) }}</h1>
          <p>{{ words().wait.soon(waiting.lessonTitle) }} {{ words().wait.turn }}</p>
          <zp-waiting-dial [before]="words().wait.inAs(waiting.pupilName) + ' ' + words().wait.turn" (turned)="shown($event)" />
        } @else {
          <div class="show">
            <div>
              <h1>{{ words().calls.show }}</h1>
              <p>{{ words().calls.sees }}</p>
            </div>
            <zp-read-aloud [text]="sentences([words().calls.show, words().calls.sees])" [language]="language()" />
          </div>
          <zp-practice-dial (turned)="shown($event)" />
        }
      }
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    .ready button {
      display: inline-flex;
      gap: 8px;
      align-items: center;
    }
    .ready {
      display: flex;
      flex-wrap: wrap;
      gap: 0.75rem;
      align-items: center;
      justify-content: center;
      padding: 0.5rem;
      font-size: 1.3rem;
    }
    @media (max-width: 480px) {
      .ready {
        display: grid;
        grid-template-columns: 1fr 1fr;
        gap: 6px 8px;
        padding: 4px 16px 8px;
      }
      .heard {
        justify-self: end;
      }
      .ready button {
        grid-row: 2;
        justify-content: center;
      }
    }
    .show {
      display: flex;
      gap: 1rem;
      align-items: center;
      justify-content: space-between;
    }
    h1 {
      font-size: 1.3rem;
    }
  `,
})
export class DeskCalls {
  private readonly store = inject(DeskStore);
  protected readonly words = DESK_WORDS;
  protected readonly language = deskLanguage;
  protected readonly sentences = sentences;
  /** The lesson has not begun: everybody has a clock until it does. */
  protected readonly waiting = computed(() => {
    const view = this.store.view();
    return view?.phase === 'lobby' ? view : null;
  });
  protected readonly calls = computed(() => this.store.view()?.calls ?? null);
  /** Nothing of it is kept, so that nothing is sent again: the next turn of a hand goes out by itself. */
  protected readonly shown = latestEvery(
    SHOW_EVERY_MS,
    (pose: Pose) => void ask('POST', '/api/desk/shown', { pose }).catch(() => undefined),
  );

  protected async say(pulse: number, ready: boolean): Promise<void> {
    await this.store.tryTo(() => ask('POST', '/api/desk/ready', { pulse, ready }));
  }
}
