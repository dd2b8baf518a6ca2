import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatTooltip } from '@angular/material/tooltip';
import { useShortcuts } from '../../shared/shortcuts';
import { Icon } from '../icons/icon';
import type { HelpOfPlace } from './help-of-place';
import { PARTS_WORDS } from './words';

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
    useShortcuts([{ left: ['F1'], right: ['?'], text: '', act: () => void this.open() }]);
  }

  protected async open(): Promise<void> {
    const { HelpDialog } = await import('./help-dialog');
    this.dialog.open(HelpDialog, { data: this.help(), maxWidth: 640 });
  }
}
