import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatExpansionPanel, MatExpansionPanelHeader, MatExpansionPanelTitle } from '@angular/material/expansion';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { ClassStore } from './class-store';
import type { FamilyFileOf } from './family-file';
import { CLASS_WORDS } from './words';

/** How long answers may be kept, in days; null for as long as nobody deletes them. */
const CHOICES: readonly (number | null)[] = [30, 90, 200, 400, null];

/** What is kept of a class, for how long, who can see it, and what was done with it. */
@Component({
  selector: 'zp-class-data',
  imports: [
    DatePipe,
    MatButton,
    MatExpansionPanel,
    MatExpansionPanelHeader,
    MatExpansionPanelTitle,
    MatFormField,
    MatLabel,
    MatOption,
    MatSelect,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ words().heading }}</h2>
    <p>{{ words().text }}</p>
    <mat-form-field appearance="outline" subscriptSizing="dynamic">
      <mat-label>{{ words().deleted }}</mat-label>
      <mat-select #days [value]="store.detail()!.keepDays" (selectionChange)="choose(days)">
        @for (choice of choices(); track choice) {
          <mat-option [value]="choice">{{ choice === null ? words().never : words().after(choice) }}</mat-option>
        }
      </mat-select>
    </mat-form-field>
    @if (store.record().length) {
      <mat-expansion-panel class="mat-elevation-z0">
        <mat-expansion-panel-header>
          <mat-panel-title>{{ words().acts }}</mat-panel-title>
        </mat-expansion-panel-header>
        <ul>
          @for (one of store.record(); track $index) {
            <li>
              <span class="facts">{{ one.atMs | date: 'd MMM y, HH:mm' }}</span> {{ words().act(one.act, one.count) }}
            </li>
          }
        </ul>
      </mat-expansion-panel>
    }
    <button mat-stroked-button type="button" (click)="forFamilies()">{{ words().forFamilies }}</button>
    <p class="facts">{{ words().everythingText }}</p>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 12px;
      justify-items: start;
      max-width: 46rem;
      margin-top: 32px;
      padding-top: 12px;
      border-top: 2px solid var(--ink);
    }
    h2 {
      font-size: 18px;
      line-height: 28px;
    }
    mat-form-field {
      width: 22rem;
      max-width: 100%;
    }
    mat-expansion-panel {
      width: 100%;
      border: 1px solid var(--line);
    }
    ul {
      margin: 0;
      padding: 0;
      list-style: none;
    }
  `,
})
export class ClassData {
  protected readonly store = inject(ClassStore);
  private readonly askFirst = inject(AskFirst);
  private readonly dialog = inject(MatDialog);
  private readonly all = CLASS_WORDS;
  protected readonly words = computed(() => this.all().data);
  /** Those that are offered, and whatever holds now. */
  protected readonly choices = computed(() => {
    const now = this.store.detail()!.keepDays;
    return CHOICES.includes(now) ? CHOICES : [now, ...CHOICES];
  });

  protected async forFamilies(): Promise<void> {
    const { FamilyFile } = await import('./family-file');
    this.dialog.open(FamilyFile, {
      data: { what: 'class', detail: this.store.detail()! } satisfies FamilyFileOf,
      width: '480px',
      maxWidth: '96vw',
    });
  }

  /** A shorter time may delete something at once: that is said first. */
  protected async choose(field: MatSelect): Promise<void> {
    const days = field.value as number | null;
    const due = days === null ? null : await this.store.checkRetention(days);
    if (days !== null && due && due.sessions > 0) {
      field.value = this.store.detail()!.keepDays;
      if (!(await this.askFirst.ask(this.all().ask.shorter(due.sessions, due.responses, days)))) return;
    }
    await this.store.change({ keepDays: days });
  }
}
