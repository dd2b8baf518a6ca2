import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { DeskOver } from './desk-over';
import { DeskStore } from './desk-store';
import { WaitingDial } from './waiting-dial';
import { Where } from './where';
import { DESK_WORDS } from './words';

/** Outlines of where one waits, 64 by 64, drawn in ink: a lighthouse that sends its light, a door, and a boat that sails home. */
const PICTURES = {
  lobby: 'M24 58L28 26H36L40 58Z M20 58H44 M27 26H37 M29 26V18H35V26 M28 18L32 12L36 18 M42 20L56 15 M42 24L56 29 M22 20L8 15 M22 24L8 29',
  door: 'M18 58V10H46V58 M12 58H52 M39 34V36 M24 16H40V28H24Z',
  ended: 'M8 42H56L48 54H16Z M32 42V8 M32 10L50 34H32 M28 16V34H16Z',
} as const;

/** Waiting at the door, in the lobby and after the end: where one is as a picture, what comes, and a clock to turn meanwhile. */
@Component({
  selector: 'zp-desk-wait',
  imports: [DeskOver, WaitingDial, Where],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (store.view(); as view) {
      <zp-where [picture]="picture()">
        @switch (view.phase) {
          @case ('door') {
            <h1>{{ words().wait.door(view.pupilName) }}</h1>
            <p role="status">{{ words().wait.letIn }}</p>
          }
          @case ('ended') {
            <zp-desk-over />
          }
          @default {
            <h1>{{ words().wait.inAs(view.pupilName) }}</h1>
            <p>{{ words().wait.soon(view.lessonTitle) }}</p>
          }
        }
      </zp-where>
      <zp-waiting-dial [before]="heard()" />
    }
  `,
  styles: `
    :host {
      display: flex;
      flex: 1;
      flex-direction: column;
      gap: 12px;
      min-height: 0;
    }
    h1 {
      font-size: 1.3rem;
    }
  `,
})
export class DeskWait {
  protected readonly store = inject(DeskStore);
  protected readonly words = DESK_WORDS;
  /** What stands beside the picture. */
  protected readonly heard = computed(() => {
    const [view, { wait }] = [this.store.view(), this.words()];
    if (!view) return '';
    if (view.phase === 'door') return `${wait.door(view.pupilName)} ${wait.letIn}`;
    return view.phase === 'ended' ? wait.over : `${wait.inAs(view.pupilName)} ${wait.soon(view.lessonTitle)}`;
  });
  protected readonly picture = computed(() => {
    const phase = this.store.view()?.phase;
    return PICTURES[phase === 'door' || phase === 'ended' ? phase : 'lobby'];
  });
}
