import { ChangeDetectionStrategy, Component, inject, output } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Asking, Response } from '@zeitpunkt/core';
import { Steering } from '../../shared/steering';
import { liveFeature, type RoomAct } from '../../state/live';
import { Coming } from './coming';
import { FlowBar } from './flow-bar';
import { InPassing } from './in-passing';
import { Wall } from './wall';

/** The answers as they come while something is asked; what comes next while nothing is. */
@Component({
  selector: 'zp-answers-panel',
  imports: [Coming, FlowBar, InPassing, Wall],
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
  `,
})
export class AnswersPanel {
  readonly act = output<RoomAct>();
  private readonly store = inject(Store);
  protected readonly steering = inject(Steering);
  protected readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  protected readonly prepared = this.store.selectSignal(liveFeature.selectPrepared);
  protected readonly asking = this.store.selectSignal(liveFeature.selectAsking);

  /** Puts an answer on the stage that somebody gave: how could one get it? The name is told nowhere. */
  protected discuss({ item }: Asking, response: Response): void {
    this.steering.showAside({ timeSec: null, marks: [], shows: { kind: 'answer', item, response } });
  }
}
