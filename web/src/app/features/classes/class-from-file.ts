import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import type { ArchiveFound } from '@zeitpunkt/contract';
import { FileLook } from '../../shared/file-look';
import { FileChoice } from '../../ui/file-choice';
import { TeacherFrame } from '../frame/teacher-frame';

/** As large as the server reads. */
const MOST_BYTES = 48 * 2 ** 20;

/** A class with everything that belongs to it, from the file that another server gave out. */
@Component({
  selector: 'zp-class-from-file',
  imports: [FileChoice, MatButton, RouterLink, TeacherFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-teacher-frame>
      <h1>A class from a file</h1>
      <p>
        “Everything of this class as one file”, in the class list, gives out a class with its pupils, answers, remarks, plan and planned
        lessons. Here it comes in again, on this server or another. It is looked at first.
      </p>
      <zp-file-choice label="Choose the file" accept=".zip,application/zip" [look]="came" (chosen)="look($event)" />
      @if (came.found(); as found) {
        <div role="status">
          <p>
            <strong>{{ found.name }}</strong>: {{ found.pupils }} {{ found.pupils === 1 ? 'pupil' : 'pupils' }}, {{ found.sessions }}
            {{ found.sessions === 1 ? 'lesson' : 'lessons' }} taught with {{ found.answers }} answers.
          </p>
          @if (found.lessons.length) {
            <p>Planned lessons: {{ found.lessons.join(', ') }}.</p>
          }
        </div>
        <button mat-flat-button class="next" type="button" [disabled]="came.busy() !== null" (click)="take()">Take the class in</button>
      }
      <p><a routerLink="/ladder">Back to the ladder</a></p>
    </zp-teacher-frame>
  `,
  styles: `
    p {
      max-width: 46rem;
    }
  `,
})
export class ClassFromFile {
  private readonly router = inject(Router);
  protected readonly came = new FileLook<ArchiveFound>(MOST_BYTES);

  protected look(file: File): void {
    void this.came.look(file, '/api/archives/look');
  }

  protected async take(): Promise<void> {
    const taken = await this.came.take('/api/archives/take', 'Taking the class in …');
    if (taken?.classId) await this.router.navigate(['/classes', taken.classId]);
  }
}
