import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { tongueOf } from '@zeitpunkt/core/talk/registry';
import { homePage } from '@zeitpunkt/core/insight/home-page';
import { PaperMaker } from '../../shared/paper/paper-maker';
import { PaperProgress } from '../../shared/paper/paper-progress';
import { ClassReviewStore } from './class-review-store';
import { HomeSheet } from './home-sheet';
import { INSIGHT_WORDS } from './words';

/** A page for each home: proposed from what is known, changed by the teacher, printed or copied into whatever goes out. */
@Component({
  selector: 'zp-look-home',
  imports: [HomeSheet, MatButton, PaperProgress],
  providers: [PaperMaker],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="head">
      <p>
        {{ words().hint }}
      </p>
      <div class="acts">
        <button mat-flat-button class="next" type="button" (click)="print()">{{ words().print(pages().length) }}</button>
        <button mat-stroked-button type="button" [disabled]="maker.isOn() || !pages().length" (click)="save()">{{ words().save }}</button>
        <zp-paper-progress />
      </div>
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
      <p>{{ words().none }}</p>
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
    .acts {
      display: flex;
      flex: none;
      flex-wrap: wrap;
      gap: 0.5rem;
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
  protected readonly maker = inject(PaperMaker);
  private readonly catalogue = INSIGHT_WORDS;
  protected readonly words = computed(() => this.catalogue().home);
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

  /** All pages in one file, as they stand here. */
  protected save(): void {
    const pages = this.pages().map(({ name, proposed, kept }) => ({ name, page: kept ?? proposed }));
    void this.maker.save({ kind: 'home', pages, tongue: tongueOf(this.store.insight()!.settings) }, this.words().fileName);
  }

  protected print(): void {
    window.print();
  }
}
