import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import type { ArchiveFound } from '@zeitpunkt/contract';
import { sendFile, sentenceOf } from '../../shared/api';
import { TeacherFrame } from '../frame/teacher-frame';

/** As large as the server reads. */
const MOST_BYTES = 48 * 2 ** 20;

/** A class with everything that belongs to it, from the file that another server gave out. */
@Component({
  selector: 'zp-class-from-file',
  imports: [MatButton, RouterLink, TeacherFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-teacher-frame>
      <h1>A class from a file</h1>
      <p>
        “Everything of this class as one file”, in the class list, gives out a class with its pupils, answers, remarks, plan and planned
        lessons. Here it comes in again, on this server or another. It is looked at first.
      </p>
      <label class="file">
        Choose the file
        <input #chosen type="file" accept=".zip,application/zip" [disabled]="busy() !== null" (change)="look(chosen)" />
      </label>
      @if (busy(); as words) {
        <p role="status">
          {{ words }}
          @if (!found()) {
            <button mat-button type="button" (click)="stop()">Stop</button>
          }
        </p>
      }
      @if (problem(); as problem) {
        <p class="problem" role="alert">{{ problem }} Nothing was taken in.</p>
      }
      @if (found(); as found) {
        <div role="status">
          <p>
            <strong>{{ found.name }}</strong>: {{ found.pupils }} {{ found.pupils === 1 ? 'pupil' : 'pupils' }}, {{ found.sessions }}
            {{ found.sessions === 1 ? 'lesson' : 'lessons' }} taught with {{ found.answers }} answers.
          </p>
          @if (found.lessons.length) {
            <p>Planned lessons: {{ found.lessons.join(', ') }}.</p>
          }
        </div>
        <button mat-flat-button class="next" type="button" [disabled]="busy() !== null" (click)="take()">Take the class in</button>
      }
      <p><a routerLink="/ladder">Back to the ladder</a></p>
    </zp-teacher-frame>
  `,
  styles: `
    p {
      max-width: 46rem;
    }
    .file {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 1rem;
      align-items: center;
      margin: 1rem 0;
    }
  `,
})
export class ClassFromFile {
  private readonly router = inject(Router);
  private file: File | null = null;
  private under: AbortController | null = null;
  protected readonly found = signal<ArchiveFound | null>(null);
  protected readonly busy = signal<string | null>(null);
  protected readonly problem = signal<string | null>(null);

  protected async look(field: HTMLInputElement): Promise<void> {
    this.file = field.files?.[0] ?? null;
    field.value = '';
    this.found.set(null);
    this.problem.set(null);
    if (!this.file) return;
    if (this.file.size > MOST_BYTES) {
      return this.problem.set(
        `“${this.file.name}” has ${Math.round(this.file.size / 2 ** 20)} MB; such a file may have ${MOST_BYTES / 2 ** 20} MB.`,
      );
    }
    this.found.set(await this.send('/api/archives/look', 'Looking through it …'));
  }

  protected async take(): Promise<void> {
    const taken = await this.send('/api/archives/take', 'Taking the class in …');
    if (taken?.classId) await this.router.navigate(['/classes', taken.classId]);
  }

  protected stop(): void {
    this.under?.abort();
  }

  private async send(url: string, words: string): Promise<ArchiveFound | null> {
    this.busy.set(words);
    this.under = new AbortController();
    try {
      return await sendFile<ArchiveFound>(url, this.file!, this.under.signal);
    } catch (error) {
      if (!this.under.signal.aborted) this.problem.set(sentenceOf(error));
      return null;
    } finally {
      this.busy.set(null);
    }
  }
}
