import { ChangeDetectionStrategy, Component, type ElementRef, input, output, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Icon } from '../icons/icon';

/** A press that chooses a file. */
@Component({
  selector: 'zp-file-press',
  imports: [Icon, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (!bare()) {
      <button mat-stroked-button type="button" [disabled]="disabled()" (click)="field.click()">
        <mat-icon svgIcon="upload-file" />{{ label() }}
      </button>
    }
    <input
      #field
      class="heard-only"
      type="file"
      tabindex="-1"
      [accept]="accept()"
      [disabled]="disabled()"
      [attr.aria-label]="label()"
      (change)="take(field)"
    />
  `,
})
export class FilePress {
  readonly label = input.required<string>();
  /** Kinds of files that are offered, as the attribute takes them. */
  readonly accept = input.required<string>();
  readonly disabled = input(false);
  /** The press stands elsewhere, as in a menu, and calls {@link choose}. */
  readonly bare = input(false);
  readonly chosen = output<File>();

  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');

  choose(): void {
    this.field().nativeElement.click();
  }

  protected take(field: HTMLInputElement): void {
    const file = field.files?.[0];
    field.value = ''; // the same file can be chosen again when it has been put right
    if (file) this.chosen.emit(file);
  }
}
