import { ChangeDetectionStrategy, Component, type ElementRef, input, viewChild } from '@angular/core';

/** A sheet over the desk with a few large presses: plain, as light as the pupil’s desk has to be. */
@Component({
  selector: 'zp-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dialog #dialog [attr.aria-labelledby]="id">
      <h2 [id]="id">{{ heading() }}</h2>
      <div class="presses">
        <ng-content />
        <button type="button" class="button outlined big" (click)="shut()">{{ close() }}</button>
      </div>
    </dialog>
  `,
  styles: `
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

  open(): void {
    this.dialog().nativeElement.showModal();
  }

  shut(): void {
    this.dialog().nativeElement.close();
  }
}
