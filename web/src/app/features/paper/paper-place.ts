import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatOption, MatSelect } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import { RUNG_IDS, RUNGS } from '@zeitpunkt/core/ladder/registry';
import type { SheetCopy } from '@zeitpunkt/core/paper/paper-wish';
import { differencesOnPaper } from '@zeitpunkt/core/paper/key';
import { PaperMaker, type PaperHabit, type PaperWished } from '../../shared/paper/paper-maker';
import { PaperProgress } from '../../shared/paper/paper-progress';
import { Icon } from '../../ui/icons/icon';
import { Place } from '../../ui/parts/place';
import { Failing, Loading } from '../../ui/parts/states';
import { CameBack } from './came-back';
import { PageView, type PaperTab } from './page-view';
import { PaperPicture } from './paper-picture';
import { PAPERS, type PaperId, type PaperMatter } from './papers';
import { PaperStore } from './paper-store';
import { SheetChoices } from './sheet-choices';
import { PAPER_WORDS } from './words';

/** The pages are made anew when nothing was changed for so long. */
const LOOK_AFTER_MS = 150;
const DAYS_OF_CARDS = 10;

/** Everything on paper: what it is on the left, the page itself in the middle, for whom and how on the right; saved as a file. */
@Component({
  selector: 'zp-paper-place',
  imports: [
    CameBack,
    Failing,
    Icon,
    Loading,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatFormField,
    MatInput,
    MatLabel,
    MatOption,
    MatSelect,
    PageView,
    PaperPicture,
    PaperProgress,
    Place,
    RouterLink,
    SheetChoices,
  ],
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
  protected readonly words = PAPER_WORDS;
  protected readonly help = computed(() => ({ place: this.words().place, sentence: this.words().help.sentence }));
  protected readonly papers = PAPERS;
  protected readonly rungs = RUNG_IDS.map((id) => ({ id, name: RUNGS[id].name }));
  protected readonly chosen = signal<PaperId | null>(null);
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
  protected readonly needs = computed(() => (this.store.loaded() ? this.paper().needs(this.matter(), this.words().needs) : null));
  protected readonly wish = computed(() => (this.store.loaded() && !this.needs() ? this.paper().wish(this.matter()) : null));
  /** The same with one copy of each version: what differs from copy to copy is a name. */
  private readonly looked = computed((): PaperWished | null => {
    const wish = this.wish();
    if (wish?.kind !== 'sheet') return wish;
    return { ...wish, copies: wish.versions.flatMap(({ letter }) => wish.copies.find((copy) => copy.letter === letter) ?? []) };
  });
  /** Versions and keys among the pages that are looked at. */
  protected readonly tabs = computed((): readonly PaperTab[] => {
    const [wish, starts] = [this.looked(), this.maker.starts()];
    if (wish?.kind !== 'sheet' || starts.length < wish.copies.length) return [];
    const sheets = wish.copies.map(({ letter }, place) => ({ name: letter, at: starts[place]! }));
    const key = starts[wish.copies.length];
    return key === undefined ? sheets : [...sheets, { name: this.words().look.key, at: key }];
  });
  /** How many pages the file will have, and of what. */
  protected readonly sum = computed(() => {
    const [wish, looked, starts] = [this.wish(), this.looked(), this.maker.starts()];
    const [seen, words] = [this.maker.pages().length, this.words().sum];
    if (!wish || seen === 0) return null;
    if (this.maker.hasMore()) return { pages: words.morePages(seen), made: words.file };
    if (wish.kind !== 'sheet' || looked?.kind !== 'sheet') return { pages: words.pages(seen), made: words.file };
    const pagesOf = (part: number) => (starts[part + 1] ?? seen) - (starts[part] ?? seen);
    const beside = wish.copies.filter((copy) => !looked.copies.includes(copy));
    const more = beside.reduce((all, { letter }) => all + pagesOf(looked.copies.findIndex((copy) => copy.letter === letter)), 0);
    return { pages: words.pages(seen + more), made: words.sheets(wish.copies.length, wish.withKey ? wish.versions.length : 0) };
  });
  protected readonly about = computed(() => {
    const wish = this.wish();
    if (wish?.kind !== 'sheet') return this.store.lesson()?.title ?? null;
    const [{ pupil, letter } = { pupil: null, letter: '' }] = wish.copies;
    const { of } = this.words();
    return pupil ? of.pupil(pupil, wish.copies.length) : wish.versions.length > 1 ? of.version(letter) : wish.title;
  });
  protected readonly differs = computed(() => {
    const first = this.store.versions()[0];
    return first && this.paper().id === 'sheet' ? differencesOnPaper(first.items, this.store.settings()) : [];
  });
  protected readonly title = computed(() => {
    const [lesson, { id }] = [this.store.lesson(), this.paper()];
    const name = this.words().files[id];
    return id === 'sheet' && lesson ? lesson.title : lesson ? `${name}, ${lesson.title}` : name;
  });

  constructor() {
    effect(() => {
      const [id, of] = [this.id() ?? null, this.of() ?? null];
      untracked(() => void this.begin(id, of));
    });
    effect((onCleanup) => {
      const wish = this.looked();
      this.maker.habit();
      if (this.store.isDrawing()) return; // what was seen before stays until there is something else to see
      const timer = setTimeout(() => this.maker.look(wish), LOOK_AFTER_MS);
      onCleanup(() => clearTimeout(timer));
    });
  }

  protected setHabit(change: Partial<PaperHabit>): void {
    this.maker.setHabit({ ...this.maker.habit(), ...change });
  }

  protected setCards(field: HTMLInputElement): void {
    this.cards.set(Math.min(Math.max(1, Math.round(field.valueAsNumber || 1)), 200));
    field.value = String(this.cards());
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
