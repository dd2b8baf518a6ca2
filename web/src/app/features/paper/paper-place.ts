import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { RUNG_IDS, RUNGS, type SheetCopy } from '@zeitpunkt/core';
import { differencesOnPaper } from '@zeitpunkt/core/paper/key';
import { MOST_VERSIONS } from '@zeitpunkt/core/paper/versions';
import { PaperLookView } from '../../shared/paper/paper-look';
import { PaperMaker, type PaperHabit } from '../../shared/paper/paper-maker';
import { PaperProgress } from '../../shared/paper/paper-progress';
import { TeacherFrame } from '../frame/teacher-frame';
import { KeptSheets } from './kept-sheets';
import { PAPERS, type PaperMatter } from './papers';
import { PaperStore } from './paper-store';
import { SheetCode } from './sheet-code';

/** The pages are made anew when nothing was changed for so long. */
const LOOK_AFTER_MS = 150;
const DAYS_OF_CARDS = 10;

/** Everything on paper: chosen on the left, looked at on the right as it will be printed, saved as a file. */
@Component({
  selector: 'zp-paper-place',
  imports: [KeptSheets, MatButton, PaperLookView, PaperProgress, RouterLink, SheetCode, TeacherFrame],
  providers: [PaperMaker, PaperStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './paper-place.html',
  styleUrl: './paper-place.scss',
})
export class PaperPlace {
  /** The lesson, if there is one. */
  readonly id = input<string>();
  /** The class and the paper to begin with, of the address. */
  readonly of = input<string>();
  readonly what = input<string>();
  private readonly router = inject(Router);
  protected readonly store = inject(PaperStore);
  protected readonly maker = inject(PaperMaker);
  protected readonly papers = PAPERS;
  protected readonly rungs = RUNG_IDS.map((id) => ({ id, name: RUNGS[id].name }));
  protected readonly versionCounts = Array.from({ length: MOST_VERSIONS }, (_, index) => index + 1);
  protected readonly chosen = signal<string | null>(null);
  protected readonly withKey = signal(true);
  protected readonly cards = signal(DAYS_OF_CARDS);
  protected readonly paper = computed(() => {
    const begin = this.chosen() ?? this.what() ?? (this.id() ? 'sheet' : 'cut-out-dial');
    return PAPERS.find(({ id }) => id === begin) ?? PAPERS[0]!;
  });
  private readonly copies = computed((): readonly SheetCopy[] => {
    const versions = this.store.versions();
    return this.store.copies().map(({ pupil, version }) => ({ pupil: pupil?.name ?? null, letter: versions[version]!.letter }));
  });
  protected readonly matter = computed((): PaperMatter => ({
    lesson: this.store.lesson(),
    settings: this.store.settings(),
    rung: this.store.rung(),
    chartRung: this.store.chartRung(),
    plan: this.store.plan(),
    versions: this.store.versions(),
    isDrawing: this.store.isDrawing(),
    copies: this.copies(),
    withKey: this.withKey(),
    cards: this.cards(),
  }));
  protected readonly needs = computed(() => (this.store.loaded() ? this.paper().needs(this.matter()) : null));
  protected readonly wish = computed(() => (this.store.loaded() && !this.needs() ? this.paper().wish(this.matter()) : null));
  protected readonly differs = computed(() => {
    const first = this.store.versions()[0];
    return first && this.paper().id === 'sheet' ? differencesOnPaper(first.items, this.store.settings()) : [];
  });
  protected readonly title = computed(() => {
    const [lesson, { name, id }] = [this.store.lesson(), this.paper()];
    return id === 'sheet' && lesson ? lesson.title : lesson ? `${name}, ${lesson.title}` : name;
  });

  constructor() {
    effect(() => {
      const [id, of] = [this.id() ?? null, this.of() ?? null];
      untracked(() => void this.begin(id, of));
    });
    effect((onCleanup) => {
      const wish = this.wish();
      this.maker.habit();
      if (this.store.isDrawing()) return; // what was seen before stays until there is something else to see
      const timer = setTimeout(() => this.maker.look(wish), LOOK_AFTER_MS);
      onCleanup(() => clearTimeout(timer));
    });
  }

  protected setHabit(change: Partial<PaperHabit>): void {
    this.maker.setHabit({ ...this.maker.habit(), ...change });
  }

  protected chooseLesson(id: string): void {
    void this.router.navigate(id ? ['/lessons', id, 'paper'] : ['/paper'], { queryParams: { of: this.store.ofClass()?.id ?? null } });
  }

  /** Makes the file; a sheet is kept first, so that its code stands on it. */
  protected async save(): Promise<void> {
    const wish = this.wish();
    if (!wish) return;
    if (wish.kind !== 'sheet') return void this.maker.save(wish, this.title());
    const kept = await this.store.keep();
    if (kept) await this.maker.save({ ...wish, code: kept.code }, `${this.title()} ${kept.code}`);
  }

  private async begin(id: string | null, of: string | null): Promise<void> {
    await this.store.load(id);
    const classes = this.store.classes();
    const first = classes.find((one) => one.id === of) ?? classes[0];
    if (first) await this.store.chooseClass(first.id);
  }
}
