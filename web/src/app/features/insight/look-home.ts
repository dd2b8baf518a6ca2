import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { homePage } from '@zeitpunkt/core';
import { ClassReviewStore } from './class-review-store';
import { HomeSheet } from './home-sheet';

/** A page for each home: proposed from what is known, changed by the teacher, printed or copied into whatever goes out. */
@Component({
  selector: 'zp-look-home',
  imports: [HomeSheet, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="head">
      <p>
        Read each page before it goes out, and change what you know better. Nothing here ranks or counts. Once changed, a page stays as you
        wrote it until you take the proposal again.
      </p>
      <button mat-flat-button type="button" (click)="print()">Print all {{ pages().length }}</button>
    </div>
    @for (one of pages(); track one.id) {
      <zp-home-sheet
        [id]="one.id"
        [name]="one.name"
        [proposed]="one.proposed"
        [kept]="one.kept"
        [language]="language()"
        [keep]="keepFor(one.id)"
      />
    } @empty {
      <p>There is nobody in this class of whom anything is known yet.</p>
    }
  `,
  styles: `
    .head {
      display: flex;
      gap: 2rem;
      align-items: center;
      justify-content: space-between;
      margin-bottom: 1rem;
    }
    .head p {
      max-width: 44rem;
    }
    .head button {
      flex: none;
    }
    @media (max-width: 600px) {
      .head {
        flex-wrap: wrap;
      }
    }
    @media print {
      .head {
        display: none;
      }
    }
  `,
})
export class LookHome {
  protected readonly store = inject(ClassReviewStore);
  protected readonly language = computed(() => (this.store.insight()!.settings.pack.startsWith('de') ? 'de' : 'en'));
  protected readonly pages = computed(() => {
    const { picture, reached, settings } = this.store.insight()!;
    const kept = new Map(this.store.notes().homePages.map(({ pupilId, page }) => [pupilId, page]));
    return picture.pupils
      .filter(({ id, answers }) => answers > 0 || kept.has(id))
      .map((pupil) => ({ id: pupil.id, name: pupil.name, proposed: homePage(pupil, reached, settings), kept: kept.get(pupil.id) ?? null }));
  });

  protected readonly keepFor = (pupilId: string) => (page: Parameters<typeof this.store.keepHomePage>[1]) =>
    this.store.keepHomePage(pupilId, page);

  protected print(): void {
    window.print();
  }
}
