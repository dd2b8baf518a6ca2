import { ChangeDetectionStrategy, Component, computed, type ElementRef, input, output, signal, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { beatTimes, lengthText, nameInLesson, wordsOf, type PreparedLesson, type Run } from '@zeitpunkt/core';

/** All beats of the lesson with what each was to take and what it took, to jump to one of them. */
@Component({
  selector: 'zp-beat-list',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dialog #dialog aria-labelledby="beat-list-title" (close)="isOpen.set(false)">
      <div class="head">
        <h2 id="beat-list-title">Beats of this lesson</h2>
        <label>
          <span class="heard-only">Find a beat</span>
          <input #word type="search" class="field" placeholder="Find" [value]="sought()" (input)="sought.set(word.value)" />
        </label>
        <button mat-stroked-button type="button" (click)="dialog.close()">Close</button>
      </div>
      @if (isOpen()) {
        <table>
          <thead>
            <tr>
              <th scope="col">Beat</th>
              <th scope="col">Planned</th>
              <th scope="col">Took</th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.id) {
              <tr [class.here]="row.isHere">
                <th scope="row">
                  <button type="button" class="go" [attr.aria-current]="row.isHere ? 'step' : null" (click)="go(row.id)">
                    {{ row.number }} <strong>{{ row.name }}</strong> {{ row.words }}
                  </button>
                </th>
                <td>{{ row.planned }}</td>
                <td [class.longer]="row.isLonger">
                  {{ row.actual }}
                  @if (row.isLonger) {
                    <span class="heard-only">, longer than planned</span>
                  }
                </td>
              </tr>
            } @empty {
              <tr>
                <td colspan="3">No beat has “{{ sought() }}” in it.</td>
              </tr>
            }
          </tbody>
        </table>
      }
    </dialog>
  `,
  styles: `
    dialog {
      width: min(46rem, 94vw);
    }
    .head {
      display: flex;
      gap: 1rem;
      align-items: center;
      justify-content: space-between;
    }
    table {
      width: 100%;
      margin-top: 0.5rem;
      border-collapse: collapse;
      font-variant-numeric: tabular-nums;
    }
    th,
    td {
      padding: 0.1rem 0.5rem;
      text-align: right;
      font-weight: 400;
    }
    th {
      text-align: left;
    }
    thead th + th {
      text-align: right;
    }
    tbody tr {
      border-top: 1px solid var(--faint);
    }
    .go {
      display: -webkit-box;
      overflow: hidden;
      width: 100%;
      min-height: 32px;
      padding: 0.2rem 0;
      border: 0;
      background: none;
      color: inherit;
      font: inherit;
      text-align: left;
      cursor: pointer;
      -webkit-box-orient: vertical;
      -webkit-line-clamp: 2;
    }
    .here {
      box-shadow: inset 5px 0 var(--accent);
    }
    .longer {
      color: var(--wrong);
      font-weight: 700;
    }
  `,
})
export class BeatList {
  readonly prepared = input.required<PreparedLesson>();
  readonly run = input.required<Run>();
  /** The server's clock, in milliseconds since 1970. */
  readonly nowMs = input.required<number>();
  /** The beat to go to. */
  readonly leap = output<string>();
  protected readonly sought = signal('');
  protected readonly isOpen = signal(false);
  private readonly dialog = viewChild.required<ElementRef<HTMLDialogElement>>('dialog');

  protected readonly rows = computed(() => {
    const [prepared, run, sought] = [this.prepared(), this.run(), this.sought().trim().toLowerCase()];
    const { lesson } = prepared;
    const times = beatTimes(prepared, run, this.nowMs());
    return lesson.beats
      .map((beat, index) => {
        const { plannedMs, actualMs } = times[index]!;
        return {
          id: beat.id,
          number: index + 1,
          name: nameInLesson(beat, lesson),
          words: wordsOf(beat),
          planned: lengthText(plannedMs),
          actual: actualMs === null ? '' : lengthText(actualMs),
          // A second or two is nobody's business.
          isLonger: actualMs !== null && actualMs > plannedMs * 1.25 + 5000,
          isHere: beat.id === run.at.beatId,
        };
      })
      .filter(({ name, words }) => sought === '' || `${name} ${words}`.toLowerCase().includes(sought));
  });

  open(): void {
    this.sought.set('');
    this.isOpen.set(true);
    this.dialog().nativeElement.showModal();
  }

  protected go(beatId: string): void {
    this.dialog().nativeElement.close();
    this.leap.emit(beatId);
  }
}
