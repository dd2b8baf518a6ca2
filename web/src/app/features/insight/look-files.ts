import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { ResultsTaken } from '@zeitpunkt/contract';
import { FileLook } from '../../shared/file-look';
import { FileChoice } from '../../ui/file-choice';
import { ClassReviewStore } from './class-review-store';

/** As large as the server reads. */
const MOST_BYTES = 48 * 2 ** 20;

/** Results out and in: CSV for spreadsheets, xAPI statements for record stores, and either of them read back. */
@Component({
  selector: 'zp-look-files',
  imports: [DatePipe, FileChoice, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="out">
      <h2 id="out">Out</h2>
      <p>Every answer with its question, its mark and any correction: names and references of pupils are in it, so mind who gets it.</p>
      <p class="ways">
        <a mat-stroked-button [href]="path('.csv')" download>All results (CSV)</a>
        <a mat-stroked-button [href]="path('.xapi.json')" download>All results (xAPI statements)</a>
      </p>
      <details>
        <summary>One lesson alone</summary>
        <ul>
          @for (lesson of lessons(); track lesson.id) {
            <li>
              {{ lesson.createdAtMs | date: 'd MMM' }}, {{ lesson.title }}:
              <a [href]="path('.csv', lesson.id)" download
                >CSV<span class="heard-only"> of {{ lesson.title }}</span></a
              >,
              <a [href]="path('.xapi.json', lesson.id)" download
                >xAPI<span class="heard-only"> of {{ lesson.title }}</span></a
              >
            </li>
          }
        </ul>
      </details>
    </section>
    <section aria-labelledby="in">
      <h2 id="in">In</h2>
      <p>
        A file of results that went out of here, from another server or an earlier year. It is looked at first; what is there already is not
        taken twice.
      </p>
      <zp-file-choice label="Choose a file" accept=".csv,.json,text/csv,application/json" [look]="came" (chosen)="look($event)" />
      @if (came.found(); as found) {
        <div role="status">
          <p>
            <strong>{{ came.file()!.name }}</strong>: {{ found.rows }} {{ found.rows === 1 ? 'answer' : 'answers' }}, {{ found.known }} of
            them there already.
          </p>
          @if (found.lessons.length) {
            <p>New lessons: {{ found.lessons.join(', ') }}.</p>
          }
          @if (found.newPupils.length) {
            <p>Pupils who are not in the class yet: {{ found.newPupils.join(', ') }}.</p>
          }
        </div>
        @if (found.added) {
          <button mat-flat-button type="button" [disabled]="came.busy() !== null" (click)="take()">
            Take {{ found.added }} {{ found.added === 1 ? 'answer' : 'answers' }} in
          </button>
        } @else {
          <p>There is nothing new in it.</p>
        }
      }
      @if (word(); as word) {
        <p class="word" role="status">{{ word }}</p>
      }
    </section>
  `,
  styles: `
    section {
      max-width: 46rem;
      margin-bottom: 2rem;
    }
    .ways {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 1rem;
      margin: 0.6rem 0;
    }
    summary {
      cursor: pointer;
    }
  `,
})
export class LookFiles {
  private readonly store = inject(ClassReviewStore);
  protected readonly lessons = computed(() => [...this.store.insight()!.lessons].filter(({ answers }) => answers > 0).reverse());
  protected readonly came = new FileLook<ResultsTaken>(MOST_BYTES);
  protected readonly word = signal<string | null>(null);

  /** Where the results go out, or come in. */
  protected path(act: string, session?: string): string {
    return `/api/classes/${this.store.insight()!.classId}/results${act}${session ? `?session=${session}` : ''}`;
  }

  protected look(file: File): void {
    this.word.set(null);
    void this.came.look(file, this.path('/look'));
  }

  protected async take(): Promise<void> {
    const taken = await this.came.take(this.path('/take'), 'Taking the answers in …');
    if (!taken) return;
    this.came.found.set(null);
    this.word.set(`${taken.added} ${taken.added === 1 ? 'answer was' : 'answers were'} taken in.`);
    await this.store.open(this.store.insight()!.classId);
  }
}
