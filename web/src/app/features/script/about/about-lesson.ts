import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { explain } from '@zeitpunkt/core/stage/explain';
import { LessonStore } from '../lesson-store';
import { SCRIPT_WORDS } from '../words';
import { SCHOOLS } from './schools';

/** What a lesson says of itself and which school it follows: everything that is made for it, and every mark, obeys that. */
@Component({
  selector: 'zp-about-lesson',
  imports: [
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatInput,
    MatLabel,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './about-lesson.html',
  styleUrl: './about-lesson.scss',
})
export class AboutLesson {
  protected readonly store = inject(LessonStore);
  private readonly all = SCRIPT_WORDS;
  protected readonly words = computed(() => this.all().aboutLesson);
  protected readonly lesson = computed(() => this.store.lesson()!);
  protected readonly choices = computed(() => {
    const { schools } = this.words();
    return (Object.keys(SCHOOLS) as (keyof LessonSettings)[]).map((key) => ({
      key,
      label: schools[key].label,
      options: SCHOOLS[key].map((value) => ({ value, text: schools[key].values[String(value)] ?? String(value) })),
    }));
  });
  /** How a time is explained in this school: the one that beginners find hardest. */
  protected readonly example = computed(() => explain(secondOfDay(12, 40), this.lesson().settings).map(({ beat }) => beat.text));
  protected readonly criteriaLines = computed(() => this.lesson().successCriteria.join('\n'));
}
