import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  type ElementRef,
  inject,
  input,
  linkedSignal,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  canBeGiven,
  changeItem,
  isRightVerdict,
  kindOf,
  makeItem,
  misconceptionOf,
  QUESTION_KIND_IDS,
  QUESTION_KINDS,
  replaceItem,
  RUNGS,
  toSecondOfDay,
  WORD_PACKS,
  type Item,
  type Lesson,
  type MisconceptionId,
  type QuestionKindId,
  type Response,
  type Rung,
  type ScriptEdit,
  type SecondOfDay,
  rungOfLesson,
} from '@zeitpunkt/core';
import { makeAbout } from '@zeitpunkt/core/question-kinds/make-about';
import { seededRng } from '@zeitpunkt/core/rehearsal/rng';
import { VERDICT_WORDS } from '../../../shared/verdict-words';
import type { Turning } from '../../../ui/dial-gesture';
import { TurningDial } from '../../../ui/turning-dial';
import type { BeatField } from '../fields/beat-field';
import { ITEM_FIELDS } from '../fields/item-fields';
import { isAboutOneTime } from '../column/new-beats';
import { SettingFields } from '../fields/setting-fields';
import { PLAIN_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import { designInWorker, type Designing } from '../../../shared/diagnosis/designing';
import { QuestionPreview } from './question-preview';
import { keyOf, tellsOf, triedOut } from './what-it-tells';

/** Questions that are looked through for a suggestion, and how many are suggested. */
const LOOKED_THROUGH = 240;
const SUGGESTED = 4;

/**
 * One question of a lesson, worked on: its kind and its parts, on a dial where it is about one time; the pupil's view beside it,
 * to be answered; what counts as right, and what each idea would answer.
 */
@Component({
  selector: 'zp-question-composer',
  imports: [MatButton, QuestionPreview, SettingFields, TurningDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './question-composer.html',
  styleUrl: './question-composer.scss',
})
export class QuestionComposer {
  readonly lesson = input.required<Lesson>();
  readonly item = input.required<Item>();
  readonly edit = output<ScriptEdit>();
  readonly closed = output();
  private readonly dialog = viewChild.required<ElementRef<HTMLDialogElement>>('dialog');
  protected readonly verdicts = VERDICT_WORDS;
  protected readonly layers = PLAIN_LAYERS;
  protected readonly kinds = QUESTION_KIND_IDS.map((id) => ({ id, name: QUESTION_KINDS[id].name }));
  private readonly settings = computed(() => this.lesson().settings);
  private readonly rung = computed((): Rung => RUNGS[rungOfLesson(this.lesson())]);
  protected readonly language = computed(() => WORD_PACKS[this.settings().pack].language);
  protected readonly name = computed(() => kindOf(this.item()).name);
  protected readonly view = computed(() => kindOf(this.item()).viewOf(this.item(), this.settings()));
  protected readonly key = computed(() => keyOf(this.item(), this.settings()));
  protected readonly tells = computed(() => tellsOf(this.item(), this.settings()));
  protected readonly fields = computed(() =>
    ITEM_FIELDS[this.item().kind].map((field) => ({ field, value: field.read(this.item() as never, this.settings()) })),
  );
  protected readonly problems = linkedSignal<Item, Readonly<Record<string, string>>>({ source: this.item, computation: () => ({}) });
  /** Draws of other questions of the kind. */
  private readonly draws = signal(1);
  /** What was answered here, or would be by somebody with an idea. */
  protected readonly tried = linkedSignal<Item, Response | null>({ source: this.item, computation: () => null });
  protected readonly result = computed(() => {
    const tried = this.tried();
    return tried && canBeGiven(this.item(), tried, this.settings()) ? triedOut(this.item(), tried, this.settings()) : null;
  });
  /** The hands on which the time is edited; null where the question is about no one time. */
  protected readonly turning = computed((): Turning | null => {
    const item = this.item();
    return isAboutOneTime(item) ? { hands: 'geared', at: toSecondOfDay(item.timeSec) } : null;
  });

  protected readonly wanted = linkedSignal<Lesson['settings'], readonly MisconceptionId[]>({
    source: this.settings,
    computation: () => this.rung().misconceptions.slice(0, 3),
  });
  protected readonly ideas = computed(() => this.rung().misconceptions.map((id) => ({ id, name: misconceptionOf(id).name })));
  protected readonly suggestions = signal<
    readonly { readonly item: Item; readonly name: string; readonly text: string; readonly tells: string }[] | null
  >(null);
  /** Suggestions are being looked for. */
  protected readonly looking = signal(false);
  private designing: Designing | null = null;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.designing?.stop());
  }

  open(): void {
    this.dialog().nativeElement.showModal();
  }

  protected close(): void {
    this.dialog().nativeElement.close();
  }

  protected setKind(id: string): void {
    const kind = id as QuestionKindId;
    const at = this.time();
    const made =
      (at === null ? null : makeAbout(kind, at, this.rung(), this.settings(), this.draws())) ?? makeItem(kind, this.rung(), this.lesson());
    this.replace(made);
  }

  /** Another question of the same kind, about another time of the rung. */
  protected another(): void {
    this.draws.update((draws) => draws + 1);
    const made = QUESTION_KINDS[this.item().kind].make('new', seededRng(this.draws() * 7919), this.rung(), this.settings()) as Item;
    this.replace(made);
  }

  /** The choices made anew from ideas, for the time as it is. */
  protected anew(): void {
    this.draws.update((draws) => draws + 1);
    const at = this.time();
    const made = at === null ? null : makeAbout(this.item().kind, at, this.rung(), this.settings(), this.draws());
    if (made) this.replace(made);
    else this.problems.set({ anew: 'At this time no idea makes a difference: take another one.' });
  }

  protected readonly canBeAnew = computed(() => 'choices' in this.item());

  protected write({ field, text }: { readonly field: BeatField; readonly text: string }): void {
    const typed = field.write(text, this.item() as never, this.settings());
    if ('problem' in typed) return this.problems.update((problems) => ({ ...problems, [field.key]: typed.problem }));
    const changed = { ...this.item(), ...typed.change } as Item;
    const problem = whyNoQuestion(changed, this.lesson());
    if (problem) return this.problems.update((problems) => ({ ...problems, [field.key]: problem }));
    this.edit.emit(changeItem(this.item().id, typed.change));
  }

  protected turn(turning: Turning): void {
    if (turning.hands === 'geared') this.edit.emit(changeItem(this.item().id, { timeSec: turning.at - (turning.at % 60) }));
  }

  protected toggle(id: MisconceptionId): void {
    this.wanted.update((ids) => (ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id]));
  }

  /** A handful of questions of the rung that tell most of the chosen ideas, each for itself. */
  protected async suggest(): Promise<void> {
    this.designing?.stop();
    const settings = this.settings();
    const wanted = this.wanted();
    this.designing = designInWorker({
      wish: { count: SUGGESTED, ideas: wanted.map((id) => ({ id, weight: 1 })) },
      rung: rungOfLesson(this.lesson()),
      settings,
      asked: [],
      seed: this.draws() + this.lesson().items.length,
      poolSize: LOOKED_THROUGH,
    });
    this.draws.update((draws) => draws + 1);
    this.looking.set(true);
    this.problems.update(({ suggest: _before, ...others }) => others);
    try {
      const { items } = await this.designing.done;
      this.suggestions.set(
        items.map((item) => ({
          item,
          name: kindOf(item).name,
          text: keyOf(item, settings).text,
          tells: tellsOf(item, settings)
            .filter(({ id }) => wanted.includes(id))
            .map(({ name, text }) => `${name}: ${text}`)
            .join('; '),
        })),
      );
    } catch (error) {
      this.problems.update((problems) => ({ ...problems, suggest: error instanceof Error ? error.message : String(error) }));
    }
    this.looking.set(false);
  }

  protected take(item: Item): void {
    this.replace(item);
  }

  private time(): SecondOfDay | null {
    return kindOf(this.item()).timesOf(this.item())[0] ?? null;
  }

  private replace(made: Item): void {
    this.edit.emit(replaceItem(this.item().id, made));
  }
}

/** Why a changed question would be none: its key could not be found, or nothing of it would be right. */
function whyNoQuestion(item: Item, { settings }: Lesson): string | null {
  const kind = kindOf(item);
  try {
    const view = kind.viewOf(item, settings);
    const key = kind.keyOf(item, settings);
    if (!canBeGiven(item, key, settings) || !isRightVerdict(kind.judge(item, key, settings).verdict)) return 'So nothing would be right.';
    if ('chosen' in key && key.chosen.length === 0) return 'None of the choices would be right.';
    return view.stem ? null : 'So nothing would be asked.';
  } catch {
    return 'So it would be no question that can be asked.';
  }
}
