import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** The button that gives an answer away. */
@Component({
  selector: 'zp-send-answer',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<button class="button filled next big" type="button" [disabled]="!ready()" (click)="sent.emit()">This is my answer</button>',
  styles: ':host { display: grid; }',
})
export class SendAnswer {
  /** Whether there is an answer to give. */
  readonly ready = input.required<boolean>();
  readonly sent = output();
}
