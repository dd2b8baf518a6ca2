import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import type { SessionDetail } from '@zeitpunkt/contract';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { AnswersList } from '../../shared/insight/answers-list';
import { pairOfAnswer } from '@zeitpunkt/core/misconceptions/idea-pair';
import { clockOf, longDay } from '../../shared/words/days';
import { Icon } from '../../ui/icons/icon';
import { IdeaPair } from '../../ui/parts/idea-pair';
import { Place } from '../../ui/parts/place';
import { Failing, Loading } from '../../ui/parts/states';
import { AnswerGrid } from './answer-grid';
import { DraftNext } from './draft-next';
import { HeldIdeas } from './held-ideas';
import { QuestionCard } from './question-card';
import { ResponseCard } from './response-card';
import { ReviewStore, type Opened } from './review-store';
import { SessionLog } from './session-log';
import { REVIEW_WORDS } from './words';

/** So many sentences are said first; whatever else stood out is told by the answers. */
const SENTENCES = 3;

/** A taught lesson: what stood out, questions by pupils, and every answer with what may be done about it. */
@Component({
  selector: 'zp-review',
  imports: [
    AnswerGrid,
    AnswersList,
    DraftNext,
    Failing,
    HeldIdeas,
    Icon,
    IdeaPair,
    Loading,
    MatButton,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    Place,
    QuestionCard,
    ResponseCard,
    RouterLink,
    SessionLog,
  ],
  providers: [ReviewStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './review.html',
  styleUrl: './review.scss',
})
export class Review {
  readonly id = input.required<string>();
  /** With `asking`: the answer that is opened at once. */
  readonly pupil = input<string>();
  readonly asking = input<string>();
  protected readonly store = inject(ReviewStore);
  protected readonly words = REVIEW_WORDS;
  protected readonly help = computed(() => ({ place: this.words().place, sentence: this.words().help.sentence }));
  protected readonly about = computed(() => {
    const [detail, table, words] = [this.store.detail(), this.store.table(), this.words()];
    if (!detail || !table) return null;
    const here = words.here(table.rows.length, detail.pupils.length);
    const about = words.about(detail.className, `${longDay(dayOf(detail.createdAtMs))}, ${clockOf(detail.createdAtMs)}`, here);
    return [about, detail.live.room.phase !== 'ended' && words.running, detail.simulated && words.simulated].filter(Boolean).join(' · ');
  });
  /** What stood out, each with the dials of the first of its answers that was read from one or set on one. */
  protected readonly stoodOut = computed(() => {
    const items = new Map(this.store.detail()?.live.room.run.askings.map(({ id, item }) => [id, item]));
    return this.store
      .stoodOut()
      .slice(0, SENTENCES)
      .map((one) => {
        const pairs = one.answers.map(({ askingId, response }) => {
          const item = items.get(askingId);
          return item ? pairOfAnswer(item, response) : null;
        });
        return { ...one, pair: pairs.find((pair) => pair !== null) ?? null };
      });
  });

  private openedFrom: Element | null = null;
  private readonly isThere = computed(() => this.store.detail()?.id === this.id());

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.store.load(id));
    });
    effect(() => {
      const [isThere, pupilId, askingId] = [this.isThere(), this.pupil(), this.asking()];
      if (isThere && pupilId && askingId) untracked(() => this.store.open({ kind: 'cell', pupilId, askingId }));
    });
  }

  /** Opens something to look at closely; when it is closed, the focus is back where it was opened from. */
  protected open(opened: Opened): void {
    if (this.store.opened() === null) this.openedFrom = document.activeElement;
    this.store.open(opened);
  }

  protected close(): void {
    this.store.open(null);
    if (this.openedFrom instanceof HTMLElement) this.openedFrom.focus();
  }

  protected fileOf({ classId, id }: SessionDetail, ending: string): string {
    return `/api/classes/${classId}/results.${ending}?session=${id}`;
  }
}
