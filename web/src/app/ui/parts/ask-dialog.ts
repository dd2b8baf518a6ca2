import { ChangeDetectionStrategy, Component, inject, Injectable } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialog, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { firstValueFrom } from 'rxjs';

/** A question before something that cannot be undone. */
export interface AskedFirst {
  readonly heading: string;
  /** What will happen, in whole sentences. */
  readonly text: string;
  readonly yes: string;
  readonly no: string;
}

@Component({
  selector: 'zp-ask-dialog',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ asked.heading }}</h2>
    <mat-dialog-content>{{ asked.text }}</mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" [mat-dialog-close]="false" cdkFocusInitial>{{ asked.no }}</button>
      <button mat-flat-button type="button" [mat-dialog-close]="true">{{ asked.yes }}</button>
    </mat-dialog-actions>
  `,
})
class AskDialog {
  protected readonly asked = inject<AskedFirst>(MAT_DIALOG_DATA);
}

/** Asks before something that cannot be undone. */
@Injectable({ providedIn: 'root' })
export class AskFirst {
  private readonly dialog = inject(MatDialog);

  /** Resolves with whether the answer was yes. */
  async ask(asked: AskedFirst): Promise<boolean> {
    const opened = this.dialog.open<AskDialog, AskedFirst, boolean>(AskDialog, { data: asked, maxWidth: 480 });
    return (await firstValueFrom(opened.afterClosed())) ?? false;
  }
}
