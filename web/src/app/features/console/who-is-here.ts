import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Participant, SessionDetail } from '@zeitpunkt/contract';
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
        <summary>Names, and sending somebody out</summary>
        <p class="facts">A name that is put right here is right in the class, too. Who is sent out waits at the door when coming again.</p>
        <ul>
          @for (one of inRoom(); track one.id) {
            <li class="row">
              <input
                #name
                class="field"
                maxlength="60"
                autocomplete="off"
                [attr.aria-label]="'Name of ' + one.name"
                [value]="one.name"
                (change)="rename(one, name)"
              />
              <button mat-button type="button" (click)="act.emit({ type: 'send-out', participantId: one.id })">
                Send out<span class="heard-only"> {{ one.name }}</span>
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
    .row {
      display: flex;
      gap: 0.25rem;
      align-items: center;
    }
    .row .field {
      width: 9rem;
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

  protected rename({ pupilId, name }: Participant, field: HTMLInputElement): void {
    const now = field.value.trim();
    field.value = name; // until the server has said that it may
    if (now !== '' && now !== name) this.act.emit({ type: 'rename', classId: this.detail().classId, pupilId, name: now });
  }

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
