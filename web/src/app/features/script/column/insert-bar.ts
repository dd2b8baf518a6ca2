import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { type MatMenu, MatMenuTrigger } from '@angular/material/menu';
import { Icon } from '../../../ui/icons/icon';
import { SCRIPT_WORDS } from '../words';

/** What can be added after the beat at hand: what is added most often by one press, all the rest by a menu. */
@Component({
  selector: 'zp-insert-bar',
  imports: [Icon, MatButton, MatIconButton, MatMenuTrigger],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="group" [attr.aria-label]="words().column.insert">
      <mat-icon svgIcon="add" />
      <button mat-button type="button" (click)="insert.emit('worked-example')">{{ words().column.inserts.example }}</button>
      <button mat-button type="button" [matMenuTriggerFor]="questions()">{{ words().column.inserts.question }}</button>
      <button mat-button type="button" (click)="insert.emit('set')">{{ words().column.inserts.show }}</button>
      <button mat-button type="button" (click)="insert.emit('say')">{{ words().column.inserts.say }}</button>
      <button mat-icon-button type="button" [matMenuTriggerFor]="others()" [attr.aria-label]="words().column.inserts.more">
        <mat-icon svgIcon="more-vert" />
      </button>
    </div>
  `,
  styles: `
    div {
      display: flex;
      gap: 0 4px;
      align-items: center;

      &::before,
      &::after {
        flex: 1 0 16px;
        height: 2px;
        background: var(--ink);
        content: '';
      }
    }
    mat-icon {
      width: 20px;
      height: 20px;
    }
    .mat-mdc-icon-button {
      width: 32px;
      height: 32px;
      padding: 6px;
    }
    .mat-mdc-button {
      padding-inline: 8px;
    }
  `,
})
export class InsertBar {
  /** What is to be added, as new-beats knows it. */
  readonly insert = output<string>();
  /** All kinds of questions, and all other kinds of beats: menus that are there once for the whole column. */
  readonly questions = input.required<MatMenu>();
  readonly others = input.required<MatMenu>();
  protected readonly words = SCRIPT_WORDS;
}
