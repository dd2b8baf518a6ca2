import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Place } from '../../ui/parts/place';
import { Failing, Loading } from '../../ui/parts/states';
import { DialsStore } from './dials-store';
import { DIALS_WORDS } from './words';
import { Workbench } from './workbench';

/** The place where demonstration dials are built: the workbench, as soon as the saved dials are here. */
@Component({
  selector: 'zp-dials',
  imports: [Failing, Loading, Place, Workbench],
  providers: [DialsStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (store.loading() === 'done') {
      <zp-workbench />
    } @else {
      <zp-place [working]="true" [heading]="words().place">
        @if (store.loading() === 'failed') {
          <zp-failing [problem]="store.problem() ?? ''" (again)="store.load()" />
        } @else {
          <zp-loading [text]="words().loading" />
        }
      </zp-place>
    }
  `,
})
export class Dials {
  protected readonly store = inject(DialsStore);
  protected readonly words = DIALS_WORDS;
}
