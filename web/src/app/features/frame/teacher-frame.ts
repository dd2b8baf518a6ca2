import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** The room of a place that was not made anew yet: its bar, if it has one, and its content. */
@Component({
  selector: 'zp-teacher-frame',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: ` <main id="main" tabindex="-1" [class.wide]="wide()"><ng-content /></main> `,
  styles: `
    :host {
      display: block;
      min-height: 100%;
    }
    main {
      max-width: 1240px;
      margin: 0 auto;
      padding: 24px 32px;

      &:focus {
        outline: none;
      }
    }
    main.wide {
      max-width: none;
    }
    @media (max-width: 600px) {
      main {
        padding-inline: 12px;
      }
    }
  `,
})
export class TeacherFrame {
  /** The place takes all the width there is. */
  readonly wide = input(false);
}
