import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Icon } from '../../ui/icons/icon';
import { RouterLink } from '@angular/router';
import type { ClassPupil, ClassStanding } from '@zeitpunkt/contract';
import { DeskAddress } from '../../shared/desk-address';
import { cardOf, type CardState } from './card-state';
import { CLASS_WORDS } from './words';

const MOST_NAMES = 4;
const STATES: readonly CardState[] = ['has', 'unused', 'none'];

/** Whether everybody can come in: every pupil a block, how many by what, who has no card, and the press that makes theirs. */
@Component({
  selector: 'zp-can-come-in',
  imports: [MatButton, Icon, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ words().side.heading }}</h2>
    <div class="blocks" aria-hidden="true">
      @for (state of blocks(); track $index) {
        <i [class]="state"></i>
      }
    </div>
    <ul>
      @for (one of counts(); track one.state) {
        <li>
          <i [class]="one.state"></i><strong>{{ one.count }}</strong> {{ one.word }}
        </li>
      }
    </ul>
    @if (without().length) {
      <p>{{ words().side.need(names(), without().length - names().length) }}</p>
      <a mat-flat-button class="next main-press" [routerLink]="['/classes', classId(), 'cards']"
        ><mat-icon svgIcon="print" />{{ words().side.print(without().length) }}</a
      >
    } @else {
      <p>{{ words().side.allSet }}</p>
      <a mat-stroked-button [routerLink]="['/classes', classId(), 'cards']"><mat-icon svgIcon="badge" />{{ words().cards }}</a>
    }
    <h3>{{ words().side.byPictures }}</h3>
    <p class="soft">{{ words().side.byPicturesText }}</p>
    <p class="address">{{ address.desk() }}</p>
    <a mat-button href="/desk" target="_blank"><mat-icon svgIcon="devices" />{{ words().side.look }}</a>
  `,
  styles: `
    :host {
      display: grid;
      gap: 12px;
      padding: 20px;
      border: 2px solid var(--ink);
      border-radius: 4px;
      background: var(--sheet);
    }
    h2 {
      font-size: 18px;
      line-height: 28px;
    }
    h3 {
      margin-top: 8px;
      font-size: 16px;
      line-height: 24px;
    }
    .blocks {
      display: flex;
      flex-wrap: wrap;
      gap: 4px;
    }
    i {
      flex: none;
      width: 13px;
      height: 22px;
      background: var(--ink);
    }
    .unused {
      border: 1px solid var(--ink);
      background: none;
    }
    .none {
      border: 1px dashed var(--wrong);
      background: none;
    }
    ul {
      display: grid;
      gap: 4px;
      margin: 0;
      padding: 0 0 12px;
      border-bottom: 1px solid var(--faint);
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 14px 28px 1fr;
      gap: 8px;
      align-items: center;
      line-height: 26px;
    }
    li strong {
      text-align: right;
      font-variant-numeric: tabular-nums;
    }
    .soft {
      color: var(--soft);
      font-size: 14px;
      line-height: 20px;
    }
    .address {
      font-weight: 700;
      font-size: 14px;
      overflow-wrap: anywhere;
    }
  `,
})
export class CanComeIn {
  readonly pupils = input.required<readonly ClassPupil[]>();
  readonly standing = input.required<ClassStanding | null>();
  readonly classId = input.required<string>();
  protected readonly address = inject(DeskAddress);
  protected readonly words = CLASS_WORDS;
  private readonly states = computed(() => {
    const lastMs = new Map(this.standing()?.pupils.map((one) => [one.id, one.lastMs]));
    return this.pupils().map((pupil) => ({ pupil, state: cardOf(pupil, lastMs.get(pupil.id) ?? null) }));
  });
  protected readonly blocks = computed(() => STATES.flatMap((wanted) => this.states().filter(({ state }) => state === wanted).map(({ state }) => state))); // prettier-ignore
  protected readonly counts = computed(() => {
    const { side } = this.words();
    const words: Record<CardState, string> = { has: side.byCard, unused: side.unused, none: side.none };
    return STATES.map((state) => ({ state, word: words[state], count: this.blocks().filter((one) => one === state).length })).filter(({ count }) => count > 0); // prettier-ignore
  });
  protected readonly without = computed(() => this.states().flatMap(({ pupil, state }) => (state === 'none' ? [pupil.name] : [])));
  protected readonly names = computed(() => this.without().slice(0, MOST_NAMES));
}
