import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, effect, inject, input, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { isRightVerdict } from '@zeitpunkt/core';
import type { MarkedResponse } from '@zeitpunkt/contract';
import { counts } from '../../shared/late';
import { TeacherFrame } from '../frame/teacher-frame';
import { misconceptionNames, VERDICT_WORDS } from '../../shared/verdict-words';
import { HeldIdeas } from './held-ideas';
import { ResponseCard } from './response-card';
import type { ReviewQuestion } from './review-table';
import { SessionLog } from './session-log';
import { ReviewStore } from './review-store';

/** A taught lesson: questions by pupils, with verdict and misconception; every cell opens the answer it came from. */
@Component({
  selector: 'zp-review',
  imports: [DatePipe, HeldIdeas, MatButton, ResponseCard, RouterLink, SessionLog, TeacherFrame],
  providers: [ReviewStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './review.html',
  styleUrl: './review.scss',
})
export class Review {
  readonly id = input.required<string>();
  protected readonly store = inject(ReviewStore);
  protected readonly verdicts = VERDICT_WORDS;
  protected readonly namesOf = misconceptionNames;
  protected readonly counts = counts;

  /** A cell whose answer no idea explains: right, or what was given instead. */
  protected inShort({ mark, response }: MarkedResponse, question: ReviewQuestion): string {
    const { verdict } = mark;
    return isRightVerdict(verdict) ? VERDICT_WORDS[verdict].words : question.textOf(response);
  }

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.store.load(id));
    });
  }
}
