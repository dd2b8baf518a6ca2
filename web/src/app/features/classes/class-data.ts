import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, inject, signal, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { DataAct, RetentionCheck } from '@zeitpunkt/contract';
import { Confirm } from '../../ui/confirm';
import { ClassStore } from './class-store';

/** How long answers may be kept, in days. */
const CHOICES: readonly { readonly days: number | null; readonly text: string }[] = [
  { days: 30, text: '30 days' },
  { days: 90, text: '90 days' },
  { days: 200, text: '200 days' },
  { days: 400, text: '400 days, a school year and more' },
  { days: null, text: 'until I delete them' },
];

const ACTS: Readonly<Record<DataAct, (count: number) => string>> = {
  'pupil-deleted': () => 'A pupil was deleted, with all answers',
  'pupil-exported': () => 'The data of a pupil went out as a file',
  'list-exported': (count) => `The list of ${count} pupils went out as a file`,
  'pupils-merged': () => 'Two entries of one pupil were made one',
  'cards-made': (count) => `${count} join ${count === 1 ? 'card was' : 'cards were'} made`,
  'cards-revoked': (count) => `${count} join ${count === 1 ? 'card was' : 'cards were'} taken back`,
  'results-exported': (count) => `The results of ${count} ${count === 1 ? 'lesson' : 'lessons'} went out as a file`,
  'results-taken': (count) => `${count} ${count === 1 ? 'answer was' : 'answers were'} taken in from a file`,
  'class-exported': () => 'Everything of the class went out as one file',
  'class-taken': (count) => `The class came in from a file, with ${count} pupils`,
  retention: (count) => `${count} ${count === 1 ? 'lesson was' : 'lessons were'} deleted with their answers, as they were old enough`,
};

/** What is kept of a class, for how long, who can see it, and what was done with it. */
@Component({
  selector: 'zp-class-data',
  imports: [Confirm, DatePipe, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>What is kept, and for how long</h2>
    <p>
      Kept are display names, references, and every answer with the question it was given to, its mark and its time; no pictures, no sound,
      no addresses. You alone see them, and whoever runs this server can read its files. The rules of your school and the law where you
      teach decide what may be kept about children and how long.
    </p>
    <label>
      Answers are deleted
      <select #days class="field" (change)="choose(days)">
        @for (choice of choices; track choice.days) {
          <option [value]="choice.days ?? ''" [selected]="choice.days === store.detail()!.keepDays">
            {{ choice.days === null ? choice.text : 'after ' + choice.text }}
          </option>
        }
        @if (isOther()) {
          <option [value]="store.detail()!.keepDays" selected>after {{ store.detail()!.keepDays }} days</option>
        }
      </select>
    </label>
    @if (store.record().length) {
      <details>
        <summary>What was done with the data of this class</summary>
        <ul>
          @for (one of store.record(); track $index) {
            <li>
              <span class="facts">{{ one.atMs | date: 'd MMM y, HH:mm' }}</span> {{ words(one.act, one.count) }}
            </li>
          }
        </ul>
      </details>
    }
    <p>
      <a mat-stroked-button [href]="'/api/classes/' + store.detail()!.id + '/everything.zip'" download
        >Everything of this class as one file</a
      >
    </p>
    <p class="facts">
      Pupils, lessons as they were taught with all answers, remarks, the plan and its lessons, to be kept or taken in on another server.
      Names are in it: mind who gets it.
    </p>
    <button mat-stroked-button type="button" (click)="confirmClass.open()">Delete this class</button>
    <zp-confirm #confirmClass heading="Delete the whole class?" yes="Delete the class" no="Keep it" (confirmed)="store.removeClass()">
      <p>All its pupils, lessons taught and answers are gone then. Your lessons and dials stay. This cannot be undone.</p>
    </zp-confirm>
    <zp-confirm
      #confirmDays
      heading="Delete old answers now?"
      yes="Delete them"
      no="Keep them"
      (confirmed)="store.change({ keepDays: wanted() })"
    >
      <p>
        {{ due()?.sessions }} {{ due()?.sessions === 1 ? 'lesson is' : 'lessons are' }} older than {{ wanted() }} days: with
        {{ due()?.responses }} answers they are gone then, at once and for good.
      </p>
    </zp-confirm>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 0.75rem;
      justify-items: start;
      max-width: 46rem;
      margin-top: 2.5rem;
    }
    label {
      display: grid;
      width: 100%;
      max-width: 22rem;
    }
    select {
      width: 100%;
    }
    summary {
      cursor: pointer;
    }
    ul {
      margin: 0.5rem 0 0;
      padding: 0;
      list-style: none;
    }
  `,
})
export class ClassData {
  protected readonly store = inject(ClassStore);
  protected readonly choices = CHOICES;
  protected readonly wanted = signal<number | null>(null);
  protected readonly due = signal<RetentionCheck | null>(null);
  private readonly confirmDays = viewChild.required<Confirm>('confirmDays');

  protected isOther(): boolean {
    return !CHOICES.some(({ days }) => days === this.store.detail()!.keepDays);
  }

  protected words(act: DataAct, count: number): string {
    return ACTS[act](count);
  }

  /** A shorter time may delete something at once: that is said first. */
  protected async choose(field: HTMLSelectElement): Promise<void> {
    const days = field.value === '' ? null : Number(field.value);
    this.wanted.set(days);
    const due = days === null ? null : await this.store.checkRetention(days);
    this.due.set(due);
    if (due && due.sessions > 0) {
      field.value = String(this.store.detail()!.keepDays ?? '');
      this.confirmDays().open();
    } else void this.store.change({ keepDays: days });
  }
}
