import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import { RecordStore } from './record-store';
import { RECORD_WORDS } from './words';

/** The loudest that the bar shows is 0 dB; what is below this is not shown. */
const LOWEST_SHOWN_DB = -60;

/** Which microphone is heard, how loud, and what may be recorded at all. */
@Component({
  selector: 'zp-microphone-bar',
  imports: [MatButton, MatFormField, MatLabel, MatOption, MatSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bar">
      @if (store.microphone() === 'on') {
        <mat-form-field appearance="outline" subscriptSizing="dynamic">
          <mat-label>{{ words().label }}</mat-label>
          <mat-select [disabled]="store.taking() !== 'none'" [value]="store.microphoneId()" (selectionChange)="store.listen($event.value)">
            @for (one of store.microphones(); track one.id) {
              <mat-option [value]="one.id">{{ one.name }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <div class="scale">
          <span
            class="level"
            role="meter"
            [attr.aria-label]="words().level"
            aria-valuemin="0"
            aria-valuemax="100"
            [attr.aria-valuenow]="level()"
          >
            <span class="full" [class.loud]="store.fault() === 'loud'" [style.inline-size.%]="level()"></span>
            <span class="good" aria-hidden="true"></span>
          </span>
          <span class="marks" aria-hidden="true"
            ><span>{{ words().scale.low }}</span
            ><strong>{{ words().scale.good }}</strong
            ><span>{{ words().scale.high }}</span></span
          >
        </div>
        <span class="fault" role="status">{{ fault() }}</span>
      } @else {
        <button mat-stroked-button type="button" [disabled]="store.microphone() === 'opening'" (click)="store.listen()">
          {{ words().try }}
        </button>
      }
    </div>
    <p class="facts">
      {{ words().hint }}
    </p>
  `,
  styles: `
    .bar {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 0.75rem;
      align-items: center;
      min-height: 3rem;
    }
    .facts {
      margin: 0;
      font-size: 0.9rem;
    }
    .level {
      position: relative;
      inline-size: 13rem;
      block-size: 0.9rem;
      border: 1px solid var(--ink);
      border-radius: 4px;
      overflow: hidden;
    }
    .full {
      position: absolute;
      inset: 0 auto 0 0;
      background: var(--ink);
    }
    .full.loud {
      background: var(--wrong);
    }
    /* Where speech should be. */
    .good {
      position: absolute;
      inset: 0 12% 0 auto;
      inline-size: 30%;
      border-inline: 2px solid var(--accent);
    }
    .fault {
      flex: 1;
      min-width: 12rem;
      min-height: 2.6em;
      display: flex;
      align-items: center;
      color: var(--wrong);
      font-weight: 700;
      line-height: 1.3;
    }
    mat-form-field {
      width: 200px;
    }
    .scale {
      display: grid;
      gap: 2px;
    }
    .marks {
      display: flex;
      gap: 12px;
      justify-content: space-between;
      font-size: 14px;
      line-height: 18px;
    }
  `,
})
export class MicrophoneBar {
  protected readonly store = inject(RecordStore);
  private readonly catalogue = RECORD_WORDS;
  protected readonly words = computed(() => this.catalogue().microphone);
  protected readonly level = computed(() => Math.round(100 * Math.max(0, 1 - this.store.db() / LOWEST_SHOWN_DB)));
  protected readonly fault = computed(() => {
    const fault = this.store.fault();
    return fault ? this.words().faults[fault] : '';
  });
}
