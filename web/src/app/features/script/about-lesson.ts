import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { secondOfDay, type Lesson } from '@zeitpunkt/core';
import { explain } from '@zeitpunkt/core/lesson/explain';
import { Choice } from '../../ui/choice';
import { LessonStore } from './lesson-store';
import { SCHOOLS } from './schools';

/** What a lesson says of itself and which school it follows: everything that is made for it, and every mark, obeys that. */
@Component({
  selector: 'zp-about-lesson',
  imports: [Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './about-lesson.html',
  styleUrl: './about-lesson.scss',
})
export class AboutLesson {
  readonly lesson = input.required<Lesson>();
  protected readonly store = inject(LessonStore);
  protected readonly schools = SCHOOLS;
  /** How a time is explained in this school: the one that beginners find hardest. */
  protected readonly example = computed(() => explain(secondOfDay(12, 40), this.lesson().settings).map(({ beat }) => beat.text));
  protected readonly criteriaLines = computed(() => this.lesson().successCriteria.join('\n'));
}
