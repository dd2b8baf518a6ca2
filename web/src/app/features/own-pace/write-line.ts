import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { OWN_PACE_WORDS } from './words';

/** To whom a line is written, and what stands there already. */
export interface LineTo {
  readonly names: string;
  readonly line: string;
}

/** One line to one pupil, to some, or to all; closes with what was written. */
@Component({
  selector: 'zp-write-line',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle, MatFormField, MatInput, MatLabel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ words().heading(to.names) }}</h2>
    <mat-dialog-content>
      <form id="write-line" (submit)="$event.preventDefault(); dialog.close(line.value.trim())">
        <mat-form-field appearance="outline" subscriptSizing="dynamic">
          <mat-label>{{ words().label }}</mat-label>
          <input #line matInput cdkFocusInitial maxlength="200" autocomplete="off" [value]="to.line" />
        </mat-form-field>
      </form>
      <p class="facts">{{ words().hint }}</p>
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-flat-button class="next" type="submit" form="write-line">{{ words().send }}</button>
      <button mat-stroked-button type="button" mat-dialog-close>{{ words().close }}</button>
    </mat-dialog-actions>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      margin-top: 8px;
    }
  `,
})
export class WriteLine {
  protected readonly to = inject<LineTo>(MAT_DIALOG_DATA);
  protected readonly dialog = inject<MatDialogRef<WriteLine, string>>(MatDialogRef);
  private readonly catalogue = OWN_PACE_WORDS;
  protected readonly words = computed(() => this.catalogue().write);
}
