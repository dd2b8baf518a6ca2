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
import { kindOf, misconceptionOf, RUNGS, type DesignedSet, type Item, type Lesson, type MisconceptionId, type Rung } from '@zeitpunkt/core';
import { clock } from '../../../shared/clock';
import { keyOf } from '../composer/what-it-tells';
import { rungOfLesson } from '../new-beats';
import type { DesignNews, DesignWish } from './set-messages';
import { setWords } from './set-words';

const POOL = 3000;

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
  protected readonly clock = clock;
  private readonly rungId = computed(() => rungOfLesson(this.lesson()));
  private readonly rung = computed((): Rung => RUNGS[this.rungId()]);
  protected readonly rungName = computed(() => this.rung().name);
  protected readonly ideas = computed(() =>
    this.rung().misconceptions.map((id) => ({ id, name: misconceptionOf(id).name, ...describeIdea(id) })),
  );
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
  private worker: Worker | null = null;
  private seed = 1;

  constructor() {
    afterNextRender(() => this.dialog().nativeElement.showModal());
    inject(DestroyRef).onDestroy(() => this.stop());
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
    // The usual ideas of a rung stand with the commonest first.
    const likely = ideas.map(({ id }, place) => ({ id, weight: 1 / (1 + 0.15 * place) }));
    const wish: DesignWish = {
      wish: { count: this.count(), ideas: likely, seconds: this.minutes() * 60, pins: this.pins(), bans: this.bans() },
      rung: this.rungId(),
      settings: this.lesson().settings,
      asked: this.lesson().items,
      seed: this.seed,
      poolSize: POOL,
    };
    const { startDesigner } = await import('./start-designer');
    if (this.progress() === null) return; // stopped meanwhile
    const worker = startDesigner();
    this.worker = worker;
    worker.onmessage = ({ data }: MessageEvent<DesignNews>) => this.hear(data);
    worker.onerror = () => this.hear({ type: 'failed', problem: 'The questions could not be chosen on this device.' });
    worker.postMessage(wish);
  }

  protected stop(): void {
    this.worker?.terminate();
    this.worker = null;
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

  private hear(news: DesignNews): void {
    if (news.type === 'progress') return this.progress.set(news.part);
    this.stop();
    if (news.type === 'failed') this.problem.set(news.problem);
    else this.set.set(news.set);
  }
}

function describeIdea(id: MisconceptionId): { readonly does: string } {
  return { does: misconceptionOf(id).whatThePupilDoes };
}
