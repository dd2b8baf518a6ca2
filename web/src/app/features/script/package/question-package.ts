import { ChangeDetectionStrategy, Component, computed, type ElementRef, input, output, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { QuestionsFound } from '@zeitpunkt/contract';
import type { Item, Lesson } from '@zeitpunkt/core';
import { qtiPackage } from '@zeitpunkt/core/qti/out/package-out';
import { strToU8, zipSync } from 'fflate';
import { FileLook } from '../../../shared/file-look';
import { FileChoice } from '../../../ui/file-choice';
import { download, fileName } from '../../../shared/download';

/** As large as the server reads. */
const MOST_BYTES = 20 * 2 ** 20;

/** Questions as a package of the standard, for other programs and from them. */
@Component({
  selector: 'zp-question-package',
  imports: [FileChoice, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dialog #dialog aria-labelledby="package-name" (close)="closed.emit()">
      <header>
        <h2 id="package-name">Questions as a package (QTI 3)</h2>
        <span class="spacer"></span>
        <button mat-button type="button" (click)="dialog.close()">Close</button>
      </header>
      <section aria-labelledby="package-out">
        <h3 id="package-out">Out</h3>
        @if (lesson().items.length) {
          <p>
            All {{ lesson().items.length }} questions of this lesson, for programs that read the standard. Read back here they are as they
            were.
          </p>
          @if (made().lost.length) {
            <p>Elsewhere some of it is lost:</p>
            <ul>
              @for (one of made().lost; track one.what) {
                <li>Question {{ one.questions.join(', ') }}: {{ one.what }}</li>
              }
            </ul>
          }
          <button mat-stroked-button type="button" (click)="save()">Save the package</button>
        } @else {
          <p>This lesson asks nothing yet.</p>
        }
      </section>
      <section aria-labelledby="package-in">
        <h3 id="package-in">In</h3>
        <p>
          Questions about times in words and digits, from whichever program. They are looked at first, and come after the beat that is
          chosen.
        </p>
        <zp-file-choice label="Choose a package" accept=".zip,application/zip" [look]="came" (chosen)="look($event)" />
        @if (came.found(); as found) {
          <div role="status">
            <p>
              <strong>{{ found.taken.length }}</strong> {{ found.taken.length === 1 ? 'question' : 'questions' }} can be taken,
              {{ found.left.length }} cannot.
            </p>
          </div>
          @if (found.taken.length) {
            <ul>
              @for (one of found.taken; track $index) {
                <li>
                  {{ one.kind }}: {{ one.stem }} <span class="facts">{{ one.whole ? 'as it went out' : one.file }}</span>
                </li>
              }
            </ul>
          }
          @if (found.left.length) {
            <h4>Left out</h4>
            <ul>
              @for (one of found.left; track $index) {
                <li>
                  <span class="facts">{{ one.file }}</span> {{ one.why }}
                </li>
              }
            </ul>
          }
          @if (found.taken.length) {
            <button mat-flat-button class="next" type="button" (click)="take()">Add {{ found.taken.length }} to the lesson</button>
          }
        }
      </section>
    </dialog>
  `,
  styles: `
    @use '../large-dialog' as *;
    @include large-dialog(46rem);

    dialog {
      overflow: auto;
    }
  `,
})
export class QuestionPackage {
  readonly lessonId = input.required<string>();
  readonly lesson = input.required<Lesson>();
  /** Questions to be put into the script. */
  readonly add = output<readonly Item[]>();
  readonly closed = output();
  protected readonly made = computed(() => qtiPackage(this.lesson().items, this.lesson().settings));
  protected readonly came = new FileLook<QuestionsFound>(MOST_BYTES);
  private readonly dialog = viewChild.required<ElementRef<HTMLDialogElement>>('dialog');

  open(): void {
    this.dialog().nativeElement.showModal();
  }

  protected save(): void {
    const files = Object.fromEntries([...this.made().files].map(([path, text]) => [path, strToU8(text)]));
    download(
      new Blob([zipSync(files) as BlobPart], { type: 'application/zip' }),
      fileName(`${this.lesson().title} questions`, 'questions', 'zip'),
    );
  }

  protected look(file: File): void {
    void this.came.look(file, `/api/lessons/${this.lessonId()}/questions/look`);
  }

  protected take(): void {
    const found = this.came.found();
    if (!found) return;
    this.add.emit(found.items as readonly Item[]);
    this.dialog().nativeElement.close();
  }
}
