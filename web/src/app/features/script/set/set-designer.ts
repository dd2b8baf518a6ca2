import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatProgressBar } from '@angular/material/progress-bar';
import { MatOption, MatSelect } from '@angular/material/select';
import { type DesignedSet, MOST_IDEAS } from '@zeitpunkt/core/diagnosis/design-set';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import type { Rung } from '@zeitpunkt/core/ladder/rung';
import { rungOfLesson } from '@zeitpunkt/core/lesson/rung-of-lesson';
import { misconceptionOf, type MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { kindOf, type Item } from '@zeitpunkt/core/question-kinds/registry';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import { ideaName } from '@zeitpunkt/core/misconceptions/idea-words';
import { ask, sentenceOf } from '../../../shared/api';
import { Diagnoser } from '../../../shared/diagnosis/diagnoser';
import { ideasOfClass, type ClassIdea } from './class-ideas';
import { KindPicture } from '../composer/kind-picture';
import { keyOf } from '../composer/what-it-tells';
import { LessonStore } from '../lesson-store';
import { designInWorker, type Designing } from '../../../shared/diagnosis/designing';
import { setWords } from '../../../shared/diagnosis/set-words';
import { SET_WORDS } from './words';

const POOL = 3000;
/** By how much each further idea of a rung is less usual than the first. */
const USUAL_FALL = 0.15;

/** What the designer is opened with: where the questions of the set go. */
export interface SetWanted {
  readonly add: (items: readonly Item[]) => void;
}

/** A set of questions that tells ideas apart, chosen from thousands in a worker: so many of them, in so much time, with some kept and some sent away. */
@Component({
  selector: 'zp-set-designer',
  imports: [
    KindPicture,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatChipListbox,
    MatChipOption,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatInput,
    MatLabel,
    MatOption,
    MatProgressBar,
    MatSelect,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './set-designer.html',
  styleUrl: './set-designer.scss',
})
export class SetDesigner {
  private readonly opened = inject<SetWanted>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<SetDesigner>>(MatDialogRef);
  private readonly store = inject(LessonStore);
  private readonly lesson = computed(() => this.store.lesson()!);
  protected readonly words = SET_WORDS;
  protected readonly clock = lengthText;
  private readonly rungId = computed(() => rungOfLesson(this.lesson()));
  private readonly rung = computed((): Rung => RUNGS[this.rungId()]);
  protected readonly rungName = computed(() => this.rung().name);
  protected readonly classes = signal<readonly { readonly id: string; readonly name: string }[]>([]);
  private readonly ofClass = signal<readonly ClassIdea[] | null>(null);
  protected readonly classWord = signal<string | null>(null);
  /** Ideas with their weights: those that a class holds, or those that are usual on the rung, the commonest first. */
  protected readonly ideas = computed(() => {
    const ofClass = this.ofClass();
    const likely = ofClass ?? this.rung().misconceptions.map((id, place) => ({ id, weight: 1 / (1 + USUAL_FALL * place), pupils: 0 }));
    return likely.slice(0, MOST_IDEAS).map(({ id, weight, pupils }) => {
      const name = ideaName(id);
      return { id, weight, name: pupils > 0 ? `${name} (${pupils})` : name, does: misconceptionOf(id).whatThePupilDoes };
    });
  });
  private readonly left = signal<ReadonlySet<MisconceptionId>>(new Set());
  protected readonly wanted = computed(() => {
    const left = this.left();
    return this.ideas()
      .map(({ id }) => id)
      .filter((id) => !left.has(id));
  });
  protected readonly count = signal(6);
  protected readonly minutes = signal(8);
  protected readonly progress = signal<number | null>(null);
  protected readonly problem = signal<string | null>(null);
  protected readonly set = signal<DesignedSet | null>(null);
  protected readonly pins = signal<readonly string[]>([]);
  protected readonly bans = signal<readonly string[]>([]);
  protected readonly told = computed(() => {
    const set = this.set();
    return set ? setWords(set) : [];
  });
  protected readonly rows = computed(() =>
    (this.set()?.items ?? []).map((item) => ({
      item,
      name: kindOf(item).name,
      stem: kindOf(item).viewOf(item, this.lesson().settings).stem,
      key: keyOf(item, this.lesson().settings).text,
    })),
  );
  private readonly diagnoser = inject(Diagnoser);
  private designing: Designing | null = null;
  private seed = 1;

  constructor() {
    // Without classes there is nothing to choose, and the usual ideas of the rung do.
    void ask<readonly { id: string; name: string }[]>('GET', '/api/classes').then(
      (classes) => this.classes.set(classes),
      () => undefined,
    );
    inject(DestroyRef).onDestroy(() => this.stop());
  }

  /** The ideas of a class by its latest answers, or with no class the usual ones of the rung. */
  protected async takeFrom(classId: string): Promise<void> {
    this.left.set(new Set());
    this.classWord.set(null);
    if (!classId) return this.ofClass.set(null);
    const words = this.words();
    this.classWord.set(words.looking);
    try {
      const ideas = await ideasOfClass(classId, this.diagnoser, (part) => this.classWord.set(words.lookingAt(Math.round(part * 100))));
      this.ofClass.set(ideas.length > 0 ? ideas : null);
      this.classWord.set(ideas.length > 0 ? words.brackets : words.noIdea);
    } catch (error) {
      this.ofClass.set(null);
      this.classWord.set(sentenceOf(error));
    }
  }

  protected keepOnly(wanted: readonly MisconceptionId[]): void {
    this.left.set(
      new Set(
        this.ideas()
          .map(({ id }) => id)
          .filter((id) => !wanted.includes(id)),
      ),
    );
  }

  protected toggle(list: 'pins' | 'bans', id: string): void {
    const [own, other] = list === 'pins' ? [this.pins, this.bans] : [this.bans, this.pins];
    own.update((ids) => (ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id]));
    other.update((ids) => ids.filter((one) => one !== id));
  }

  /** Chooses anew: what is kept stays, what was sent away does not come back. */
  protected async design(): Promise<void> {
    this.stop();
    this.problem.set(null);
    this.progress.set(0);
    const ideas = this.ideas().filter(({ id }) => this.wanted().includes(id));
    const likely = ideas.map(({ id, weight }) => ({ id, weight }));
    this.designing = designInWorker(
      {
        wish: { count: this.count(), ideas: likely, seconds: this.minutes() * 60, pins: this.pins(), bans: this.bans() },
        rung: this.rungId(),
        settings: this.lesson().settings,
        asked: this.lesson().items,
        seed: this.seed,
        poolSize: POOL,
      },
      (part) => this.progress.set(part),
    );
    try {
      this.set.set(await this.designing.done);
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
    this.stop();
  }

  protected stop(): void {
    this.designing?.stop();
    this.designing = null;
    this.progress.set(null);
  }

  protected take(): void {
    const { items } = this.set() ?? { items: [] };
    this.dialog.close();
    this.opened.add(items);
  }
}
