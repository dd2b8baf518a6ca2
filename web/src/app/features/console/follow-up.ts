import { computed, DestroyRef, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { Store } from '@ngrx/store';
import { RUNGS, rungIdOf } from '@zeitpunkt/core/ladder/registry';
import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { kindOf, type Item } from '@zeitpunkt/core/question-kinds/registry';
import { v4 as uuid } from 'uuid';
import { designInWorker, type Designing } from '../../shared/diagnosis/designing';
import { liveFeature } from '../../state/live';
import { wallGroups } from './wall-groups';

/** From so many questions one is chosen: enough for any idea of a rung, and ready within a second. */
const POOL = 400;
/** Beside the ideas of the class's commonest wrong answer each usual idea of the rung weighs so much: the question tells them apart. */
const USUAL_WEIGHT = 0.2;

/** A question that was made for what most of the class got wrong. */
export interface MadeFor {
  readonly item: Item;
  /** What the wall calls it: the group that it is made for. */
  readonly title: string;
}

/**
 * The follow-up to the question on the stage, aimed at the commonest idea behind its wrong answers. It is chosen as soon as
 * the question is closed, so that it is ready when the teacher wants it.
 */
@Injectable()
export class FollowUp {
  private readonly store = inject(Store);
  private readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  private readonly asking = this.store.selectSignal(liveFeature.selectAsking);
  private readonly made = signal<(MadeFor & { readonly wish: string }) | null>(null);
  private designing: Designing | null = null;

  /** What it is to be made for; null while the question is open, or where no wrong answer shows an idea. */
  private readonly aim = computed(() => {
    const [detail, asking] = [this.detail(), this.asking()];
    if (!detail || !asking || asking.phase === 'open') return null;
    const commonest = wallGroups(detail, asking).find(({ tone }) => tone === 'idea');
    return commonest
      ? { wish: `${asking.id} ${commonest.id}`, ideas: commonest.id.split(' ') as MisconceptionId[], title: commonest.title }
      : null;
  });
  private readonly wish = computed(() => this.aim()?.wish ?? null);
  /** The question once it is chosen; null until then. */
  readonly ready = computed((): MadeFor | null => {
    const made = this.made();
    return made && made.wish === this.wish() ? made : null;
  });
  readonly isComing = computed(() => this.wish() !== null && this.ready() === null);

  constructor() {
    effect(() => {
      this.wish();
      untracked(() => this.choose());
    });
    inject(DestroyRef).onDestroy(() => this.designing?.stop());
  }

  private choose(): void {
    this.designing?.stop();
    const [aim, detail, asking] = [this.aim(), this.detail(), this.asking()];
    if (!aim || !detail || !asking || this.ready()) return;
    const { lesson, live } = detail;
    const asked = [...lesson.items, ...live.room.run.askings.map(({ item }) => item)];
    const rung = lesson.rung ?? rungIdOf(kindOf(asking.item).timesOf(asking.item));
    const others = RUNGS[rung].misconceptions.filter((id) => !aim.ideas.includes(id)).map((id) => ({ id, weight: USUAL_WEIGHT }));
    const ideas = [...aim.ideas.map((id) => ({ id, weight: 1 })), ...others].slice(0, 10);
    const seed = Math.floor(Math.random() * 2 ** 32);
    this.designing = designInWorker({ wish: { count: 1, ideas }, rung, settings: lesson.settings, asked, seed, poolSize: POOL });
    this.designing.done.then(
      ({ items: [item] }) => {
        if (item) this.made.set({ item: { ...item, id: `more-${uuid().slice(0, 8)}` }, title: aim.title, wish: aim.wish });
      },
      () => undefined, // no follow-up is offered then; "another like it" always is
    );
  }
}
