import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import type { KeyPicture as PictureName } from '@zeitpunkt/core/live/room-key';
import { Icon } from '../../ui/icons/icon';
import { KeyPicture } from '../../ui/key-picture';
import { QrCode } from '../../ui/qr-code';
import { DeskAddress } from '../desk-address';
import { ROOM_KEY_WORDS } from './words';

/** How pupils come in: the address, as text and as a QR code, and the four pictures in order with their names. */
@Component({
  selector: 'zp-key-show',
  imports: [Icon, KeyPicture, MatButton, MatFormField, MatLabel, MatOption, MatSelect, QrCode],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol [attr.aria-label]="words().label">
      @for (picture of roomKey(); track $index) {
        <li><zp-key-picture [picture]="picture" /> {{ picture }}</li>
      }
    </ol>
    <div class="way">
      <zp-qr-code class="code" [text]="address.desk()" />
      <div class="address">
        <p>
          {{ words().open }} <strong>{{ typed() }}</strong> {{ words().touch }}
        </p>
        @if (choosing()) {
          <button mat-stroked-button type="button" (click)="copy()">
            <mat-icon svgIcon="content-copy" />{{ copied() ? words().copied : words().copy }}
          </button>
          @if (address.all().length > 1) {
            <mat-form-field appearance="outline" subscriptSizing="dynamic">
              <mat-label>{{ words().address }}</mat-label>
              <mat-select [value]="address.now()" (selectionChange)="address.choose($event.value)">
                @for (one of address.all(); track one) {
                  <mat-option [value]="one">{{ one }}</mat-option>
                }
              </mat-select>
            </mat-form-field>
          }
        }
      </div>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.9em;
    }
    ol {
      display: grid;
      grid-template-columns: repeat(4, minmax(0, 1fr));
      gap: 0.5em;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      justify-items: center;
      padding: 0.5em 0.2em;
      border: 2px solid var(--ink);
      border-radius: 4px;
      background: var(--sheet);
    }
    zp-key-picture {
      width: 3.6em;
    }
    .way {
      display: flex;
      flex-wrap: wrap;
      gap: 1em;
      align-items: center;
      justify-content: inherit;
    }
    .code {
      width: 9.5em;
    }
    .address {
      display: grid;
      flex: 1;
      gap: 0.5em;
      min-width: 12em;
      justify-items: start;
    }
    p {
      margin: 0;
    }
    strong {
      overflow-wrap: anywhere;
    }
    mat-form-field {
      width: 100%;
    }
  `,
})
export class KeyShow {
  readonly roomKey = input.required<readonly PictureName[]>();
  /** Whether the address can be chosen here: the teacher does, pupils only see it. */
  readonly choosing = input(false);
  protected readonly words = ROOM_KEY_WORDS;
  protected readonly address = inject(DeskAddress);
  protected readonly copied = signal(false);
  /** As a pupil types it: a browser adds the "http://" by itself, but not the "https://". */
  protected readonly typed = computed(() => this.address.desk().replace(/^http:\/\//, ''));

  protected async copy(): Promise<void> {
    try {
      await navigator.clipboard.writeText(this.address.desk());
      this.copied.set(true);
    } catch {
      this.copied.set(false); // without HTTPS a browser lets nothing be copied: the address stands beside the press
    }
  }
}
