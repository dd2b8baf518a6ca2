import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { letterKeys } from '../../shared/shortcuts';
import { PARTS_WORDS } from './words';

/** The key that does the same as the press it stands in; read out by the help of the place. */
@Component({
  selector: 'zp-key',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '{{ shown() }}',
  styles: `
    :host {
      display: inline-block;
      margin-left: 8px;
      padding: 0 5px;
      border: 1px solid currentColor;
      border-radius: 3px;
      font-size: 13px;
      font-weight: 400;
      line-height: 18px;
      opacity: 0.75;
    }
    :host:empty {
      display: none;
    }
    @media (hover: none), (max-width: 800px) {
      :host {
        display: none;
      }
    }
  `,
  host: { 'aria-hidden': 'true' },
})
export class KeyHint {
  /** As shortcuts write it: "Shift+C", "Escape". */
  readonly key = input.required<string>();
  private readonly words = PARTS_WORDS;
  protected readonly shown = computed(() => {
    const parts = this.key().split('+');
    const last = parts.at(-1)!;
    if (last.length === 1 && !letterKeys.on()) return '';
    return [...parts.slice(0, -1).map((part) => (part === 'Shift' ? '⇧' : part)), this.words().keyNames[last] ?? last].join('');
  });
}
