import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { SessionDetail } from '@zeitpunkt/contract';
import type { RoomAct } from '../../state/live';
import { LineLost } from '../../ui/line-lost';

/** Who is in the room, in one line: how many, whose line is lost, who is missing. */
@Component({
  selector: 'zp-who-is-here',
  imports: [LineLost, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>
      <strong>{{ inRoom().length }} of {{ detail().pupils.length }} are in</strong>
      @if (lost().length) {
        · <zp-line-lost /> {{ lost().length }}: {{ lost().join(', ') }}
      }
      @if (missing().length && inRoom().length) {
        · <span class="facts">Not in yet: {{ missing().join(', ') }}</span>
      }
    </p>
    @if (inRoom().length) {
      <details>
        <summary>A pupil comes back on another device</summary>
        <p class="facts">Free the name, and it can be chosen again. The old device leaves the room; its answers stay.</p>
        <ul>
          @for (one of inRoom(); track one.id) {
            <li>
              <button mat-stroked-button type="button" (click)="act.emit({ type: 'release', participantId: one.id })">
                Free {{ one.name }}
              </button>
            </li>
          }
        </ul>
      </details>
    } @else {
      <p class="facts">Nobody yet. Names appear here as pupils come in.</p>
    }
    @if (names()) {
      <ul aria-label="In the room">
        @for (one of inRoom(); track one.id) {
          <li class="name">
            {{ one.name }}
            @if (!one.online) {
              <zp-line-lost />
            }
          </li>
        }
      </ul>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.4rem;
      width: 100%;
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 0.35rem;
      margin: 0.35rem 0 0;
      padding: 0;
      list-style: none;
    }
    .name {
      padding: 0.1rem 0.6rem;
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--sheet);
    }
    summary {
      cursor: pointer;
      color: var(--soft);
    }
  `,
})
export class WhoIsHere {
  readonly detail = input.required<SessionDetail>();
  /** Whether each name is shown: in the lobby they are what one looks at. */
  readonly names = input(false);
  readonly act = output<RoomAct>();

  protected readonly inRoom = computed(() => this.detail().live.participants.filter(({ waits }) => !waits));
  protected readonly lost = computed(() =>
    this.inRoom()
      .filter(({ online }) => !online)
      .map(({ name }) => name),
  );
  protected readonly missing = computed(() => {
    const here = new Set(this.detail().live.participants.map(({ pupilId }) => pupilId));
    return this.detail()
      .pupils.filter(({ id }) => !here.has(id))
      .map(({ name }) => name);
  });
}
