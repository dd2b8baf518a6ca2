import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialog, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import { MatTooltip } from '@angular/material/tooltip';
import { letterKeys, useShortcuts, type Shortcut } from '../../shared/shortcuts';
import { Icon } from '../icons/icon';
import { PARTS_WORDS } from './words';

/** What a place is for in one sentence, and the keys that act in it. */
export interface HelpOfPlace {
  readonly place: string;
  readonly sentence: string;
  /** What keys do that are not struck anywhere in the place, with the keys as they are called. */
  readonly keys?: readonly (readonly [key: string, does: string])[];
  /** Keys of the whole place, for either hand. */
  readonly shortcuts?: readonly Shortcut[];
}

@Component({
  selector: 'zp-help-dialog',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle, MatSlideToggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ help.place }}</h2>
    <mat-dialog-content>
      <p>{{ help.sentence }}</p>
      @if (help.shortcuts?.length) {
        <table>
          <thead>
            <tr>
              <th scope="col">{{ words().leftHand }}</th>
              <th scope="col">{{ words().rightHand }}</th>
              <th scope="col">{{ words().does }}</th>
            </tr>
          </thead>
          <tbody>
            @for (one of help.shortcuts; track one.text) {
              <tr>
                <td>{{ written(one.left) }}</td>
                <td>{{ written(one.right) }}</td>
                <th scope="row">{{ one.text }}</th>
              </tr>
            }
          </tbody>
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
      width: 100%;
      margin: 16px 0;
      border-collapse: collapse;
    }
    th,
    td {
      padding: 4px 16px 4px 0;
      border-bottom: 1px solid var(--faint);
      font-weight: 400;
      text-align: left;
    }
    td {
      font-weight: 700;
      white-space: nowrap;
    }
    thead th {
      border-bottom: 2px solid var(--ink);
      color: var(--soft);
      font-size: 14px;
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
class HelpDialog {
  protected readonly help = inject<HelpOfPlace>(MAT_DIALOG_DATA);
  protected readonly words = PARTS_WORDS;
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
    this.dialog.open(HelpDialog, { data: this.help(), maxWidth: 640 });
  }
}
