import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { MatTooltip } from '@angular/material/tooltip';
import { changeItem, replaceItem, type ScriptEdit } from '@zeitpunkt/core/edit/edit';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import type { Rung } from '@zeitpunkt/core/ladder/rung';
import { rungOfLesson } from '@zeitpunkt/core/lesson/rung-of-lesson';
import { makeItem } from '@zeitpunkt/core/question-kinds/make-item';
import {
  kindOf,
  QUESTION_KIND_IDS,
  QUESTION_KINDS,
  type Item,
  type QuestionKindId,
  type Response,
} from '@zeitpunkt/core/question-kinds/registry';
import { toSecondOfDay, type SecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import { makeAbout } from '@zeitpunkt/core/question-kinds/make-about';
import { seededRng } from '@zeitpunkt/core/random/rng';
import { PLAIN_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import type { Turning } from '../../../ui/dial-gesture';
import { Icon } from '../../../ui/icons/icon';
import { TurningDial } from '../../../ui/turning-dial';
import { isAboutOneTime } from '../column/new-beats';
import type { BeatField } from '../fields/beat-field';
import { ITEM_FIELDS } from '../fields/item-fields';
import { SettingFields } from '../fields/setting-fields';
import { LessonStore } from '../lesson-store';
import { IdeaAnswers } from './idea-answers';
import { KindPicture } from './kind-picture';
import { QuestionPreview } from './question-preview';
import { SuggestQuestion } from './suggest-question';
import { whyNoQuestion } from './why-no-question';
import { COMPOSER_WORDS } from './words';

/** Four rows of kinds, so that what the question is about stays in sight below them. */
const USUAL = 12;

/** What the composer is opened with: the question, by its id, and where its changes go. */
export interface Composed {
  readonly itemId: string;
  readonly apply: (edit: ScriptEdit) => void;
}

/**
 * One question of a lesson, worked on over the script: its kind as a picture and its parts; the pupil's view in the middle, to be
 * answered; what each idea would answer.
 */
@Component({
  selector: 'zp-question-composer',
  imports: [
    Icon,
    IdeaAnswers,
    KindPicture,
    MatButton,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatIconButton,
    MatTooltip,
    QuestionPreview,
    SettingFields,
    SuggestQuestion,
    TurningDial,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './question-composer.html',
  styleUrl: './question-composer.scss',
})
export class QuestionComposer {
  protected readonly store = inject(LessonStore);
  private readonly opened = inject<Composed>(MAT_DIALOG_DATA);
  private readonly catalogue = COMPOSER_WORDS;
  protected readonly words = computed(() => this.catalogue());
  protected readonly layers = PLAIN_LAYERS;
  protected readonly kindCount = QUESTION_KIND_IDS.length;
  protected readonly lesson = computed(() => this.store.lesson()!);
  /** The question as it is; the last of them where it was taken out meanwhile. */
  protected readonly item = computed(() => {
    const { items } = this.lesson();
    return items.find(({ id }) => id === this.opened.itemId) ?? items.at(-1)!;
  });
  /** Which of the questions it is, in the order of the script. */
  protected readonly place = computed(() => {
    const asked = [...new Set(this.lesson().beats.flatMap((beat) => (beat.kind === 'ask' ? [beat.itemId] : [])))];
    return { at: asked.indexOf(this.item().id) + 1, of: asked.length };
  });
  private readonly settings = computed(() => this.lesson().settings);
  private readonly rung = computed((): Rung => RUNGS[rungOfLesson(this.lesson())]);
  /** All kinds are shown, not only those that are usual on the rung. */
  protected readonly all = signal(false);
  protected readonly kinds = computed(() => {
    const usual = this.rung().kinds.slice(0, USUAL);
    const own = this.item().kind;
    const ids = this.all() ? QUESTION_KIND_IDS : usual.includes(own) ? usual : [own, ...usual];
    return [...new Set(ids)].map((id) => ({ id, name: QUESTION_KINDS[id].name }));
  });
  protected readonly language = computed(() => WORD_PACKS[this.settings().pack].language);
  protected readonly name = computed(() => kindOf(this.item()).name);
  protected readonly view = computed(() => kindOf(this.item()).viewOf(this.item(), this.settings()));
  protected readonly fields = computed(() =>
    ITEM_FIELDS()[this.item().kind].map((field) => ({ field, value: field.read(this.item() as never, this.settings()) })),
  );
  protected readonly problems = linkedSignal<Item, Readonly<Record<string, string>>>({ source: this.item, computation: () => ({}) });
  /** Draws of other questions of the kind. */
  private readonly draws = signal(1);
  /** What was answered here, or would be by somebody with an idea. */
  protected readonly tried = linkedSignal<Item, Response | null>({ source: this.item, computation: () => null });
  /** The hands on which the time is edited; null where the question is about no one time. */
  protected readonly turning = computed((): Turning | null => {
    const item = this.item();
    return isAboutOneTime(item) ? { hands: 'geared', at: toSecondOfDay(item.timeSec) } : null;
  });
  protected readonly canBeAnew = computed(() => 'choices' in this.item());

  protected setKind(kind: QuestionKindId): void {
    if (kind === this.item().kind) return;
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
    else this.problems.set({ anew: this.words().noChoices });
  }

  protected write({ field, text }: { readonly field: BeatField; readonly text: string }): void {
    const typed = field.write(text, this.item() as never, this.settings());
    if ('problem' in typed) return this.problems.update((problems) => ({ ...problems, [field.key]: typed.problem }));
    const changed = { ...this.item(), ...typed.change } as Item;
    const problem = whyNoQuestion(changed, this.lesson(), this.words().problems);
    if (problem) return this.problems.update((problems) => ({ ...problems, [field.key]: problem }));
    this.opened.apply(changeItem(this.item().id, typed.change));
  }

  protected turn(turning: Turning): void {
    if (turning.hands === 'geared') this.opened.apply(changeItem(this.item().id, { timeSec: turning.at - (turning.at % 60) }));
  }

  protected replace(made: Item): void {
    this.opened.apply(replaceItem(this.item().id, made));
  }

  private time(): SecondOfDay | null {
    return kindOf(this.item()).timesOf(this.item())[0] ?? null;
  }
}
