import { inject, Injectable, Injector, type Type } from '@angular/core';
import { MatDialog, type MatDialogConfig, type MatDialogRef } from '@angular/material/dialog';
import type { Composed } from './composer/question-composer';
import type { PackageWanted } from './package/question-package';
import type { SetWanted } from './set/set-designer';

/** What is worked on over the script that it changes; each comes when it is first opened. */
@Injectable()
export class OverScript {
  private readonly dialog = inject(MatDialog);
  private readonly injector = inject(Injector);

  /** What the lesson says of itself. */
  async about(): Promise<void> {
    this.open((await import('./about/about-lesson')).AboutLesson, { width: '720px' });
  }

  /** One question, over the whole window. */
  async composer(data: Composed): Promise<MatDialogRef<unknown>> {
    const { QuestionComposer } = await import('./composer/question-composer');
    return this.open(QuestionComposer, { data, width: '100vw', height: '100dvh', maxWidth: '100vw', panelClass: 'whole-window' });
  }

  async set(data: SetWanted): Promise<void> {
    this.open((await import('./set/set-designer')).SetDesigner, { data, width: '1060px' });
  }

  async package(data: PackageWanted): Promise<void> {
    this.open((await import('./package/question-package')).QuestionPackage, { data, width: '736px' });
  }

  private open<Part>(part: Type<Part>, config: MatDialogConfig): MatDialogRef<Part> {
    return this.dialog.open(part, { maxWidth: '96vw', autoFocus: 'dialog', ...config, injector: this.injector });
  }
}
