import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatExpansionPanel, MatExpansionPanelHeader } from '@angular/material/expansion';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import type { ResultsTaken } from '@zeitpunkt/contract';
import { FileLook } from '../../shared/file-look';
import { FileChoice } from '../../ui/file-choice';
import { dayAndMonth } from '../../shared/words/days';
import { ClassReviewStore } from './class-review-store';
import { INSIGHT_WORDS } from './words';

/** As large as the server reads. */
const MOST_BYTES = 48 * 2 ** 20;

/** Results out and in: CSV for spreadsheets, xAPI statements for record stores, and either of them read back. */
@Component({
  selector: 'zp-look-files',
  imports: [FileChoice, MatButton, MatExpansionPanel, MatExpansionPanelHeader],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './look-files.html',
  styles: `
    section {
      max-width: 46rem;
      margin-bottom: 32px;
    }
    .ways {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 16px;
      margin: 12px 0;
    }
  `,
})
export class LookFiles {
  private readonly store = inject(ClassReviewStore);
  private readonly catalogue = INSIGHT_WORDS;
  protected readonly words = computed(() => this.catalogue().files);
  protected readonly day = (ms: number) => dayAndMonth(dayOf(ms));
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
    const taken = await this.came.take(this.path('/take'), this.words().taking);
    if (!taken) return;
    this.came.found.set(null);
    this.word.set(this.words().taken(taken.added));
    await this.store.open(this.store.insight()!.classId);
  }
}
