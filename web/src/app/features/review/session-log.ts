import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { MatExpansionPanel, MatExpansionPanelHeader } from '@angular/material/expansion';
import { MatTableModule } from '@angular/material/table';
import type { SessionDetail } from '@zeitpunkt/contract';
import type { ItemFacts } from '@zeitpunkt/core/insight/item-facts';
import { nameInLesson } from '@zeitpunkt/core/lesson/beat-words';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { beatTimes } from '@zeitpunkt/core/run/beat-times';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import { wasTaught } from '@zeitpunkt/core/rehearsal/what-it-took';
import { Chart, type ChartOf } from '../../ui/chart';
import type { ReviewQuestion } from './review-table';
import { plannedAndTaken } from './time-charts';
import { REVIEW_WORDS } from './words';

/** What was shown when, what each beat took against what was planned, and how long pupils took to answer. */
@Component({
  selector: 'zp-session-log',
  imports: [Chart, MatExpansionPanel, MatExpansionPanelHeader, MatTableModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './session-log.html',
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;

      margin-top: 2rem;
    }
    .sides {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(100%, 24rem), 1fr));
      gap: 1rem 2rem;
      align-items: start;
      max-width: 76rem;
    }
    .table {
      overflow-x: auto;
    }
    table {
      width: 100%;
    }
    .off .mat-column-took {
      font-weight: 700;
    }
  `,
})
export class SessionLog {
  private readonly catalogue = REVIEW_WORDS;
  protected readonly words = computed(() => this.catalogue().time);
  protected readonly beatColumns = ['beat', 'shown', 'planned', 'took'];
  protected readonly answerColumns = ['question', 'half', 'most', 'planned'];
  readonly detail = input.required<SessionDetail>();
  readonly asked = input.required<readonly ReviewQuestion[]>();
  readonly facts = input.required<ReadonlyMap<string, ItemFacts>>();
  protected readonly clock = lengthText;
  /** The chart is drawn when it is looked at. */
  protected readonly beatsOpen = signal(false);

  private readonly times = computed(() => {
    const { lesson, live, endedAtMs, pace } = this.detail();
    if (pace === 'own' || live.room.begunAtMs === null) return [];
    return beatTimes(prepareLesson(lesson), live.room.run, endedAtMs ?? live.nowMs);
  });
  protected readonly rows = computed(() => {
    const { lesson, live } = this.detail();
    const begunAtMs = live.room.begunAtMs ?? 0;
    return this.times().map((time, index) => {
      const beat = lesson.beats[index]!;
      const shown = live.room.run.trail.find(({ beatId }) => beatId === beat.id);
      const took = time.actualMs === null ? 'not reached' : wasTaught(time) ? lengthText(time.actualMs) : 'passed over';
      return {
        id: beat.id,
        number: index + 1,
        name: nameInLesson(beat, lesson),
        shown: shown ? lengthText(shown.atMs - begunAtMs) : '–',
        planned: lengthText(time.plannedMs),
        took,
        // Half as long again, or half of it: worth a look.
        isOff: wasTaught(time) && (time.actualMs! > 1.5 * time.plannedMs || time.actualMs! < 0.5 * time.plannedMs),
      };
    });
  });
  protected readonly sum = computed(() => {
    const taught = this.times().filter(wasTaught);
    return {
      actual: taught.reduce((sum, { actualMs }) => sum + actualMs!, 0),
      planned: taught.reduce((sum, { plannedMs }) => sum + plannedMs, 0),
      passed: this.times().length - taught.length,
    };
  });
  protected readonly beatChart = computed((): ChartOf => {
    const times = new Map(this.times().map((time) => [time.beatId, time]));
    const bars = this.rows().map(({ id, number, name }) => {
      const { plannedMs, actualMs } = times.get(id)!;
      return { name: `${number} ${name}`, planned: plannedMs / 1000, took: actualMs === null ? null : actualMs / 1000 };
    });
    return plannedAndTaken(bars, 'took');
  });
  /** Questions that enough pupils answered on a device, with the think time that was planned for each. */
  protected readonly questions = computed(() => {
    const planned = new Map<string, number>();
    for (const beat of this.detail().lesson.beats) if (beat.kind === 'think') planned.set(beat.itemId, beat.seconds);
    return this.asked().flatMap(({ askingId, name: of, title, item }) => {
      const { halfSec, mostSec } = this.facts().get(askingId)!;
      const plannedSec = planned.get(item.id) ?? null;
      return halfSec === null ? [] : [{ askingId, name: `${of}. ${title}`, halfSec, mostSec, plannedSec }];
    });
  });
  protected readonly answerChart = computed((): ChartOf =>
    plannedAndTaken(
      this.questions().map(({ name, mostSec, plannedSec }) => ({ name, planned: plannedSec, took: mostSec })),
      'four in five had answered by',
    ),
  );
}
