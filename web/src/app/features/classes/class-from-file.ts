import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import type { ArchiveFound } from '@zeitpunkt/contract';
import { FileLook } from '../../shared/file-look';
import { FileChoice } from '../../ui/file-choice';
import { CurrentClass } from '../../shared/current-class';
import { Place } from '../../ui/parts/place';
import { CLASS_WORDS } from './words';

/** As large as the server reads. */
const MOST_BYTES = 48 * 2 ** 20;

/** A class with everything that belongs to it, from the file that another server gave out. */
@Component({
  selector: 'zp-class-from-file',
  imports: [FileChoice, MatButton, Place, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-place [heading]="words().title">
      <p>{{ words().text }}</p>
      <zp-file-choice [label]="words().choose" accept=".zip,application/zip" [look]="came" (chosen)="look($event)" />
      @if (came.found(); as found) {
        <div role="status">
          <p>
            <strong>{{ found.name }}</strong>: {{ words().found(found.pupils, found.sessions, found.answers) }}
          </p>
          @if (found.lessons.length) {
            <p>{{ words().lessons(found.lessons) }}</p>
          }
        </div>
        <button mat-flat-button class="next" type="button" [disabled]="came.busy() !== null" (click)="take()">{{ words().take }}</button>
      }
      <p>
        <a mat-button routerLink="/school">{{ words().back }}</a>
      </p>
    </zp-place>
  `,
  styles: `
    p {
      max-width: 46rem;
      margin: 8px 0;
    }
  `,
})
export class ClassFromFile {
  private readonly router = inject(Router);
  private readonly current = inject(CurrentClass);
  private readonly all = CLASS_WORDS;
  protected readonly words = computed(() => this.all().fromFile);
  protected readonly came = new FileLook<ArchiveFound>(MOST_BYTES);

  protected look(file: File): void {
    void this.came.look(file, '/api/archives/look');
  }

  protected async take(): Promise<void> {
    const taken = await this.came.take('/api/archives/take', this.words().taking);
    if (!taken?.classId) return;
    await this.current.load();
    await this.router.navigate(['/classes', taken.classId, 'pupils']);
  }
}
