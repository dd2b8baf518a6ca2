import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import type { QuestionsFound } from '@zeitpunkt/contract';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import { qtiPackage } from '@zeitpunkt/core/qti/out/package-out';
import { strToU8, zipSync } from 'fflate';
import { FileLook } from '../../../shared/file-look';
import { FileChoice } from '../../../ui/file-choice';
import { download, fileName } from '../../../shared/download';
import { LessonStore } from '../lesson-store';
import { PACKAGE_WORDS } from './words';

/** As large as the server reads. */
const MOST_BYTES = 20 * 2 ** 20;

/** What it is opened with: whose questions they are, and where those that come are put. */
export interface PackageWanted {
  readonly lessonId: string;
  readonly add: (items: readonly Item[]) => void;
}

/** Questions as a package of the standard, for other programs and from them. */
@Component({
  selector: 'zp-question-package',
  imports: [FileChoice, MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './question-package.html',
  styles: `
    section {
      display: grid;
      gap: 8px;
      justify-items: start;
      padding: 8px 0 16px;
      border-top: 2px solid var(--ink);
    }
    h3,
    h4,
    p,
    ul {
      margin: 0;
    }
  `,
})
export class QuestionPackage {
  private readonly opened = inject<PackageWanted>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<QuestionPackage>>(MatDialogRef);
  private readonly store = inject(LessonStore);
  protected readonly words = PACKAGE_WORDS;
  protected readonly lesson = computed(() => this.store.lesson()!);
  protected readonly made = computed(() => qtiPackage(this.lesson().items, this.lesson().settings));
  protected readonly came = new FileLook<QuestionsFound>(MOST_BYTES);

  protected save(): void {
    const files = Object.fromEntries([...this.made().files].map(([path, text]) => [path, strToU8(text)]));
    download(
      new Blob([zipSync(files) as BlobPart], { type: 'application/zip' }),
      fileName(`${this.lesson().title} questions`, 'questions', 'zip'),
    );
  }

  protected look(file: File): void {
    void this.came.look(file, `/api/lessons/${this.opened.lessonId}/questions/look`);
  }

  protected take(): void {
    const found = this.came.found();
    if (!found) return;
    this.opened.add(found.items as readonly Item[]);
    this.dialog.close();
  }
}
