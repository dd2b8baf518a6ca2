import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { TeacherFrame } from '../frame/teacher-frame';
import { DialsStore } from './dials-store';
import { Workbench } from './workbench';

/** The place where demonstration dials are built: the workbench, as soon as the saved dials are here. */
@Component({
  selector: 'zp-dials',
  imports: [MatButton, TeacherFrame, Workbench],
  providers: [DialsStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-teacher-frame>
      @switch (store.loading()) {
        @case ('done') {
          <zp-workbench />
        }
        @case ('failed') {
          <h1>Dials</h1>
          <p class="problem" role="alert">{{ store.problem() }}</p>
          <button mat-flat-button class="next" type="button" (click)="store.load()">Try again</button>
        }
        @default {
          <h1>Dials</h1>
          <p role="status">Getting your dials …</p>
        }
      }
    </zp-teacher-frame>
  `,
})
export class Dials {
  protected readonly store = inject(DialsStore);
}
