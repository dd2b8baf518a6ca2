import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  type ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  kindOf,
  lengthText,
  misconceptionOf,
  RUNGS,
  type DesignedSet,
  type Item,
  type Lesson,
  type MisconceptionId,
  type Rung,
  rungOfLesson,
} from '@zeitpunkt/core';
import { MOST_IDEAS } from '@zeitpunkt/core/diagnosis/design-set';
import { ask, sentenceOf } from '../../../shared/api';
import { Diagnoser } from '../../../shared/diagnosis/diagnoser';
import { ideasOfClass, type ClassIdea } from './class-ideas';
import { keyOf } from '../composer/what-it-tells';
import { designInWorker, type Designing } from '../../../shared/diagnosis/designing';
import { setWords } from '../../../shared/diagnosis/set-words';

const POOL = 3000;
/** By how much each further idea of a rung is less usual than the first. */
const USUAL_FALL = 0.15;

/** A set of questions that tells ideas apart, chosen from thousands in a worker: so many of them, in so much time, with some kept and some sent away. */
@Component({
  selector: 'zp-set-designer',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './set-designer.html',
  styleUrl: './set-designer.scss',
})
export class SetDesigner {
  readonly lesson = input.required<Lesson>();
  readonly add = output<readonly Item[]>();
  readonly closed = output();
  private readonly dialog = viewChild.required<ElementRef<HTMLDialogElement>>('dialog');
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
      const { name, whatThePupilDoes } = misconceptionOf(id);
      return { id, weight, name: pupils > 0 ? `${name} (${pupils})` : name, does: whatThePupilDoes };
    });
  });
  private readonly left = signal<ReadonlySet<MisconceptionId>>(new Set());
  protected readonly isWanted = (id: MisconceptionId) => !this.left().has(id);
  protected readonly count = signal(6);
  protected readonly minutes = signal(8);
  protected readonly progress = signal<number | null>(null);
  protected readonly problem = signal<string | null>(null);
  protected readonly set = signal<DesignedSet | null>(null);
  protected readonly pins = signal<readonly string[]>([]);
  protected readonly bans = signal<readonly string[]>([]);
  protected readonly words = computed(() => {
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
    afterNextRender(() => this.dialog().nativeElement.showModal());
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
    const looking = 'Looking through its answers …';
    this.classWord.set(looking);
    try {
      const ideas = await ideasOfClass(classId, this.diagnoser, (part) => this.classWord.set(`${looking} ${Math.round(part * 100)} %`));
      this.ofClass.set(ideas.length > 0 ? ideas : null);
      const none = 'Its answers show no idea, or are too few to say: the usual ones of the rung stand here.';
      this.classWord.set(ideas.length > 0 ? 'In brackets: pupils of whom an idea is settled or likely.' : none);
    } catch (error) {
      this.ofClass.set(null);
      this.classWord.set(sentenceOf(error));
    }
  }

  protected toggleIdea(id: MisconceptionId): void {
    this.left.update((left) => new Set(left.has(id) ? [...left].filter((one) => one !== id) : [...left, id]));
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
    const ideas = this.ideas().filter(({ id }) => this.isWanted(id));
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
      this.problem.set(error instanceof Error ? error.message : String(error));
    }
    this.stop();
  }

  protected stop(): void {
    this.designing?.stop();
    this.designing = null;
    this.progress.set(null);
  }

  protected close(): void {
    this.dialog().nativeElement.close();
  }

  protected take(): void {
    const { items } = this.set() ?? { items: [] };
    this.close();
    this.add.emit(items);
  }
}
