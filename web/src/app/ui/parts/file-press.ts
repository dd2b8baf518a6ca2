import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Icon } from '../icons/icon';

/** A press that chooses a file. */
@Component({
  selector: 'zp-file-press',
  imports: [Icon, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button mat-stroked-button type="button" [disabled]="disabled()" (click)="field.click()">
      <mat-icon svgIcon="upload-file" />{{ label() }}
    </button>
    <input
      #field
      class="heard-only"
      type="file"
      tabindex="-1"
      [accept]="accept()"
      [disabled]="disabled()"
      [attr.aria-label]="label()"
      (change)="choose(field)"
    />
  `,
})
export class FilePress {
  readonly label = input.required<string>();
  /** Kinds of files that are offered, as the attribute takes them. */
  readonly accept = input.required<string>();
  readonly disabled = input(false);
  readonly chosen = output<File>();

  protected choose(field: HTMLInputElement): void {
    const file = field.files?.[0];
    field.value = ''; // the same file can be chosen again when it has been put right
    if (file) this.chosen.emit(file);
  }
}
