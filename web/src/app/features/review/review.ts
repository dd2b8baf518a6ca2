import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, effect, inject, input, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { TeacherFrame } from '../frame/teacher-frame';
import { misconceptionNames, VERDICT_WORDS } from '../../shared/verdict-words';
import { ResponseCard } from './response-card';
import { ReviewStore } from './review-store';

/** A taught lesson: questions by pupils, with verdict and misconception; every cell opens the answer it came from. */
@Component({
  selector: 'zp-review',
  imports: [DatePipe, MatButton, ResponseCard, TeacherFrame],
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

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.store.load(id));
    });
  }
}
