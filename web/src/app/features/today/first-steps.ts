import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Icon } from '../../ui/icons/icon';
import { Router, RouterLink } from '@angular/router';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { Course } from '../../shared/course/course';
import { SmallDial } from '../../ui/parts/small-dial';
import { TODAY_WORDS } from './words';

/** A school at its beginning: pupils, cards, the first lesson; one press each, and what can be looked at before. */
@Component({
  selector: 'zp-first-steps',
  imports: [MatButton, Icon, RouterLink, SmallDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './first-steps.html',
  styleUrl: './first-steps.scss',
})
export class FirstSteps {
  protected readonly course = inject(Course);
  private readonly router = inject(Router);
  protected readonly words = TODAY_WORDS;
  protected readonly classId = this.course.current.id;
  protected readonly hours = [4, 7, 12].map((hour) => secondOfDay(hour % 12, 0));
  protected readonly tenPastTen = secondOfDay(10, 10);
  protected readonly lines = Array.from({ length: 12 });
  protected readonly toRehearse = computed(() => this.course.shelf.ready().find(({ facts }) => facts !== null) ?? null);

  /** The class is made when it is needed: whoever has none yet is not asked for it first. */
  protected async toPupils(how: 'list' | 'type'): Promise<void> {
    const id = this.classId() ?? (await this.course.current.add(this.words().noClass));
    if (id) await this.router.navigate(['/classes', id, 'pupils'], { queryParams: { add: how } });
  }
}
