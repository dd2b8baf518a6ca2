import { ChangeDetectionStrategy, Component, type ElementRef, input, output, viewChild } from '@angular/core';

/** Asks before something that cannot be taken back: plain buttons, as light as the pupil’s desk has to be. */
@Component({
  selector: 'zp-confirm',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dialog #dialog [attr.aria-labelledby]="id">
      <h2 [id]="id">{{ heading() }}</h2>
      <ng-content />
      <div class="choice">
        <button type="button" class="button outlined big" (click)="dialog.close()">{{ no() }}</button>
        <button type="button" class="button filled big" (click)="dialog.close(); confirmed.emit()">{{ yes() }}</button>
      </div>
    </dialog>
  `,
  styles: `
    .choice {
      display: flex;
      gap: 0.75rem;
      margin-top: 1rem;
    }
  `,
})
export class Confirm {
  readonly heading = input.required<string>();
  /** What the buttons say: to do it, and to leave it. */
  readonly yes = input.required<string>();
  readonly no = input.required<string>();
  readonly confirmed = output();
  private readonly dialog = viewChild.required<ElementRef<HTMLDialogElement>>('dialog');
  protected readonly id = `confirm-${(Confirm.count += 1)}`;
  private static count = 0;

  open(): void {
    this.dialog().nativeElement.showModal();
  }
}
