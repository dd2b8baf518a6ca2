import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { FileLook } from '../shared/file-look';

/** The field for a file that is looked through first, with what is being done, a way to stop it, and what is wrong with the file. */
@Component({
  selector: 'zp-file-choice',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label>
      {{ label() }}
      <input #field type="file" [accept]="accept()" [disabled]="isTaking()" (change)="choose(field)" />
    </label>
    @if (look().busy(); as words) {
      <p role="status">
        {{ words }}
        @if (!isTaking()) {
          <button mat-button type="button" (click)="look().stop()">Stop</button>
        }
      </p>
    }
    @if (look().problem(); as problem) {
      <p class="problem" role="alert">{{ problem }} Nothing was changed.</p>
    }
  `,
  styles: `
    label {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 1rem;
      align-items: center;
      margin: 0.6rem 0;
    }
  `,
})
export class FileChoice {
  readonly look = input.required<FileLook<unknown>>();
  readonly label = input.required<string>();
  /** Kinds of files that are offered, as the attribute takes them. */
  readonly accept = input.required<string>();
  readonly chosen = output<File>();
  /** What was looked through is being taken: that is not stopped half way. */
  protected readonly isTaking = computed(() => this.look().busy() !== null && this.look().found() !== null);

  protected choose(field: HTMLInputElement): void {
    const file = field.files?.[0];
    field.value = ''; // the same file can be chosen again
    if (file) this.chosen.emit(file);
  }
}
