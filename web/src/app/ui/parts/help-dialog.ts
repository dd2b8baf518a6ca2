import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import {
  MatCell,
  MatCellDef,
  MatColumnDef,
  MatHeaderCell,
  MatHeaderCellDef,
  MatHeaderRow,
  MatHeaderRowDef,
  MatRow,
  MatRowDef,
  MatTable,
} from '@angular/material/table';
import { letterKeys } from '../../shared/shortcuts';
import type { HelpOfPlace } from './help-of-place';
import { PARTS_WORDS } from './words';

/** What a place is for, and its keys. It is fetched when it is first asked for: most who open a place never do. */
@Component({
  selector: 'zp-help-dialog',
  imports: [
    MatButton,
    MatCell,
    MatCellDef,
    MatColumnDef,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatHeaderCell,
    MatHeaderCellDef,
    MatHeaderRow,
    MatHeaderRowDef,
    MatRow,
    MatRowDef,
    MatSlideToggle,
    MatTable,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ help.place }}</h2>
    <mat-dialog-content>
      <p>{{ help.sentence }}</p>
      @if (help.shortcuts?.length) {
        <table mat-table [dataSource]="help.shortcuts!">
          <ng-container matColumnDef="left">
            <th mat-header-cell *matHeaderCellDef scope="col">{{ words().leftHand }}</th>
            <td mat-cell *matCellDef="let one" class="key">{{ written(one.left) }}</td>
          </ng-container>
          <ng-container matColumnDef="right">
            <th mat-header-cell *matHeaderCellDef scope="col">{{ words().rightHand }}</th>
            <td mat-cell *matCellDef="let one" class="key">{{ written(one.right) }}</td>
          </ng-container>
          <ng-container matColumnDef="does">
            <th mat-header-cell *matHeaderCellDef scope="col">{{ words().does }}</th>
            <th mat-cell *matCellDef="let one" scope="row">{{ one.text }}</th>
          </ng-container>
          <tr mat-header-row *matHeaderRowDef="columns"></tr>
          <tr mat-row *matRowDef="let one; columns: columns"></tr>
        </table>
        <mat-slide-toggle [checked]="letters()" (change)="turnLetters()">{{ words().letterKeys }}</mat-slide-toggle>
      }
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
    table {
      margin: 16px 0;
    }
    .key {
      font-weight: 700;
      white-space: nowrap;
    }
    th[scope='row'] {
      font-weight: 400;
    }
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
export class HelpDialog {
  protected readonly help = inject<HelpOfPlace>(MAT_DIALOG_DATA);
  protected readonly words = PARTS_WORDS;
  protected readonly columns = ['left', 'right', 'does'];
  protected readonly letters = signal(letterKeys.on());

  /** Keys as they stand on a keyboard. */
  protected written(keys: readonly string[]): string {
    const names = this.words().keyNames;
    return keys
      .map((key) => {
        const parts = key.split('+');
        return [...parts.slice(0, -1), names[parts.at(-1)!] ?? parts.at(-1)].join('+');
      })
      .join(', ');
  }

  protected turnLetters(): void {
    this.letters.update((on) => !on);
    letterKeys.turn(this.letters());
  }
}
