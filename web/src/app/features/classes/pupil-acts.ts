import { inject, Injectable } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import type { ClassPupil } from '@zeitpunkt/contract';
import { firstValueFrom } from 'rxjs';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { ClassStore } from './class-store';
import type { FamilyFileOf } from './family-file';
import { CLASS_WORDS } from './words';

/** What is done with all that is kept of one pupil, whether in the class or gone from it. Provided beside the class. */
@Injectable()
export class PupilActs {
  private readonly store = inject(ClassStore);
  private readonly askFirst = inject(AskFirst);
  private readonly dialog = inject(MatDialog);
  private readonly words = CLASS_WORDS;

  /** Everything that is kept about this pupil, as files. */
  async takeOut({ id: pupilId, name }: ClassPupil): Promise<void> {
    const { FamilyFile } = await import('./family-file');
    const data: FamilyFileOf = { what: 'pupil', classId: this.store.detail()!.id, pupilId, name };
    await firstValueFrom(this.dialog.open(FamilyFile, { data, width: '560px', maxWidth: '96vw' }).afterClosed());
    await this.store.loadRecord();
  }

  /** Deleted for good, after a question. */
  async remove(pupil: ClassPupil): Promise<void> {
    if (await this.askFirst.ask(this.words().ask.remove(pupil.name, pupil.responseCount))) await this.store.remove(pupil);
  }
}
