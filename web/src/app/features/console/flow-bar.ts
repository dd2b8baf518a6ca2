import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatTooltip } from '@angular/material/tooltip';
import { kindOf, type Item } from '@zeitpunkt/core/question-kinds/registry';
import type { Asking } from '@zeitpunkt/core/run/asking';
import { LatestAttempts } from '@zeitpunkt/core/run/latest';
import type { SessionDetail } from '@zeitpunkt/contract';
import type { Shortcut } from '../../shared/shortcuts';
import { Steering } from '../../shared/steering';
import { KeyHint } from '../../ui/parts/key-hint';
import { FollowUp } from './follow-up';
import { CONSOLE_WORDS } from './words';

const MORE_MINUTES = 2;

/** The keys that act on the question on the stage, while there is one. */
export function flowShortcuts(bar: () => FlowBar | undefined): readonly Shortcut[] {
  const { keys } = CONSOLE_WORDS();
  return [
    { left: ['Shift+E'], right: ['Shift+N'], text: keys.remind, act: () => bar()?.remind() },
    { left: ['Shift+T'], right: ['Shift+M'], text: keys.moreTime, act: () => bar()?.moreTime() },
    { left: ['Shift+C'], right: ['Shift+L'], text: keys.close, act: () => bar()?.close() },
    { left: ['Shift+R'], right: ['Shift+I'], text: keys.again, act: () => bar()?.askAgain() },
    { left: ['Shift+X'], right: ['Shift+K'], text: keys.another, act: () => bar()?.askAnother() },
    { left: ['Shift+F'], right: ['Shift+J'], text: keys.followUp, act: () => bar()?.askFollowUp() },
  ];
}

/** How many are in the room and have not answered a question. */
export function thinkingAt({ live: { participants, responses } }: SessionDetail, { id }: Asking): number {
  const answered = new LatestAttempts(responses).at(id);
  return participants.filter(({ waits, pupilId }) => !waits && !answered.has(pupilId)).length;
}

/** What can be done with the question on the stage: give time, close it, and once it is answered ask again or go after what went wrong. */
@Component({
  selector: 'zp-flow-bar',
  imports: [KeyHint, MatButton, MatTooltip],
  providers: [FollowUp],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let one = asking();
    @if (one.phase === 'open') {
      <button mat-stroked-button type="button" [disabled]="!canRemind()" [matTooltip]="words().remindHint" (click)="remind()">
        {{ calls().nudged === one.id ? words().reminded : words().remind(thinking()) }}<zp-key key="Shift+N" />
      </button>
      <button mat-stroked-button type="button" (click)="moreTime()">{{ words().more }}<zp-key key="Shift+M" /></button>
      <button mat-stroked-button type="button" (click)="close()">{{ words().close }}<zp-key key="Shift+L" /></button>
      @if (steering.canTakeBack()) {
        <button mat-stroked-button type="button" (click)="steering.takeBack()">{{ words().takeBack }}<zp-key key="Escape" /></button>
      }
    } @else {
      @if (one.phase === 'revealed') {
        <button mat-stroked-button type="button" (click)="askAgain()">{{ words().again }}<zp-key key="Shift+I" /></button>
        <button mat-stroked-button type="button" (click)="askAnother()">{{ words().another }}<zp-key key="Shift+K" /></button>
      }
      @if (followUp.ready(); as ready) {
        <button mat-stroked-button class="follow" type="button" [matTooltip]="stemOf(ready.item)" (click)="askFollowUp()">
          {{ words().followUp(ready.title) }}<zp-key key="Shift+J" />
        </button>
      } @else if (followUp.isComing()) {
        <span class="facts" role="status">{{ words().finding }}</span>
      }
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
    }
    button {
      --mat-button-outlined-horizontal-padding: 10px;
    }
    .follow {
      height: auto;
      min-height: 36px;
      padding-block: 4px;
    }
  `,
})
export class FlowBar {
  readonly detail = input.required<SessionDetail>();
  readonly asking = input.required<Asking>();
  protected readonly steering = inject(Steering);
  protected readonly followUp = inject(FollowUp);
  private readonly catalogue = CONSOLE_WORDS;
  protected readonly words = computed(() => this.catalogue().flow);
  protected readonly calls = computed(() => this.detail().live.room.calls);
  protected readonly thinking = computed(() => thinkingAt(this.detail(), this.asking()));
  protected readonly canRemind = computed(() => this.isOpen() && this.thinking() > 0 && this.calls().nudged !== this.asking().id);
  private readonly isOpen = computed(() => this.asking().phase === 'open');
  private readonly isRevealed = computed(() => this.asking().phase === 'revealed');

  remind(): void {
    if (this.canRemind()) this.steering.tell({ type: 'nudge', askingId: this.asking().id });
  }

  moreTime(): void {
    if (this.isOpen()) this.steering.tell({ type: 'more-time', askingId: this.asking().id, minutes: MORE_MINUTES });
  }

  close(): void {
    if (this.isOpen()) this.steering.tell({ type: 'close', askingId: this.asking().id });
  }

  askAgain(): void {
    if (this.isRevealed()) this.steering.askAgain(this.asking().item);
  }

  askAnother(): void {
    if (this.isRevealed()) this.steering.askAnother(this.asking().item);
  }

  askFollowUp(): void {
    const ready = this.followUp.ready();
    if (ready) this.steering.askAgain(ready.item);
  }

  protected stemOf(item: Item): string {
    return kindOf(item).viewOf(item, this.detail().lesson.settings).stem;
  }
}
