import { ChangeDetectionStrategy, Component, type ElementRef, input, signal, viewChild } from '@angular/core';
import { deskLanguage } from '../../shared/words/spoken';
import { closeDialog, showDialog } from '../../ui/old-dialog';
import { ReadAloud } from '../../ui/read-aloud';
import { sentences } from './sentences';

/** A sheet over the desk with a few large presses: plain, as light as the pupil’s desk has to be. */
@Component({
  selector: 'zp-sheet',
  imports: [ReadAloud],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dialog #dialog [attr.aria-labelledby]="id">
      <div class="top">
        <h2 [id]="id">{{ heading() }}</h2>
        <zp-read-aloud [text]="heard()" [language]="language()" />
      </div>
      <div class="presses">
        <ng-content />
        <button type="button" class="button outlined big" (click)="shut()">{{ close() }}</button>
      </div>
    </dialog>
  `,
  styles: `
    .top {
      display: flex;
      gap: 1rem;
      align-items: center;
      justify-content: space-between;
    }
    .presses {
      display: grid;
      gap: 12px;
      margin-top: 12px;
    }
  `,
})
export class Sheet {
  readonly heading = input.required<string>();
  /** What the press says that changes nothing. */
  readonly close = input.required<string>();
  private readonly dialog = viewChild.required<ElementRef<HTMLDialogElement>>('dialog');
  protected readonly id = `sheet-${(Sheet.count += 1)}`;
  private static count = 0;

  protected readonly language = deskLanguage;
  /** All that stands in it: it is opened with other words at other times. */
  protected readonly heard = signal('');

  open(): void {
    const parts = this.dialog().nativeElement.querySelectorAll('h2, .presses > *');
    this.heard.set(sentences([...parts].map(({ textContent }) => textContent)));
    showDialog(this.dialog().nativeElement);
  }

  shut(): void {
    closeDialog(this.dialog().nativeElement);
  }
}
