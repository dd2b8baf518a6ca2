import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatExpansionPanel, MatExpansionPanelHeader } from '@angular/material/expansion';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import type { Group, GroupKey } from '@zeitpunkt/core/insight/groups';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import { kindOf, textOfResponse } from '@zeitpunkt/core/question-kinds/registry';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { ideaPair } from '@zeitpunkt/core/misconceptions/idea-pair';
import { ideaName } from '@zeitpunkt/core/misconceptions/idea-words';
import { Chips, type Chip } from '../../ui/parts/chips';
import { IdeaPair } from '../../ui/parts/idea-pair';
import { SmallDial } from '../../ui/parts/small-dial';
import { setWords } from '../../shared/diagnosis/set-words';
import type { GroupSet } from './class-review-store';
import { groupTitle, ideaOfGroup } from './group-title';
import { INSIGHT_WORDS } from './words';

const COUNTS = [4, 5, 6, 7, 8];

/** A group for the next lesson: who, why, what to do, which questions, and the lesson drafted at a press. */
@Component({
  selector: 'zp-group-card',
  imports: [
    Chips,
    IdeaPair,
    MatButton,
    MatExpansionPanel,
    MatExpansionPanelHeader,
    MatFormField,
    MatLabel,
    MatOption,
    MatSelect,
    SmallDial,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './group-card.html',
  styleUrl: './group-card.scss',
})
export class GroupCard {
  readonly group = input.required<Group>();
  readonly others = input.required<readonly { readonly key: GroupKey; readonly name: string }[]>();
  readonly set = input.required<GroupSet | undefined>();
  readonly settings = input.required<LessonSettings>();
  readonly busy = input.required<boolean>();
  /** The day of the lesson, as it is read; null where none can be chosen. */
  readonly on = input.required<string | null>();
  readonly moved = output<{ readonly id: string; readonly key: string | null }>();
  readonly designed = output<number>();
  readonly drafted = output();
  protected readonly chips = computed((): readonly Chip[] =>
    this.group().pupils.map(({ id, name, moved }) => ({ id, name, moved, link: ['../pupils', id] })),
  );
  protected readonly counts = COUNTS;
  private readonly catalogue = INSIGHT_WORDS;
  protected readonly words = computed(() => this.catalogue().group);
  protected readonly title = computed(() => groupTitle(this.group()));
  protected readonly pair = computed(() => {
    const idea = ideaOfGroup(this.group());
    return idea && ideaPair(idea, this.group().rung, this.settings());
  });
  /** Two of the times that a group without an idea works on. */
  protected readonly dials = computed(() => {
    const minutes = RUNGS[this.group().rung].newMinutes;
    return [2, 8].map((hour, place) => gearedPose(secondOfDay(hour, minutes[place % minutes.length] ?? 0)));
  });
  /** Names of the further ideas that it works on. */
  protected readonly also = computed(() =>
    this.group()
      .also.map((id) => ideaName(id))
      .join('; '),
  );
  protected readonly rungName = computed(() => RUNGS[this.group().rung].name);
  protected readonly percent = computed(() => Math.round(100 * (this.set()?.progress ?? 0)));
  protected readonly told = computed(() => {
    const set = this.set()?.set;
    return set ? setWords(set).slice(0, 2) : [];
  });
  protected readonly rows = computed(() =>
    (this.set()?.set?.items ?? []).map((item) => {
      const kind = kindOf(item);
      const key = textOfResponse(item, kind.keyOf(item, this.settings()), this.settings());
      return { stem: kind.viewOf(item, this.settings()).stem, key };
    }),
  );
}
