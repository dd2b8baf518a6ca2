import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Cue, Take } from '@zeitpunkt/core';
import { cuesOf } from '@zeitpunkt/core/voice/align';

/** A caption is shown so long at least, in milliseconds. */
const SHORTEST_MS = 200;

/** The captions of a take: their words and times, changed in place. */
@Component({
  selector: 'zp-cue-editor',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details [open]="take().cuesEdited">
      <summary>Captions: {{ take().cues.length }}{{ take().cuesEdited ? ', changed by you' : ', from the script' }}</summary>
      <ol>
        @for (cue of take().cues; track $index) {
          <li>
            <input
              #from
              type="number"
              class="field"
              step="0.1"
              min="0"
              [max]="seconds(take().durationMs)"
              [value]="seconds(cue.fromMs)"
              [attr.aria-label]="'Caption ' + ($index + 1) + ' from, in seconds'"
              (change)="move($index, from)"
            />
            <input
              #words
              class="field words"
              maxlength="300"
              [value]="cue.text"
              [attr.aria-label]="'Caption ' + ($index + 1)"
              (change)="write($index, words.value)"
            />
          </li>
        } @empty {
          <li>No captions: nothing is written for this step.</li>
        }
      </ol>
      @if (take().cuesEdited) {
        <button mat-button type="button" (click)="anew()">Make them anew from the script</button>
      }
    </details>
  `,
  styles: `
    ol {
      display: grid;
      gap: 0.35rem;
      margin: 0.5rem 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      gap: 0.4rem;
    }
    input[type='number'] {
      width: 4.6rem;
    }
    .words {
      flex: 1;
      width: 100%;
      min-width: 0;
    }
    ol {
      grid-template-columns: minmax(0, 1fr);
    }
  `,
})
export class CueEditor {
  readonly take = input.required<Take>();
  readonly changed = output<{ readonly cues: readonly Cue[]; readonly edited: boolean }>();
  private readonly cues = computed(() => this.take().cues);

  protected seconds(ms: number): string {
    return (ms / 1000).toFixed(1);
  }

  /** A caption without words is taken out. */
  protected write(index: number, text: string): void {
    const words = text.trim();
    const cues = words
      ? this.cues().map((cue, place) => (place === index ? { ...cue, text: words } : cue))
      : this.cues().filter((_, place) => place !== index);
    this.changed.emit({ cues, edited: true });
  }

  /** A caption begins earlier or later, as far as its neighbours let it; the one before gives way. */
  protected move(index: number, field: HTMLInputElement): void {
    const cues = this.cues();
    const [before, cue] = [cues[index - 1], cues[index]!];
    const lowest = before ? before.fromMs + SHORTEST_MS : 0;
    const wanted = Number.isFinite(field.valueAsNumber) ? Math.round(field.valueAsNumber * 1000) : cue.fromMs;
    const fromMs = Math.max(lowest, Math.min(wanted, cue.toMs - SHORTEST_MS));
    field.value = this.seconds(fromMs);
    if (fromMs === cue.fromMs) return;
    const moved = cues.map((one, place) => {
      if (place === index) return { ...one, fromMs };
      return place === index - 1 ? { ...one, toMs: Math.min(one.toMs, fromMs) } : one;
    });
    this.changed.emit({ cues: moved, edited: true });
  }

  protected anew(): void {
    const { said, speech, durationMs } = this.take();
    this.changed.emit({ cues: cuesOf(said, speech, durationMs), edited: false });
  }
}
