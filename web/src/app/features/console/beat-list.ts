import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatTableModule } from '@angular/material/table';
import { nameInLesson, wordsOf } from '@zeitpunkt/core/lesson/beat-words';
import type { PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import { beatTimes } from '@zeitpunkt/core/run/beat-times';
import type { Run } from '@zeitpunkt/core/run/run';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import { CONSOLE_WORDS } from './words';

/** What the list is opened with. */
export interface BeatListShown {
  readonly prepared: PreparedLesson;
  readonly run: Run;
  /** The server's clock, in milliseconds since 1970. */
  readonly nowMs: number;
  /** Goes to a beat. */
  readonly leap: (beatId: string) => void;
}

/** All beats of the lesson with what each was to take and what it took, to jump to one of them. */
@Component({
  selector: 'zp-beat-list',
  imports: [
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatInput,
    MatLabel,
    MatTableModule,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ words().heading }}</h2>
    <mat-dialog-content>
      <mat-form-field appearance="outline" subscriptSizing="dynamic">
        <mat-label>{{ words().find }}</mat-label>
        <input #word matInput type="search" [value]="sought()" (input)="sought.set(word.value)" />
      </mat-form-field>
      <table mat-table [dataSource]="rows()" [trackBy]="byId">
        <ng-container matColumnDef="beat">
          <th mat-header-cell *matHeaderCellDef scope="col">{{ words().beat }}</th>
          <td mat-cell *matCellDef="let row">
            <button type="button" class="go" [attr.aria-current]="row.isHere ? 'step' : null" (click)="go(row.id)">
              {{ row.number }} <strong>{{ row.name }}</strong> {{ row.words }}
            </button>
          </td>
        </ng-container>
        <ng-container matColumnDef="planned">
          <th mat-header-cell *matHeaderCellDef scope="col">{{ words().planned }}</th>
          <td mat-cell *matCellDef="let row">{{ row.planned }}</td>
        </ng-container>
        <ng-container matColumnDef="took">
          <th mat-header-cell *matHeaderCellDef scope="col">{{ words().took }}</th>
          <td mat-cell *matCellDef="let row" [class.longer]="row.isLonger">
            {{ row.actual }}
            @if (row.isLonger) {
              <span class="heard-only">{{ words().longer }}</span>
            }
          </td>
        </ng-container>
        <tr mat-header-row *matHeaderRowDef="columns"></tr>
        <tr mat-row *matRowDef="let row; columns: columns" [class.here]="row.isHere"></tr>
      </table>
      @if (!rows().length) {
        <p role="status">{{ words().none(sought()) }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" mat-dialog-close>{{ words().close }}</button>
    </mat-dialog-actions>
  `,
  styles: `
    mat-form-field {
      margin: 8px 0 16px;
    }
    table {
      width: 100%;
    }
    .mat-column-planned,
    .mat-column-took {
      text-align: right;
      font-variant-numeric: tabular-nums;
    }
    .go {
      display: -webkit-box;
      overflow: hidden;
      width: 100%;
      min-height: 32px;
      padding: 4px 0;
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
  private readonly shown = inject<BeatListShown>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<BeatList>>(MatDialogRef);
  private readonly catalogue = CONSOLE_WORDS;
  protected readonly words = computed(() => this.catalogue().beats);
  protected readonly columns = ['beat', 'planned', 'took'];
  protected readonly sought = signal('');
  protected readonly byId = (_place: number, { id }: { readonly id: string }) => id;

  protected readonly rows = computed(() => {
    const sought = this.sought().trim().toLowerCase();
    const { prepared, run, nowMs } = this.shown;
    const { lesson } = prepared;
    const times = beatTimes(prepared, run, nowMs);
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

  protected go(beatId: string): void {
    this.dialog.close();
    this.shown.leap(beatId);
  }
}
