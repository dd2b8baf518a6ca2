import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import { Course, COURSE, SHORT_LESSON_MIN } from '../../shared/course/course';
import { Icon } from '../../ui/icons/icon';
import { REVIEW_WORDS } from './words';

/** Drafts the lesson that comes next for the class, by how this and the others went, and opens its script. */
@Component({
  selector: 'zp-draft-next',
  imports: [Icon, MatButton],
  providers: COURSE,
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (course.isThere()) {
      <button
        mat-flat-button
        class="next main-press"
        type="button"
        [title]="course.afterLast().why"
        [disabled]="course.shelf.adding()"
        (click)="draft()"
      >
        <mat-icon svgIcon="arrow-forward" />
        {{ course.shelf.adding() ? words().drafting : words().draft }}
        <span class="note">{{ note() }}</span>
      </button>
    }
  `,
  styles: `
    .note {
      display: block;
      font-size: 14px;
      font-weight: 400;
      line-height: 18px;
    }
  `,
})
export class DraftNext {
  protected readonly course = inject(Course);
  private readonly router = inject(Router);
  protected readonly words = REVIEW_WORDS;
  protected readonly note = computed(() => this.words().draftNote(RUNGS[this.course.afterLast().rung].name, SHORT_LESSON_MIN));

  protected async draft(): Promise<void> {
    const classId = this.course.current.id();
    const wish = { rung: this.course.afterLast().rung, minutes: SHORT_LESSON_MIN, delivery: 'live' as const };
    const id = await this.course.shelf.draft({ ...wish, ...(classId !== null && { classId }) });
    if (id !== null) await this.router.navigate(['/lessons', id]);
  }
}
