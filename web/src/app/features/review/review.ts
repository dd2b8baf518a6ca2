import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { SessionDetail } from '@zeitpunkt/contract';
import { AnswersList } from '../../shared/insight/answers-list';
import { TeacherFrame } from '../frame/teacher-frame';
import { AnswerGrid } from './answer-grid';
import { HeldIdeas } from './held-ideas';
import { QuestionCard } from './question-card';
import { ResponseCard } from './response-card';
import { ReviewStore, type Opened } from './review-store';
import { SessionLog } from './session-log';

/** A taught lesson: what stood out, questions by pupils, and every answer with what may be done about it. */
@Component({
  selector: 'zp-review',
  imports: [AnswerGrid, AnswersList, DatePipe, HeldIdeas, MatButton, QuestionCard, ResponseCard, RouterLink, SessionLog, TeacherFrame],
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
