import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { DeskStore } from './desk-store';
import { ReadAloud } from '../../ui/read-aloud';
import { VoiceClock } from './voice-clock';
import { DESK_WORDS } from './words';

/** What the teacher would say at a step of a lesson at own pace, to read or to hear, and what the teacher writes. */
@Component({
  selector: 'zp-own-says',
  imports: [ReadAloud],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (line of own()?.lines; track line) {
      <p class="line" role="status">
        <strong>{{ words().own.from }}</strong> {{ line }}
      </p>
    }
    @if (narration(); as narration) {
      <div class="says">
        <p aria-live="polite">{{ narration }}</p>
        <zp-read-aloud [text]="narration" [language]="store.view()?.language ?? ''" />
      </div>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.6rem;
      margin-bottom: 0.6rem;
    }
    .says {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem 1rem;
      align-items: center;
      justify-content: center;
      font-size: 1.2rem;
      line-height: 1.4;
      text-align: center;
      text-wrap: balance;
    }
    .line {
      padding: 0.4rem 0.9rem;
      border-left: 5px solid var(--accent);
      background: var(--sheet);
    }
  `,
})
export class OwnSays {
  protected readonly store = inject(DeskStore);
  protected readonly words = DESK_WORDS;
  protected readonly own = computed(() => this.store.view()?.own ?? null);
  private readonly voice = inject(VoiceClock);
  /** Once a question is answered, the question itself says why; and where the teacher's voice says it, it is not said twice. */
  protected readonly narration = computed(() =>
    this.store.view()?.question?.reveal || this.voice.speaks() ? '' : (this.own()?.narration ?? ''),
  );
}
