import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { dayOf, dayWords, misconceptionOf, RUNG_IDS, RUNGS, type IdeaFinding, type MasteryPoint, type RungId } from '@zeitpunkt/core';
import { ideaWords, notAskedFor, worthSaying } from '../../shared/diagnosis/sureness-words';
import { intervalWords, MASTERY_WORDS } from '../../shared/insight/mastery-words';
import { Chart, type ChartOf } from '../../ui/chart';
import { Confirm } from '../../ui/confirm';
import { ClassReviewStore } from './class-review-store';
import { weeksChart } from './weeks-chart';

/** A pupil over the weeks: what they can do, what they hold, every figure with the answers it comes from, and remarks. */
@Component({
  selector: 'zp-look-pupil',
  imports: [Chart, Confirm, DatePipe, MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './look-pupil.html',
  styleUrl: './look-pupil.scss',
})
export class LookPupil {
  readonly pupilId = input.required<string>();
  protected readonly store = inject(ClassReviewStore);
  protected readonly words = MASTERY_WORDS;
  protected readonly intervalWords = intervalWords;
  protected readonly ideaWords = ideaWords;
  protected readonly notAskedFor = notAskedFor;
  protected readonly withIntervals = signal(false);
  protected readonly weeks = signal<readonly MasteryPoint[]>([]);
  protected readonly pupils = computed(() => this.store.insight()!.picture.pupils);
  protected readonly pupil = computed(() => this.pupils().find(({ id }) => id === this.pupilId()) ?? null);
  protected readonly beside = computed(() => {
    const place = this.pupils().findIndex(({ id }) => id === this.pupilId());
    return { before: this.pupils()[place - 1] ?? null, after: this.pupils()[place + 1] ?? null };
  });
  protected readonly rungs = computed(() =>
    RUNG_IDS.flatMap((id) => {
      const mastery = this.pupil()?.mastery[id];
      return mastery ? [{ id, name: RUNGS[id].name, mastery }] : [];
    }),
  );
  protected readonly ideas = computed(() => {
    const pupil = this.pupil();
    return pupil ? worthSaying(pupil.diagnosis).map((finding) => ({ finding, idea: misconceptionOf(finding.id) })) : [];
  });
  protected readonly comments = computed(() => this.store.notes().comments.filter(({ pupilId }) => pupilId === this.pupilId()));
  protected readonly group = computed(() =>
    this.store.groups()?.groups.find(({ pupils }) => pupils.some(({ id }) => id === this.pupilId())),
  );
  protected readonly chart = computed((): ChartOf => weeksChart(this.weeks()));

  constructor() {
    effect(() => {
      const id = this.pupilId();
      untracked(() => void this.look(id));
    });
  }

  private async look(id: string): Promise<void> {
    this.weeks.set([]);
    const weeks = await this.store.weeks(id).catch(() => []);
    if (id === this.pupilId()) this.weeks.set(weeks);
  }

  protected namesOf(ideas: MasteryPoint['ideas']): string {
    return ideas.map((id) => misconceptionOf(id).name).join(', ');
  }

  /** The answers on a rung, as many as there were at a moment. */
  protected open(rung: RungId, untilMs?: number): void {
    const when = untilMs === undefined ? '' : `, up to ${dayWords(dayOf(untilMs))}`;
    const filter = { pupilId: this.pupilId(), rung, ...(untilMs !== undefined && { untilMs }) };
    void this.store.show(`${this.pupil()!.name}, ${RUNGS[rung].name.toLowerCase()}${when}`, filter);
  }

  protected openLesson({ sessionId, atMs }: MasteryPoint): void {
    void this.store.show(`${this.pupil()!.name} on ${dayWords(dayOf(atMs))}`, { pupilId: this.pupilId(), sessionId });
  }

  protected openIdea({ id, evidence, unlike }: IdeaFinding, shows: boolean): void {
    const what = `${this.pupil()!.name}: ${misconceptionOf(id).name.toLowerCase()}`;
    void this.store.show(shows ? what : `${what}, where it could have shown`, { ids: shows ? evidence : [...evidence, ...unlike] });
  }

  protected async remark(event: Event, field: HTMLTextAreaElement): Promise<void> {
    event.preventDefault();
    if (field.value.trim() === '') return field.focus();
    if (await this.store.comment(this.pupilId(), field.value.trim())) field.value = '';
  }
}
