import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialog, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { Icon } from '../icons/icon';
import { MatTooltip } from '@angular/material/tooltip';
import { useShortcuts } from '../../shared/shortcuts';
import { PARTS_WORDS } from './words';

/** What a place is for in one sentence, and the keys that act in it. */
export interface HelpOfPlace {
  readonly place: string;
  readonly sentence: string;
  readonly keys: readonly (readonly [key: string, does: string])[];
}

@Component({
  selector: 'zp-help-dialog',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ help.place }}</h2>
    <mat-dialog-content>
      <p>{{ help.sentence }}</p>
      <dl>
        @for (key of help.keys; track key[0]) {
          <dt>{{ key[0] }}</dt>
          <dd>{{ key[1] }}</dd>
        }
      </dl>
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" mat-dialog-close>{{ words().close }}</button>
    </mat-dialog-actions>
  `,
  styles: `
    dl {
      display: grid;
      grid-template-columns: auto 1fr;
      gap: 4px 16px;
      margin: 16px 0 0;
    }
    dt {
      font-weight: 700;
    }
    dd {
      margin: 0;
    }
  `,
})
class HelpDialog {
  protected readonly help = inject<HelpOfPlace>(MAT_DIALOG_DATA);
  protected readonly words = PARTS_WORDS;
}

/** The press and the key `?` that open the help of a place. */
@Component({
  selector: 'zp-place-help',
  imports: [Icon, MatIconButton, MatTooltip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button mat-icon-button type="button" matTooltip="F1, ?" [attr.aria-label]="words().help" (click)="open()">
      <mat-icon svgIcon="help" />
    </button>
  `,
})
export class PlaceHelp {
  readonly help = input.required<HelpOfPlace>();
  private readonly dialog = inject(MatDialog);
  protected readonly words = PARTS_WORDS;

  constructor() {
    useShortcuts([{ left: ['F1'], right: ['?'], text: '', act: () => this.open() }]);
  }

  protected open(): void {
    this.dialog.open(HelpDialog, { data: this.help(), maxWidth: 520 });
  }
}
