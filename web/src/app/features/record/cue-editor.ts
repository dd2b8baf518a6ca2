import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatExpansionPanel, MatExpansionPanelHeader } from '@angular/material/expansion';
import { MatFormField } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import type { Cue, Take } from '@zeitpunkt/core/voice/take';
import { cuesOf } from '@zeitpunkt/core/voice/align';
import { RECORD_WORDS } from './words';

/** A caption is shown so long at least, in milliseconds. */
const SHORTEST_MS = 200;

/** The captions of a take: their words and times, changed in place. */
@Component({
  selector: 'zp-cue-editor',
  imports: [MatButton, MatExpansionPanel, MatExpansionPanelHeader, MatFormField, MatInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-expansion-panel class="mat-elevation-z0" [expanded]="take().cuesEdited">
      <mat-expansion-panel-header>{{ words().heading(take().cues.length, take().cuesEdited) }}</mat-expansion-panel-header>
      <ol>
        @for (cue of take().cues; track $index) {
          <li>
            <mat-form-field class="from" appearance="outline" subscriptSizing="dynamic">
              <input
                #from
                matInput
                type="number"
                step="0.1"
                min="0"
                [max]="seconds(take().durationMs)"
                [value]="seconds(cue.fromMs)"
                [attr.aria-label]="words().from($index + 1)"
                (change)="move($index, from)"
              />
            </mat-form-field>
            <mat-form-field class="words" appearance="outline" subscriptSizing="dynamic">
              <input
                #text
                matInput
                maxlength="300"
                [value]="cue.text"
                [attr.aria-label]="words().caption($index + 1)"
                (change)="write($index, text.value)"
              />
            </mat-form-field>
          </li>
        } @empty {
          <li>{{ words().none }}</li>
        }
      </ol>
      @if (take().cuesEdited) {
        <button mat-button type="button" (click)="anew()">{{ words().anew }}</button>
      }
    </mat-expansion-panel>
  `,
  styles: `
    ol {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 6px;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      gap: 8px;
    }
    .from {
      width: 84px;
    }
    .words {
      flex: 1;
      min-width: 0;
    }
  `,
})
export class CueEditor {
  private readonly catalogue = RECORD_WORDS;
  protected readonly words = computed(() => this.catalogue().cues);
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
