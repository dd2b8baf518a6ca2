import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { KeyPicture as PictureName } from '@zeitpunkt/core';
import { KeyPicture } from '../../ui/key-picture';

/** How pupils come in: the address, and the four pictures in order with their names. */
@Component({
  selector: 'zp-key-show',
  imports: [KeyPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>
      Pupils open <strong>{{ address }}</strong> and touch:
    </p>
    <ol aria-label="Room key">
      @for (picture of roomKey(); track $index) {
        <li><zp-key-picture [picture]="picture" /> {{ picture }}</li>
      }
    </ol>
  `,
  styles: `
    ol {
      display: flex;
      flex-wrap: wrap;
      gap: 0.6em;
      margin: 0.5em 0 0;
      padding: 0;
      justify-content: inherit;
      list-style: none;
    }
    :host {
      display: grid;
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
  `,
})
export class KeyShow {
  readonly roomKey = input.required<readonly PictureName[]>();
  protected readonly address = `${location.host}/desk`;
}
