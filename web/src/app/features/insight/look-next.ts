import { CdkDropListGroup } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import type { FollowUp, Group, GroupKey } from '@zeitpunkt/core/insight/groups';
import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { planOn } from '@zeitpunkt/core/series/series';
import { anewWith } from '../../shared/anew-with';
import { longDay } from '../../shared/words/days';
import { ideaName } from '@zeitpunkt/core/misconceptions/idea-words';
import { movesInWords } from '../../shared/plan/moves-in-words';
import { ClassReviewStore } from './class-review-store';
import { GroupCard } from './group-card';
import { groupTitle } from './group-title';
import { INSIGHT_WORDS } from './words';

/** Groups for the next lesson, each with its reason, its next move and its questions; and those to look at first. */
@Component({
  selector: 'zp-look-next',
  imports: [
    CdkDropListGroup,
    GroupCard,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatFormField,
    MatLabel,
    MatOption,
    MatSelect,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './look-next.html',
  styleUrl: './look-next.scss',
})
export class LookNext {
  protected readonly store = inject(ClassReviewStore);
  private readonly router = inject(Router);
  private readonly catalogue = INSIGHT_WORDS;
  protected readonly words = computed(() => this.catalogue().next);
  protected readonly dayWords = longDay;
  protected readonly ideaName = (id: MisconceptionId): string => ideaName(id);
  private readonly firstDay = computed(() => this.store.days()[0] ?? null);
  /** The day of the lesson: the first that is free, until another is chosen. */
  protected readonly date = anewWith(this.firstDay, this.firstDay);
  protected readonly how = signal<'beside' | 'instead'>('beside');
  /** What a lesson in the class's place would move. */
  protected readonly moves = computed(() => {
    const [plan, date] = [this.store.plan(), this.date()];
    if (!plan || !date || this.how() === 'beside') return '';
    return movesInWords(plan, planOn(plan, 'new', date, dayOf(Date.now())), () => null);
  });
  protected readonly groups = computed(() => this.store.groups()?.groups ?? []);
  /** Answers that changed abruptly, or equal a neighbour's, with the names. */
  protected readonly unusual = computed(() => {
    const { pupils, unusual } = this.store.insight()!.picture;
    const nameOf = (id: string) => pupils.find((one) => one.id === id)?.name ?? '';
    return unusual.map((one) => ({
      key: `${one.why} ${one.pupilId} ${one.sessionId} ${one.why === 'alike' ? one.withId : ''}`,
      id: one.pupilId,
      name: nameOf(one.pupilId),
      words: one.why === 'changed' ? this.words().changed(one.before, one.after) : this.words().alike(one.same, nameOf(one.withId)),
    }));
  });
  /** Where a pupil can be put: any group that there is. */
  protected readonly places = computed(() =>
    this.groups().map((group): { key: GroupKey; name: string } => ({ key: group.key, name: groupTitle(group) })),
  );

  protected move({ id, key }: { readonly id: string; readonly key: string | null }): void {
    void this.store.move(id, this.groups().find((group) => group.key === key)?.key ?? null);
  }

  constructor() {
    effect(() => {
      if (this.groups().length > 0) untracked(() => void this.store.designAll());
    });
  }

  /** A short lesson for those of one idea, and then the place where it is given to them at their own pace. */
  protected async followUp(one: FollowUp): Promise<void> {
    const id = await this.store.draftFollowUp(one);
    if (!id) return;
    const to = one.pupils.map((pupil) => pupil.id).join(',');
    await this.router.navigate(['/lessons', id, 'give'], { queryParams: { of: this.store.insight()!.classId, to } });
  }

  protected async draft(group: Group): Promise<void> {
    const id = await this.store.draft(group, this.date(), this.how());
    if (id) await this.router.navigate(['/lessons', id]);
  }
}
