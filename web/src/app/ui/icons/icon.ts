import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { DomSanitizer } from '@angular/platform-browser';
import { ICONS, type IconName } from './icons';

/**
 * An icon within a press, a menu or a line; what it means is said beside it. It stands where Material looks for its own icon, which
 * would bring an HTTP client into what every pupil's device loads.
 */
@Component({
  // eslint-disable-next-line @angular-eslint/component-selector -- the name by which Material's presses and menus place an icon
  selector: 'mat-icon',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '',
  styles: `
    :host {
      display: inline-block;
      flex: none;
      width: 24px;
      height: 24px;
      line-height: 0;
      fill: currentColor;
    }
    :host ::ng-deep svg {
      display: block;
      width: 100%;
      height: 100%;
    }
  `,
  host: { class: 'mat-icon notranslate', 'aria-hidden': 'true', '[innerHTML]': 'svg()' },
})
export class Icon {
  readonly svgIcon = input.required<IconName>();
  private readonly sanitizer = inject(DomSanitizer);
  protected readonly svg = computed(() => this.sanitizer.bypassSecurityTrustHtml(ICONS[this.svgIcon()]));
}
