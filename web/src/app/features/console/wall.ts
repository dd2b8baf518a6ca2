import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { SessionDetail } from '@zeitpunkt/contract';
import { kindOf, type Asking } from '@zeitpunkt/core';
import { ResponseView } from '../../question-views/response-view';
import { lateWords } from '../../shared/late';
import type { RoomAct } from '../../state/live';
import { LineLost } from '../../ui/line-lost';
import { wallGroups } from './wall-groups';

/** So many cards stand in a row beside the title of their group, and so many rows are one screen of 800 pixels. */
const CARDS_BESIDE_TITLE = 6;
const MOST_ROWS = 6;

/** Every pupil's answer as it comes, on one screen: who is still thinking, what was given, and after the reveal what explains it. */
@Component({
  selector: 'zp-wall',
  imports: [LineLost, ResponseView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wall.html',
  styleUrl: './wall.scss',
})
export class Wall {
  readonly detail = input.required<SessionDetail>();
  /** The question on the stage. */
  readonly asking = input.required<Asking>();
  readonly act = output<RoomAct>();

  protected readonly lateWords = lateWords;
  protected readonly inRoom = computed(() => this.detail().live.participants.filter(({ waits }) => !waits).length);
  /** The question as pupils see it: responses are shown beside it. */
  protected readonly view = computed(() => {
    const { item } = this.asking();
    return kindOf(item).viewOf(item, this.detail().lesson.settings);
  });
  protected readonly groups = computed(() => wallGroups(this.detail(), this.asking()));
  protected readonly answeredCount = computed(
    () =>
      this.groups()
        .filter(({ tone }) => tone !== 'late')
        .flatMap(({ pupils }) => pupils)
        .filter(({ response }) => response).length,
  );
  /** Whether each group can have rows of its own on one screen; a full class is one flow of cards. */
  protected readonly roomy = computed(() => {
    const rows = this.groups().reduce((sum, { pupils }) => sum + Math.ceil(pupils.length / CARDS_BESIDE_TITLE), 0);
    return rows <= MOST_ROWS;
  });
  /** Most frequent first among the ideas: what the class would gain most from. */
  protected readonly hint = computed(() => this.groups().find(({ tone }) => tone === 'idea')?.hint ?? null);
}
