import { ChangeDetectionStrategy, Component, computed, type ElementRef, input, signal, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { letterKeys, useShortcuts, type Shortcut } from '../shared/shortcuts';

/** How keys are written where their name is not what stands on them. */
const WRITTEN: Readonly<Record<string, string>> = {
  ArrowLeft: '←',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowDown: '↓',
  PageUp: 'Page up',
  PageDown: 'Page down',
  Escape: 'Esc',
  Digit: 'any digit',
  '.': 'full stop',
};

/** The list of keys of a place, for either hand, that `?` opens. */
@Component({
  selector: 'zp-key-list',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dialog #dialog aria-labelledby="keys-title">
      <div class="head">
        <h2 id="keys-title">Keys</h2>
        <button mat-stroked-button type="button" (click)="dialog.close()">Close</button>
      </div>
      <table>
        <thead>
          <tr>
            <th scope="col">Left hand</th>
            <th scope="col">Right hand</th>
            <th scope="col">What they do</th>
          </tr>
        </thead>
        <tbody>
          @for (one of shown(); track one.text) {
            <tr>
              <td>{{ written(one.left) }}</td>
              <td>{{ written(one.right) }}</td>
              <th scope="row">{{ one.text }}</th>
            </tr>
          }
        </tbody>
      </table>
      <ng-content />
      <label><input type="checkbox" [checked]="letters()" (change)="turnLetters()" /> Letters, digits and signs act as keys</label>
    </dialog>
  `,
  styles: `
    .head {
      display: flex;
      align-items: center;
      justify-content: space-between;
    }
    table {
      margin: 0.5rem 0 0.75rem;
      width: 100%;
      border-collapse: collapse;
    }
    th,
    td {
      padding: 0.2rem 0.9rem 0.2rem 0;
      text-align: left;
      font-weight: 400;
    }
    td {
      font-weight: 700;
    }
    thead th {
      color: var(--soft);
    }
    tbody tr {
      border-top: 1px solid var(--faint);
    }
    label {
      display: flex;
      gap: 0.5rem;
      align-items: center;
      min-height: 32px;
    }
  `,
})
export class KeyList {
  readonly shortcuts = input.required<readonly Shortcut[]>();
  protected readonly letters = signal(letterKeys.on());
  private readonly dialog = viewChild.required<ElementRef<HTMLDialogElement>>('dialog');
  private readonly own: Shortcut = { left: ['F1'], right: ['?'], text: 'This list', act: () => this.open() };

  protected readonly shown = computed(() => [...this.shortcuts(), this.own]);

  constructor() {
    useShortcuts([this.own]);
  }

  open(): void {
    this.dialog().nativeElement.showModal();
  }

  protected written(keys: readonly string[]): string {
    return keys
      .map((key) => {
        const parts = key.split('+');
        return [...parts.slice(0, -1), WRITTEN[parts.at(-1)!] ?? parts.at(-1)].join('+');
      })
      .join(', ');
  }

  protected turnLetters(): void {
    this.letters.update((on) => !on);
    letterKeys.turn(this.letters());
  }
}
