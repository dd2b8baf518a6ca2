import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { KeyPicture as PictureName } from '@zeitpunkt/core';
import { KeyPicture } from '../../ui/key-picture';
import { QrCode } from '../../ui/qr-code';
import { DeskAddress } from '../../shared/desk-address';

/** How pupils come in: the address, as text and as a QR code, and the four pictures in order with their names. */
@Component({
  selector: 'zp-key-show',
  imports: [KeyPicture, QrCode],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-qr-code class="code" [text]="address.desk()" />
    <div>
      <p>
        Pupils open <strong>{{ typed() }}</strong> and touch:
      </p>
      <ol aria-label="Room key">
        @for (picture of roomKey(); track $index) {
          <li><zp-key-picture [picture]="picture" /> {{ picture }}</li>
        }
      </ol>
      @if (choosing() && address.all().length > 1) {
        <label class="choose"
          >Address
          <select class="field" (change)="address.choose(chosen.value)" #chosen>
            @for (one of address.all(); track one) {
              <option [value]="one" [selected]="one === address.now()">{{ one }}</option>
            }
          </select>
        </label>
      }
    </div>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0.8em 1.2em;
      align-items: center;
      justify-content: inherit;
    }
    .code {
      width: 11em;
    }
    strong {
      overflow-wrap: anywhere;
    }
    ol {
      display: flex;
      flex-wrap: wrap;
      gap: 0.6em;
      margin: 0.5em 0 0;
      padding: 0;
      justify-content: inherit;
      list-style: none;
    }
    li {
      display: grid;
      justify-items: center;
      min-width: 4.6em;
      padding: 0.4em;
      border: 2px solid var(--ink);
      border-radius: 5px;
      background: var(--sheet);
    }
    .choose {
      display: flex;
      gap: 0.5rem;
      align-items: center;
      margin-top: 0.6rem;
      color: var(--soft);
    }
  `,
})
export class KeyShow {
  readonly roomKey = input.required<readonly PictureName[]>();
  /** Whether the address can be chosen here: the teacher does, pupils only see it. */
  readonly choosing = input(false);
  protected readonly address = inject(DeskAddress);
  /** As a pupil types it: a browser adds the "http://" by itself, but not the "https://". */
  protected readonly typed = computed(() => this.address.desk().replace(/^http:\/\//, ''));
}
