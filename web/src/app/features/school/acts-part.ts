import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import { MatTableModule } from '@angular/material/table';
import type { ActList, ActName } from '@zeitpunkt/contract';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { ask } from '../../shared/api';
import { attempting } from '../../shared/attempting';
import { clockOf, shortDay } from '../../shared/words/days';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { SCHOOL_WORDS } from './words';

/** So many stand there at first. */
const FIRST = 8;
/** For how long what was done can be kept, in days. */
const KEEPING = [30, 90, 180, 365, 730, 3650];

/** What was done at the school, for its first teacher: who signed in, deleted, took out, corrected, handed over. */
@Component({
  selector: 'zp-acts-part',
  imports: [MatButton, MatFormField, MatLabel, MatOption, MatSelect, MatTableModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="acts">
      <h2 id="acts">{{ words().heading }}</h2>
      @if (list(); as list) {
        <table mat-table [dataSource]="rows()">
          <ng-container matColumnDef="when">
            <th mat-header-cell *matHeaderCellDef scope="col">{{ words().columns.when }}</th>
            <td mat-cell *matCellDef="let one" class="soft">{{ one.when }}</td>
          </ng-container>
          <ng-container matColumnDef="what">
            <th mat-header-cell *matHeaderCellDef scope="col">{{ words().columns.what }}</th>
            <td mat-cell *matCellDef="let one">{{ one.what }}</td>
          </ng-container>
          <ng-container matColumnDef="who">
            <th mat-header-cell *matHeaderCellDef scope="col">{{ words().columns.who }}</th>
            <td mat-cell *matCellDef="let one">{{ one.who }}</td>
          </ng-container>
          <tr mat-header-row *matHeaderRowDef="columns"></tr>
          <tr mat-row *matRowDef="let one; columns: columns"></tr>
        </table>
        @if (list.acts.length > rows().length) {
          <button mat-button type="button" (click)="isWhole.set(true)">{{ words().all(list.acts.length) }}</button>
        }
        <div class="keep">
          <mat-form-field appearance="outline" subscriptSizing="dynamic">
            <mat-label>{{ words().keep }}</mat-label>
            <mat-select [value]="list.keepDays" (selectionChange)="keepFor($event.value)">
              @for (days of keeping(); track days) {
                <mat-option [value]="days">{{ words().days(days) }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <p class="soft">{{ words().about }}</p>
        </div>
      }
      @if (problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
      }
    </section>
  `,
  styles: `
    section {
      margin-bottom: 32px;
      padding-top: 12px;
      border-top: 2px solid var(--ink);
    }
    h2 {
      margin-bottom: 8px;
      font-size: 18px;
      line-height: 28px;
    }
    table {
      width: 100%;
      margin-bottom: 8px;
    }
    td:first-child {
      width: 10.5rem;
      white-space: nowrap;
    }
    td:last-child {
      width: 10.5rem;
    }
    td,
    th {
      padding-right: 12px;
    }
    .keep {
      display: flex;
      flex-wrap: wrap;
      gap: 16px;
      align-items: center;
      margin-top: 8px;
    }
    p {
      flex: 1 1 16rem;
    }
    .soft {
      color: var(--soft);
      font-size: 14px;
      line-height: 20px;
    }
  `,
})
export class ActsPart {
  private readonly askFirst = inject(AskFirst);
  private readonly all = SCHOOL_WORDS;
  protected readonly words = computed(() => this.all().acts);
  protected readonly columns = ['when', 'what', 'who'];
  protected readonly list = signal<ActList | null>(null);
  private readonly attempting = attempting();
  protected readonly problem = this.attempting.problem;
  protected readonly isWhole = signal(false);
  /** What can be chosen, and what is so now. */
  protected readonly keeping = computed(() => [...new Set([...KEEPING, this.list()?.keepDays ?? 365])].sort((one, other) => one - other));
  protected readonly rows = computed(() => {
    const acts = this.list()?.acts ?? [];
    return (this.isWhole() ? acts : acts.slice(0, FIRST)).map(({ atMs, act, who, about, count }) => ({
      when: `${shortDay(dayOf(atMs))}, ${clockOf(atMs)}`,
      what: this.words().names[act satisfies ActName](about, count),
      who: who || this.words().byItself,
    }));
  });

  constructor() {
    void this.attempting.attempt(async () => this.list.set(await ask<ActList>('GET', '/api/acts')));
  }

  protected async keepFor(keepDays: number): Promise<void> {
    const now = this.list()!;
    const older = now.acts.filter(({ atMs }) => atMs < Date.now() - keepDays * 86_400_000).length;
    if (older > 0 && !(await this.askFirst.ask(this.words().shorter(older, keepDays)))) return this.list.set({ ...now });
    await this.attempting.attempt(async () => this.list.set(await ask<ActList>('POST', '/api/acts/keep', { keepDays })));
  }
}
