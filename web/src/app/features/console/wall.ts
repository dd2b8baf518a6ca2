import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { SessionDetail } from '@zeitpunkt/contract';
import { kindOf, type Asking } from '@zeitpunkt/core';
import { ResponseView } from '../../question-views/response-view';
import { wallGroups } from './wall-groups';

/** Every pupil's answer as it comes: who is still thinking, what was given, and after the reveal what explains it. */
@Component({
  selector: 'zp-wall',
  imports: [MatButton, ResponseView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wall.html',
  styleUrl: './wall.scss',
})
export class Wall {
  readonly detail = input.required<SessionDetail>();
  /** The question on the stage; null where nothing is asked. */
  readonly asking = input.required<Asking | null>();
  readonly release = output<string>();

  protected readonly participants = computed(() => this.detail().live.participants);
  protected readonly missing = computed(() => {
    const here = new Set(this.participants().map((one) => one.pupilId));
    return this.detail()
      .pupils.filter((pupil) => !here.has(pupil.id))
      .map((pupil) => pupil.name)
      .join(', ');
  });
  /** The question as pupils see it: responses are shown beside it. */
  protected readonly view = computed(() => {
    const item = this.asking()?.item;
    return item ? kindOf(item).viewOf(item, this.detail().lesson.settings) : null;
  });
  protected readonly groups = computed(() => {
    const asking = this.asking();
    return asking ? wallGroups(this.detail(), asking) : [];
  });
  protected readonly answeredCount = computed(() =>
    this.groups().reduce((sum, group) => sum + group.pupils.filter((one) => one.response).length, 0),
  );
}
