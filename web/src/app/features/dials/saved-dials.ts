import { CdkDrag, CdkDropList, type CdkDragDrop } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import type { SavedDial } from '@zeitpunkt/contract';
import { poseOfBuild } from '@zeitpunkt/core/stage/dial-build';
import { Icon } from '../../ui/icons/icon';
import { Notice } from '../../ui/parts/notice';
import { SmallDial } from '../../ui/parts/small-dial';
import { DialsStore } from './dials-store';
import { DIALS_WORDS } from './words';

/** The dials that are kept, each as it stands: opened at a press, drawn to another place, or moved and deleted by its menu. */
@Component({
  selector: 'zp-saved-dials',
  imports: [CdkDrag, CdkDropList, Icon, MatIconButton, MatMenu, MatMenuItem, MatMenuTrigger, SmallDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="saved">{{ words().saved }}</h2>
    <ul aria-labelledby="saved" cdkDropList (cdkDropListDropped)="drop($event)">
      @for (one of dials(); track one.dial.id; let first = $first; let last = $last) {
        <li cdkDrag [class.current]="one.dial.id === store.currentId()">
          <button type="button" class="open" [attr.aria-current]="one.dial.id === store.currentId()" (click)="store.open(one.dial)">
            <zp-dial [hands]="one.pose" [size]="60" />{{ one.dial.name }}
          </button>
          <button mat-icon-button type="button" [matMenuTriggerFor]="more" [attr.aria-label]="words().moreFor(one.dial.name)">
            <mat-icon svgIcon="more-vert" />
          </button>
          <mat-menu #more="matMenu">
            <button mat-menu-item type="button" [disabled]="first" (click)="store.shift(one.dial.id, -1)">
              <mat-icon svgIcon="keyboard-arrow-up" />{{ words().up }}
            </button>
            <button mat-menu-item type="button" [disabled]="last" (click)="store.shift(one.dial.id, 1)">
              <mat-icon svgIcon="keyboard-arrow-down" />{{ words().down }}
            </button>
            <button mat-menu-item type="button" class="danger" (click)="remove(one.dial)">
              <mat-icon svgIcon="delete" />{{ words().delete }}
            </button>
          </mat-menu>
        </li>
      }
    </ul>
    <button type="button" class="open new" (click)="store.add()">
      <span><mat-icon svgIcon="add" /></span>{{ words().newDial }}
    </button>
  `,
  styles: `
    :host {
      display: block;
      padding: 16px 12px;
    }
    h2 {
      margin: 0 0 8px;
      color: var(--soft);
      font-size: 14px;
      font-weight: 400;
      text-align: center;
    }
    ul {
      display: grid;
      gap: 4px;
      margin: 0 0 12px;
      padding: 0;
      list-style: none;
    }
    li {
      position: relative;
      border-left: 3px solid transparent;
    }
    .current {
      border-left-color: var(--ink);
      background: var(--paper);
    }
    .open {
      display: grid;
      gap: 4px;
      justify-items: center;
      width: 100%;
      padding: 8px 28px 8px 8px;
      border: 0;
      background: none;
      color: var(--ink);
      font: inherit;
      font-size: 14px;
      line-height: 18px;
      text-align: center;
      overflow-wrap: anywhere;
      cursor: pointer;
    }
    .current .open {
      font-weight: 700;
    }
    li [mat-icon-button] {
      position: absolute;
      top: 4px;
      right: 0;
    }
    .new {
      padding: 8px;
    }
    .new span {
      display: grid;
      place-items: center;
      width: 60px;
      height: 60px;
      border: 1.5px dashed var(--line);
      border-radius: 50%;
    }
  `,
})
export class SavedDials {
  protected readonly store = inject(DialsStore);
  private readonly notice = inject(Notice);
  protected readonly words = DIALS_WORDS;
  protected readonly dials = computed(() => this.store.dials().map((dial) => ({ dial, pose: dial.build && poseOfBuild(dial.build) })));

  protected drop({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    const dial = this.store.dials()[previousIndex];
    if (dial && previousIndex !== currentIndex) void this.store.shift(dial.id, currentIndex - previousIndex);
  }

  protected async remove(dial: SavedDial): Promise<void> {
    await this.store.remove(dial);
    const word = this.store.word();
    if (word?.deleted) this.notice.say(word.text, () => this.store.bringBack(dial));
  }
}
