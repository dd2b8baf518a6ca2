import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import type { FileLook } from '../shared/file-look';
import { FILE_WORDS } from '../shared/file-words';
import { FilePress } from './parts/file-press';

/** The press for a file that is looked through first, with what is being done, a way to stop it, and what is wrong with the file. */
@Component({
  selector: 'zp-file-choice',
  imports: [FilePress, MatButton, MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="choice">
      <zp-file-press [label]="label()" [accept]="accept()" [disabled]="isTaking()" (chosen)="chosen.emit($event)" />
      @if (look().file(); as file) {
        <span>{{ file.name }}</span>
      }
    </p>
    @if (look().busy(); as said) {
      <p class="choice" role="status">
        {{ said }}
        @if (!isTaking()) {
          <button mat-button type="button" (click)="look().stop()">{{ words().stop }}</button>
        }
      </p>
      <mat-progress-bar mode="indeterminate" aria-hidden="true" />
    }
    @if (look().problem(); as problem) {
      <p class="problem" role="alert">{{ words().nothing(problem) }}</p>
    }
  `,
  styles: `
    .choice {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 16px;
      align-items: center;
      margin: 8px 0;
    }
    mat-progress-bar {
      max-width: 320px;
    }
  `,
})
export class FileChoice {
  readonly look = input.required<FileLook<unknown>>();
  readonly label = input.required<string>();
  /** Kinds of files that are offered, as the attribute takes them. */
  readonly accept = input.required<string>();
  readonly chosen = output<File>();
  protected readonly words = FILE_WORDS;
  /** What was looked through is being taken: that is not stopped half way. */
  protected readonly isTaking = computed(() => this.look().busy() !== null && this.look().found() !== null);
}
