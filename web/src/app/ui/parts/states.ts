import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Icon } from '../icons/icon';
import { MatProgressBar } from '@angular/material/progress-bar';
import type { IconName } from '../icons/icons';
import { PARTS_WORDS } from './words';

/** What comes is being fetched. The words say what. */
@Component({
  selector: 'zp-loading',
  imports: [MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p role="status">{{ text() ?? words().loading }}</p>
    <mat-progress-bar mode="indeterminate" aria-hidden="true" />
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      max-width: 320px;
      padding: 24px 0;
      color: var(--soft);
    }
  `,
})
export class Loading {
  readonly text = input<string | null>(null);
  protected readonly words = PARTS_WORDS;
}

/** Something did not come: why, and the press that tries again. */
@Component({
  selector: 'zp-failing',
  imports: [MatButton, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-icon svgIcon="error" />
    <p role="alert">{{ problem() }}</p>
    @if (canTryAgain()) {
      <button mat-stroked-button type="button" (click)="again.emit()">{{ words().again }}</button>
    }
    <ng-content />
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 12px;
      align-items: center;
      margin-bottom: 16px;
      padding: 8px 12px;
      border: 1px solid var(--wrong);
      border-radius: 4px;
      background: var(--sheet);
    }
    mat-icon {
      flex: none;
      color: var(--wrong);
    }
    p {
      flex: 1 1 16rem;
    }
  `,
})
export class Failing {
  readonly problem = input.required<string>();
  readonly canTryAgain = input(true);
  readonly again = output();
  protected readonly words = PARTS_WORDS;
}

/** Nothing is there yet: a picture, a sentence, and in the content the press that changes it. */
@Component({
  selector: 'zp-empty',
  imports: [Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-icon [svgIcon]="icon()" />
    <p>{{ text() }}</p>
    <ng-content />
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 16px;
      align-items: center;
      padding: 16px 0;
      color: var(--soft);
    }
    mat-icon {
      width: 32px;
      height: 32px;
    }
  `,
})
export class Empty {
  readonly icon = input.required<IconName>();
  readonly text = input.required<string>();
}
