import { CdkDrag, type CdkDragDrop, CdkDropList } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import { Icon } from '../icons/icon';
import { PARTS_WORDS } from './words';

/** A name in one of several lists. */
export interface Chip {
  readonly id: string;
  readonly name: string;
  /** Where more is said about whoever it names; null for nowhere. */
  readonly link: readonly string[] | null;
  /** Put here by hand: it can go back to where it was proposed. */
  readonly moved: boolean;
}

/** A list that chips can be moved to. */
export interface ChipList {
  readonly key: string;
  readonly name: string;
}

/** Names in a list, dragged to another one of the same `cdkDropListGroup`, or moved there by the menu of each. */
@Component({
  selector: 'zp-chips',
  imports: [CdkDrag, CdkDropList, Icon, MatIconButton, MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul
      cdkDropList
      cdkDropListOrientation="mixed"
      cdkDropListSortingDisabled
      [cdkDropListData]="key()"
      [attr.aria-label]="label()"
      (cdkDropListDropped)="drop($event)"
    >
      @for (chip of chips(); track chip.id) {
        <li cdkDrag [cdkDragData]="chip.id" [class.moved]="chip.moved">
          @if (chip.link; as link) {
            <a [routerLink]="link">{{ chip.name }}</a>
          } @else {
            <span>{{ chip.name }}</span>
          }
          <button
            mat-icon-button
            type="button"
            [matMenuTriggerFor]="menu"
            [matMenuTriggerData]="{ chip }"
            [attr.aria-label]="words().move(chip.name)"
          >
            <mat-icon svgIcon="move-down" />
          </button>
        </li>
      }
    </ul>
    <mat-menu #menu="matMenu">
      <ng-template matMenuContent let-chip="chip">
        @for (list of lists(); track list.key) {
          @if (list.key !== key()) {
            <button mat-menu-item type="button" (click)="moved.emit({ id: chip.id, key: list.key })">
              {{ words().moveTo(list.name) }}
            </button>
          }
        }
        @if (chip.moved) {
          <button mat-menu-item type="button" (click)="moved.emit({ id: chip.id, key: null })">
            <mat-icon svgIcon="undo" />{{ words().moveBack }}
          </button>
        }
      </ng-template>
    </mat-menu>
  `,
  styles: `
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      min-height: 38px;
      margin: 0;
      padding: 2px;
      border-radius: 4px;
      list-style: none;
    }
    li {
      display: flex;
      align-items: center;
      min-height: 32px;
      padding-left: 10px;
      border: 1px solid var(--line);
      border-radius: 3px;
      background: var(--sheet);
      color: var(--ink);
      cursor: grab;
    }
    .moved {
      border-style: dashed;
      border-color: var(--ink);
    }
    .mat-mdc-icon-button {
      width: 32px;
      height: 32px;
      padding: 6px;
      color: var(--soft);
    }
    .mat-mdc-icon-button mat-icon {
      width: 20px;
      height: 20px;
    }
    .cdk-drop-list-dragging {
      outline: 2px dashed var(--ink);
    }
    .cdk-drag-placeholder {
      opacity: 0.4;
    }
  `,
})
export class Chips {
  readonly key = input.required<string>();
  readonly chips = input.required<readonly Chip[]>();
  /** All lists that a chip can be in; this one is left out of the menu. */
  readonly lists = input.required<readonly ChipList[]>();
  /** What the list is called where it is heard. */
  readonly label = input.required<string>();
  /** A chip is to be in another list; with null where it was proposed. */
  readonly moved = output<{ readonly id: string; readonly key: string | null }>();
  protected readonly words = PARTS_WORDS;

  protected drop({ item, container, previousContainer }: CdkDragDrop<string, string, string>): void {
    if (container !== previousContainer) this.moved.emit({ id: item.data, key: container.data });
  }
}
