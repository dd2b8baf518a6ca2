import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RecordStore } from './record-store';

const FAULTS = {
  silent: 'Nothing is heard. Is the microphone switched on, and is it the right one?',
  quiet: 'Too quiet: come nearer, or speak up.',
  loud: 'Too loud: move back a little.',
} as const;

/** The loudest that the bar shows is 0 dB; what is below this is not shown. */
const LOWEST_SHOWN_DB = -60;

/** Which microphone is heard, how loud, and what may be recorded at all. */
@Component({
  selector: 'zp-microphone-bar',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bar">
      @if (store.microphone() === 'on') {
        <label>
          Microphone
          <select #chosen class="field" [disabled]="store.taking() !== 'none'" (change)="store.listen(chosen.value)">
            @for (one of store.microphones(); track one.id) {
              <option [value]="one.id" [selected]="one.id === store.microphoneId()">{{ one.name }}</option>
            }
          </select>
        </label>
        <span class="level" role="meter" aria-label="Level" aria-valuemin="0" aria-valuemax="100" [attr.aria-valuenow]="level()">
          <span class="full" [class.loud]="store.fault() === 'loud'" [style.inline-size.%]="level()"></span>
          <span class="good" aria-hidden="true"></span>
        </span>
        <span class="fault" role="status">{{ fault() }}</span>
      } @else {
        <button mat-stroked-button type="button" [disabled]="store.microphone() === 'opening'" (click)="store.listen()">
          Try the microphone
        </button>
      }
    </div>
    <p class="facts">
      Only your voice and this stage are recorded, never a pupil. Your school’s rules and the law say who may hear a recorded lesson, and
      for how long it may be kept: ask first.
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
      inline-size: 8rem;
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
    select {
      max-width: 12rem;
    }
  `,
})
export class MicrophoneBar {
  protected readonly store = inject(RecordStore);
  protected readonly level = computed(() => Math.round(100 * Math.max(0, 1 - this.store.db() / LOWEST_SHOWN_DB)));
  protected readonly fault = computed(() => {
    const fault = this.store.fault();
    return fault ? FAULTS[fault] : '';
  });
}
