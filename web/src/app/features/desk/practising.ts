import { computed, inject, Injectable, linkedSignal } from '@angular/core';
import type { DeskView } from '@zeitpunkt/contract';
import { DeskStore } from './desk-store';

/** The clock of one's own: when it is at hand, and whether it has the desk. */
@Injectable()
export class Practising {
  private readonly store = inject(DeskStore);

  /** In every pause: while the teacher talks, and once an answer is given. */
  readonly mayBe = computed(() => {
    const view = this.store.view();
    // At the door, in the lobby and after the end there is a clock already.
    if (view?.phase !== 'running' || view.calls.showMe) return false;
    return view.question?.phase !== 'open' || this.store.safety() !== 'none';
  });

  /** What is taught just now. While the teacher turns the hands it is the same: one may turn along on one's own. */
  private readonly taught = linkedSignal<DeskView['stage'], string>({
    source: () => this.store.view()?.stage ?? null,
    computation: (stage, before) => (stage?.glides ? (before?.value ?? '') : JSON.stringify([stage?.beat, stage?.before])),
  });

  /** A new question and a reveal put it away, and so does the teacher who goes on: what is shown then is not to be missed. */
  readonly isOn = linkedSignal<string, boolean>({
    source: () => {
      const view = this.store.view();
      const question = view?.question;
      return [view?.participantId, question?.askingId, question?.phase === 'revealed', this.mayBe(), this.taught()].join(' ');
    },
    computation: (now, before) => before?.value === true && before.source === now,
  });
}
