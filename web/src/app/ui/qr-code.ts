import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { PARTS_WORDS } from './parts/words';
import { create } from 'qrcode';

/** White around the code, in modules. Source: ISO/IEC 18004, quiet zone of four modules. */
const QUIET = 4;

/** An address as a QR code, black on white in every theme, so that every camera reads it. */
@Component({
  selector: 'zp-qr-code',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + side() + ' ' + side()"
      role="img"
      [attr.aria-label]="name() ?? words().qrOf(text())"
      shape-rendering="crispEdges"
    >
      <rect [attr.width]="side()" [attr.height]="side()" fill="#fff" />
      <path [attr.d]="path()" fill="#000" />
    </svg>
  `,
  styles: ':host, svg { display: block; width: 100%; }',
})
export class QrCode {
  readonly text = input.required<string>();
  /** What it is called where its text is not for reading out. */
  readonly name = input<string | null>(null);
  protected readonly words = PARTS_WORDS;
  private readonly modules = computed(() => create(this.text(), { errorCorrectionLevel: 'M' }).modules);
  protected readonly side = computed(() => this.modules().size + 2 * QUIET);
  protected readonly path = computed(() => {
    const { size, data } = this.modules();
    return [...data].reduce(
      (path, dark, index) => (dark ? `${path}M${QUIET + (index % size)} ${QUIET + Math.floor(index / size)}h1v1h-1z` : path),
      '',
    );
  });
}
