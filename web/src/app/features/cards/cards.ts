import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { LessonDetail, LessonSummary, PlanDetail, PlanSaved } from '@zeitpunkt/contract';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { DEFAULT_SETTINGS, type LessonSettings } from '@zeitpunkt/core/lesson/settings';
import type { ClassPlan } from '@zeitpunkt/core/series/plan';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { cardsDue } from '@zeitpunkt/core/series/series';
import { narrationAt, stageAt } from '@zeitpunkt/core/stage/player';
import { ask, sentenceOf } from '../../shared/api';
import { useShortcuts } from '../../shared/shortcuts';
import { AUDIENCE_KEYS } from '../../ui/audience-window';
import { Icon } from '../../ui/icons/icon';
import { KeyHint } from '../../ui/parts/key-hint';
import { Place } from '../../ui/parts/place';
import { Failing, Loading } from '../../ui/parts/states';
import { StageView, type StagePlay } from '../../ui/stage-view';
import { showSender } from '../../shared/show-channel';
import { CARDS_WORDS } from './words';

/** Today's card of a class and those that were missed: guessed, then shown, one after another. */
@Component({
  selector: 'zp-cards',
  imports: [Failing, Icon, KeyHint, Loading, MatButton, Place, RouterLink, StageView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cards.html',
  styleUrl: './cards.scss',
})
export class Cards {
  /** The class. */
  readonly id = input.required<string>();
  protected readonly words = CARDS_WORDS;
  protected readonly problem = signal<string | null>(null);
  protected readonly nothingDue = signal(false);
  protected readonly index = signal(0);
  private readonly lesson = signal<Lesson | null>(null);
  private readonly sender = showSender();
  private kept: PlanDetail | null = null;

  private readonly prepared = computed(() => {
    const lesson = this.lesson();
    return lesson && prepareLesson(lesson);
  });
  private readonly step = computed(() => this.prepared()?.steps[this.index()] ?? null);
  protected readonly play = computed((): StagePlay | null => {
    const [prepared, step] = [this.prepared(), this.step()];
    if (!prepared || !step) return null;
    const stage = stageAt(prepared, step.ref, Infinity);
    return { stateAt: () => stage, motionMs: 0, beganAtMs: 0 };
  });
  protected readonly narration = computed(() => {
    const [prepared, step] = [this.prepared(), this.step()];
    return prepared && step ? narrationAt(prepared, step.ref) : '';
  });
  protected readonly isGuess = computed(() => this.index() % 2 === 0);
  protected readonly isLast = computed(() => this.index() + 1 === (this.prepared()?.steps.length ?? 0));
  protected readonly about = computed(() => {
    const of = (this.prepared()?.steps.length ?? 0) / 2;
    if (of === 0) return null;
    const { at, guess, shown } = this.words();
    return `${at(Math.floor(this.index() / 2) + 1, of)} · ${this.isGuess() ? guess : shown}`;
  });

  protected readonly shortcuts = [
    { left: ['Space'], right: ['PageDown', 'Enter', 'ArrowRight'], text: this.words().keys.on, act: () => this.go(1) },
    { left: ['Shift+Space'], right: ['PageUp', 'ArrowLeft'], text: this.words().keys.back, act: () => this.go(-1) },
    { left: ['V'], right: ['O'], text: this.words().keys.audience, act: () => this.openAudience() },
  ];

  protected readonly help = computed(() => {
    const { place, help } = this.words();
    return { place, sentence: help.sentence, shortcuts: this.shortcuts, keys: [[help.audience, AUDIENCE_KEYS]] as const };
  });

  constructor() {
    useShortcuts(this.shortcuts);
    effect(() => {
      const id = this.id();
      untracked(() => void this.load(id));
    });
    effect(() => {
      const play = this.play();
      if (play) this.sender.show(play.stateAt(0));
    });
    inject(DestroyRef).onDestroy(() => this.sender.close());
  }

  protected openAudience(): void {
    window.open('/show', 'show', 'popup,width=1280,height=720');
  }

  protected go(by: 1 | -1): void {
    const to = this.index() + by;
    if (to < 0 || to >= (this.prepared()?.steps.length ?? 0)) return;
    this.index.set(to);
    if (this.isLast()) void this.keepShown();
  }

  private async load(classId: string): Promise<void> {
    try {
      const kept = await ask<PlanDetail>('GET', `/api/classes/${classId}/plan`);
      this.kept = kept;
      const settings = await settingsTaughtBy();
      const lesson = cardLesson(kept.plan, settings);
      this.index.set(0);
      this.lesson.set(lesson);
      this.nothingDue.set(lesson === null);
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
  }

  /** The last card was shown: all of them were. */
  private async keepShown(): Promise<void> {
    const card = this.lesson()?.beats[0];
    if (!this.kept || card?.kind !== 'daily-card' || !this.kept.plan.cards || this.kept.plan.cards.shown >= card.card) return;
    const plan = { ...this.kept.plan, cards: { ...this.kept.plan.cards, shown: card.card } };
    try {
      const { revision } = await ask<PlanSaved>('POST', `/api/classes/${this.id()}/plan`, { revision: this.kept.revision, plan });
      this.kept = { revision, plan };
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
  }
}

/** The schools of the lesson that stands last in the teacher's list: new lessons take after it, too. */
async function settingsTaughtBy(): Promise<LessonSettings> {
  const readable = (await ask<LessonSummary[]>('GET', '/api/lessons')).filter(({ facts }) => facts !== null);
  const last = readable.at(-1);
  return last ? (await ask<LessonDetail>('GET', `/api/lessons/${last.id}`)).lesson.settings : DEFAULT_SETTINGS;
}

/** What is due today as a lesson of one beat; null where nothing is. */
function cardLesson(plan: ClassPlan, settings: LessonSettings): Lesson | null {
  const due = cardsDue(plan, dayOf(Date.now()));
  if (!due || !plan.cards) return null;
  const { pattern } = plan.cards;
  return {
    format: 'zeitpunkt-lesson',
    formatVersion: 3,
    title: 'Daily card',
    goal: '',
    successCriteria: [],
    targetMinutes: 1,
    settings,
    items: [],
    beats: [{ id: 'cards', kind: 'daily-card', pattern, ...due, text: '' }],
  };
}
