import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { SessionDetail } from '@zeitpunkt/contract';
import { answerTimes, beatTimes, kindOf, nameInLesson, prepareLesson, wasTaught } from '@zeitpunkt/core';
import { clock } from '../../shared/clock';
import { counts } from '../../shared/late';

/** What was shown when, what each beat took against what was planned, and how long pupils took to answer. */
@Component({
  selector: 'zp-session-log',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Time</h2>
    @if (rows().length) {
      <p>
        <strong>{{ clock(sum().actual) }}</strong> for what was planned as {{ clock(sum().planned) }}; {{ sum().passed }}
        {{ sum().passed === 1 ? 'beat was' : 'beats were' }} passed over.
      </p>
      <details>
        <summary>Beat by beat</summary>
        <table>
          <thead>
            <tr>
              <th scope="col">Beat</th>
              <th scope="col">Shown at</th>
              <th scope="col">Planned</th>
              <th scope="col">Took</th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.id) {
              <tr [class.off]="row.isOff">
                <th scope="row">{{ row.number }} {{ row.name }}</th>
                <td>{{ row.shown }}</td>
                <td>{{ row.planned }}</td>
                <td>{{ row.took }}</td>
              </tr>
            }
          </tbody>
        </table>
      </details>
    } @else {
      <p class="facts">Each pupil went at their own pace; nobody led through the beats.</p>
    }
    @if (kinds().length) {
      <h3>How long answers took</h3>
      <table>
        <thead>
          <tr>
            <th scope="col">Question</th>
            <th scope="col">Half had answered by</th>
            <th scope="col">Four in five by</th>
          </tr>
        </thead>
        <tbody>
          @for (one of kinds(); track one.name) {
            <tr>
              <th scope="row">{{ one.name }}</th>
              <td>{{ one.halfSec }} s</td>
              <td>{{ one.mostSec }} s</td>
            </tr>
          }
        </tbody>
      </table>
      <p class="facts">Lessons that are drafted for this class plan their think times by all that it answered lately.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
      max-width: 46rem;
      margin-top: 2rem;
    }
    summary {
      cursor: pointer;
    }
    table {
      border-collapse: collapse;
    }
    th,
    td {
      padding: 0.15rem 1.25rem 0.15rem 0;
      border-bottom: 1px solid var(--faint);
      font-weight: 400;
      text-align: left;
    }
    thead th {
      border-bottom: 2px solid var(--ink);
      font-weight: 700;
    }
    .off td:last-child {
      font-weight: 700;
    }
  `,
})
export class SessionLog {
  readonly detail = input.required<SessionDetail>();
  protected readonly clock = clock;

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
      const took = time.actualMs === null ? 'not reached' : wasTaught(time) ? clock(time.actualMs) : 'passed over';
      return {
        id: beat.id,
        number: index + 1,
        name: nameInLesson(beat, lesson),
        shown: shown ? clock(shown.atMs - begunAtMs) : '–',
        planned: clock(time.plannedMs),
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
  protected readonly kinds = computed(() => {
    const { askings } = this.detail().live.room.run;
    const kindAt = new Map(askings.map(({ id, item }) => [id, item]));
    const answers = this.detail().live.responses.flatMap((one) => {
      const item = kindAt.get(one.askingId);
      return item && one.source === 'device' && one.attempt === 1 && counts(one)
        ? [{ kind: item.kind, responseTimeMs: one.responseTimeMs }]
        : [];
    });
    return Object.entries(answerTimes(answers)).map(([kind, times]) => {
      const item = askings.find((asking) => asking.item.kind === kind)!.item;
      return { name: kindOf(item).name, ...times };
    });
  });
}
