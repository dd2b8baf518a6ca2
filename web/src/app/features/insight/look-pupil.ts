import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import { MatTableModule } from '@angular/material/table';
import { RouterLink } from '@angular/router';
import type { IdeaFinding } from '@zeitpunkt/core/diagnosis/diagnose';
import type { MasteryPoint } from '@zeitpunkt/core/insight/insight-book';
import { RUNG_IDS, RUNGS, type RungId } from '@zeitpunkt/core/ladder/registry';
import { misconceptionOf } from '@zeitpunkt/core/misconceptions/registry';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { ideaPair } from '@zeitpunkt/core/misconceptions/idea-pair';
import { ideaName } from '@zeitpunkt/core/misconceptions/idea-words';
import { dayAndMonth, longDay } from '../../shared/words/days';
import { ideaWords, notAskedFor, worthSaying } from '../../shared/diagnosis/sureness-words';
import { intervalWords, MASTERY_WORDS } from '../../shared/insight/mastery-words';
import { Chart, type ChartOf } from '../../ui/chart';
import { Icon } from '../../ui/icons/icon';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { IdeaPair } from '../../ui/parts/idea-pair';
import { SmallDial } from '../../ui/parts/small-dial';
import { ClassReviewStore } from './class-review-store';
import { weeksChart } from './weeks-chart';
import { groupTitle } from './group-title';
import { INSIGHT_WORDS } from './words';

/** A pupil over the weeks: what they can do, what they hold, every figure with the answers it comes from, and remarks. */
@Component({
  selector: 'zp-look-pupil',
  imports: [Chart, Icon, IdeaPair, MatButton, MatFormField, MatInput, MatLabel, MatSlideToggle, MatTableModule, RouterLink, SmallDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './look-pupil.html',
  styleUrl: './look-pupil.scss',
})
export class LookPupil {
  readonly pupilId = input.required<string>();
  protected readonly store = inject(ClassReviewStore);
  private readonly askFirst = inject(AskFirst);
  private readonly catalogue = INSIGHT_WORDS;
  protected readonly words = computed(() => this.catalogue().pupil);
  protected readonly mastery = MASTERY_WORDS;
  protected readonly day = (ms: number) => dayAndMonth(dayOf(ms));
  protected readonly intervalWords = intervalWords;
  protected readonly groupTitle = groupTitle;
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
      const [minute] = RUNGS[id].newMinutes;
      const dial = minute === undefined ? null : gearedPose(secondOfDay(2, minute));
      return mastery ? [{ id, name: RUNGS[id].name, mastery, dial }] : [];
    }),
  );
  protected readonly ideas = computed(() => {
    const pupil = this.pupil();
    return pupil
      ? worthSaying(pupil.diagnosis).map((finding) => ({ finding, idea: misconceptionOf(finding.id), pair: this.pairOf(finding) }))
      : [];
  });
  protected readonly comments = computed(() => this.store.notes().comments.filter(({ pupilId }) => pupilId === this.pupilId()));
  protected readonly group = computed(() =>
    this.store.groups()?.groups.find(({ pupils }) => pupils.some(({ id }) => id === this.pupilId())),
  );
  protected readonly columns = computed(() => ['after', ...this.rungs().map(({ id }) => id), 'held']);
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
    return ideas.map((id) => ideaName(id)).join(', ');
  }

  /** An example of an idea on the rungs that this pupil has come to, the latest first. */
  private pairOf({ id }: IdeaFinding) {
    const { settings } = this.store.insight()!;
    return (
      this.rungs()
        .map((rung) => ideaPair(id, rung.id, settings))
        .findLast((pair) => pair !== null) ?? null
    );
  }

  /** How a pupil stood on a rung at a moment, in words. */
  protected at({ rungs }: MasteryPoint, rung: RungId): string | null {
    const word = rungs.find((one) => one.rung === rung)?.mastery.word;
    if (!word) return null;
    return word === 'too-few' ? this.catalogue().map.tooFew : this.mastery()[word].words;
  }

  /** The answers on a rung, as many as there were at a moment. */
  protected open(rung: RungId, untilMs?: number): void {
    const when = untilMs === undefined ? '' : this.words().upTo(longDay(dayOf(untilMs)));
    const filter = { pupilId: this.pupilId(), rung, ...(untilMs !== undefined && { untilMs }) };
    void this.store.show(this.words().rung(this.pupil()!.name, RUNGS[rung].name.toLowerCase()) + when, filter);
  }

  protected openLesson({ sessionId, atMs }: MasteryPoint): void {
    void this.store.show(this.words().on(this.pupil()!.name, longDay(dayOf(atMs))), { pupilId: this.pupilId(), sessionId });
  }

  protected openIdea({ id, evidence, unlike }: IdeaFinding, shows: boolean): void {
    const what = this.words().of(this.pupil()!.name, ideaName(id).toLowerCase());
    void this.store.show(shows ? what : this.words().couldHave(what), { ids: shows ? evidence : [...evidence, ...unlike] });
  }

  protected async deleteRemark(id: string): Promise<void> {
    if (await this.askFirst.ask(this.words().deleting)) void this.store.deleteComment(this.pupilId(), id);
  }

  protected async remark(event: Event, field: HTMLTextAreaElement): Promise<void> {
    event.preventDefault();
    if (field.value.trim() === '') return field.focus();
    if (await this.store.comment(this.pupilId(), field.value.trim())) field.value = '';
  }
}
