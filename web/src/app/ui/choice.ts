import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** A small row of choices, one of which holds. */
@Component({
  selector: 'zp-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span id="{{ id }}">{{ label() }}</span>
    <div role="group" [attr.aria-labelledby]="id">
      @for (option of options(); track option.value) {
        <button type="button" class="press" [attr.aria-pressed]="option.value === value()" (click)="chosen.emit(option.value)">
          {{ option.text }}
        </button>
      }
    </div>
  `,
  styles: `
    :host {
      display: flex;
      align-items: center;
      justify-content: space-between;
      gap: 0.5rem;
    }
    div {
      display: flex;
      flex-wrap: wrap;
      justify-content: flex-end;
    }
    button {
      min-height: 28px;
      padding: 0 0.5rem;
      margin-left: -1px;
      border-radius: 0;
      font-size: 0.9rem;
    }
  `,
})
export class Choice<Value extends string | number | boolean> {
  readonly label = input.required<string>();
  readonly options = input.required<readonly { readonly value: Value; readonly text: string }[]>();
  readonly value = input.required<Value>();
  readonly chosen = output<Value>();
  protected readonly id = `choice-${(Choice.count += 1)}`;
  private static count = 0;
}
