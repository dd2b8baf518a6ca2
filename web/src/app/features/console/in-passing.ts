import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { nearestTime } from '@zeitpunkt/core/dial/nearest-time';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { dialOf, PLAIN_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import { displayText } from '@zeitpunkt/core/time/display';
import type { SessionDetail } from '@zeitpunkt/contract';
import { Steering } from '../../shared/steering';
import { SceneView } from '../../ui/scene-view';
import { CONSOLE_WORDS } from './words';

/** "Ready?" and "Show me your clocks": what a teacher asks of the class in passing, and what comes back at once. */
@Component({
  selector: 'zp-in-passing',
  imports: [MatButton, SceneView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bar">
      <button
        mat-stroked-button
        type="button"
        [attr.aria-pressed]="calls().pulse !== null"
        (click)="steering.tell({ type: 'pulse', on: calls().pulse === null })"
      >
        {{ calls().pulse === null ? words().ready : words().noLonger }}
      </button>
      <button
        mat-stroked-button
        type="button"
        [attr.aria-pressed]="calls().showMe"
        (click)="steering.tell({ type: 'show-me', on: !calls().showMe })"
      >
        {{ calls().showMe ? words().away : words().show }}
      </button>
    </div>
    @if (calls().pulse !== null) {
      <p role="status">
        <strong>{{ words().readyOf(ready().length, inRoom().length) }}</strong>
        @if (notYet().length) {
          · {{ words().notYet(notYet().join(', ')) }}
        }
        @if (silent().length) {
          · <span class="facts">{{ words().silent(silent().join(', ')) }}</span>
        }
      </p>
    }
    @if (calls().showMe) {
      <ul [attr.aria-label]="words().clocks">
        @for (one of clocks(); track one.id) {
          <li>
            @if (one.scene) {
              <zp-scene class="clock" [scene]="one.scene" [label]="one.label" />
            } @else {
              <span class="clock none">…</span>
            }
            <span class="who" [title]="one.name">{{ one.name }}</span>
          </li>
        }
      </ul>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
      width: 100%;
    }
    .bar {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 0.75rem;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(5.2rem, 1fr));
      gap: 0.35rem;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      justify-items: center;
      min-width: 0;
      padding: 0.15rem;
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--sheet);
      font-size: 0.85rem;
    }
    .clock {
      display: grid;
      place-items: center;
      width: 4.4rem;
      aspect-ratio: 1;
    }
    .who {
      max-width: 100%;
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
  `,
})
export class InPassing {
  readonly detail = input.required<SessionDetail>();
  protected readonly steering = inject(Steering);
  private readonly catalogue = CONSOLE_WORDS;
  protected readonly words = computed(() => this.catalogue().passing);
  protected readonly calls = computed(() => this.detail().live.room.calls);
  protected readonly inRoom = computed(() => this.detail().live.participants.filter(({ waits }) => !waits));
  private readonly said = computed(
    () => new Map(this.detail().live.passing.ready.map(({ participantId, ready }) => [participantId, ready])),
  );
  protected readonly ready = computed(() => this.inRoom().filter(({ id }) => this.said().get(id) === true));
  protected readonly notYet = computed(() => this.namesOf((said) => said === false));
  protected readonly silent = computed(() => this.namesOf((said) => said === undefined));
  protected readonly clocks = computed(() => {
    const shown = new Map(this.detail().live.passing.shown.map(({ participantId, pose }) => [participantId, pose]));
    return this.inRoom().map(({ id, name }) => {
      const pose = shown.get(id);
      if (!pose) return { id, name, scene: null, label: '' };
      return { id, name, scene: dialScene(dialOf(pose, PLAIN_LAYERS)), label: this.words().clockOf(name, displayText(nearestTime(pose))) };
    });
  });

  private namesOf(which: (said: boolean | undefined) => boolean): string[] {
    return this.inRoom()
      .filter(({ id }) => which(this.said().get(id)))
      .map(({ name }) => name);
  }
}
