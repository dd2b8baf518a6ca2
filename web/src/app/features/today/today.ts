import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Icon } from '../../ui/icons/icon';
import { Router, RouterLink } from '@angular/router';
import { Course, COURSE } from '../../shared/course/course';
import { inSlices } from '../../shared/in-slices';
import { longDay } from '../../shared/words/days';
import { Place } from '../../ui/parts/place';
import { Failing, Loading } from '../../ui/parts/states';
import { ClockNotice } from './clock-notice';
import { FirstSteps } from './first-steps';
import { NextLesson } from './next-lesson';
import { RunningBand } from './running-band';
import { StoodOut } from './stood-out';
import { SuggestionPart } from './suggestion-part';
import { ThisWeek } from './this-week';
import { TodaysCard } from './todays-card';
import { TODAY_WORDS } from './words';

/** What to do now: what runs, the next lesson, today’s card, the week, what stood out last time, and one suggestion. */
@Component({
  selector: 'zp-today',
  imports: [
    ClockNotice,
    Failing,
    FirstSteps,
    Loading,
    MatButton,
    Icon,
    NextLesson,
    Place,
    RouterLink,
    RunningBand,
    StoodOut,
    SuggestionPart,
    ThisWeek,
    TodaysCard,
  ],
  providers: COURSE,
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './today.html',
  styleUrl: './today.scss',
})
export class Today {
  protected readonly course = inject(Course);
  private readonly router = inject(Router);
  protected readonly words = TODAY_WORDS;
  protected readonly help = computed(() => ({ place: this.words().title, ...this.words().help }));
  /** What is looked at first is drawn first, the rest with the next frames. */
  protected readonly drawn = inSlices(() => (this.course.isThere() ? 5 : 0), 1);
  /** A school at its beginning: nobody is in the class and nothing was taught. */
  protected readonly isFirst = computed(() => (this.course.current.now()?.pupilCount ?? 0) === 0 && this.course.taught().length === 0);
  protected readonly heading = computed(() =>
    this.course.isThere() && this.isFirst() ? this.words().first.heading : longDay(this.course.today()),
  );

  protected async rehearse(lessonId: string): Promise<void> {
    await this.router.navigate(['/lessons', lessonId, 'rehearse']);
  }
}
