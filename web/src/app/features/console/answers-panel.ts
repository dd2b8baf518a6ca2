import { ChangeDetectionStrategy, Component, inject, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { Steering } from '../../shared/steering';
import { liveFeature, type RoomAct } from '../../state/live';
import { Coming } from './coming';
import { Wall } from './wall';

/** The answers as they come while something is asked; what comes next while nothing is. */
@Component({
  selector: 'zp-answers-panel',
  imports: [Coming, MatButton, Wall],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './answers-panel.html',
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      gap: 1rem;
      align-items: flex-start;
      width: 100%;
    }
    zp-wall {
      width: 100%;
    }
    .bar {
      display: flex;
      gap: 0.75rem;
    }
  `,
})
export class AnswersPanel {
  readonly act = output<RoomAct>();
  private readonly store = inject(Store);
  protected readonly steering = inject(Steering);
  protected readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  protected readonly prepared = this.store.selectSignal(liveFeature.selectPrepared);
  protected readonly asking = this.store.selectSignal(liveFeature.selectAsking);
}
