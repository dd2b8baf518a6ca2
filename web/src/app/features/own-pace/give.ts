import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio';
import { MatOption, MatSelect } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import type { ClassDetail, ClassPupil, ClassSummary, LessonDetail, OwnPaceDetail, RecordingDetail } from '@zeitpunkt/contract';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { dayOf, daysOn } from '@zeitpunkt/core/series/school-days';
import { voicedSteps } from '@zeitpunkt/core/voice/takes-of';
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from '../../shared/api';
import { DayField } from '../../ui/parts/day-field';
import { Place } from '../../ui/parts/place';
import { Failing, Loading } from '../../ui/parts/states';
import { OWN_PACE_WORDS } from './words';

/** A lesson is given for so many days where nothing else is said. */
const USUAL_DAYS = 7;

/** Gives a lesson out to be done at one's own pace: to whom, between which days, and how they come in. */
@Component({
  selector: 'zp-give',
  imports: [
    DayField,
    Failing,
    Loading,
    MatButton,
    MatCheckbox,
    MatFormField,
    MatLabel,
    MatOption,
    MatRadioButton,
    MatRadioGroup,
    MatSelect,
    Place,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './give.html',
  styles: `
    form {
      display: grid;
      gap: 24px;
      max-width: 720px;
    }
    section,
    mat-radio-group {
      display: grid;
      gap: 8px;
    }
    h2,
    p {
      margin: 0;
    }
    h2 {
      font-size: 18px;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
      margin: 0;
      padding: 0 0 0 32px;
      list-style: none;
    }
    .days {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
      gap: 16px;
    }
    .choice {
      display: flex;
      flex-wrap: wrap;
      gap: 12px;
    }
  `,
})
export class Give {
  /** The lesson. */
  readonly id = input.required<string>();
  /** The class to begin with, of the address. */
  readonly of = input<string>();
  /** Ids of the pupils that it is for, with commas between them, of the address; all of the class where absent. */
  readonly to = input<string>();
  private readonly router = inject(Router);
  private readonly catalogue = OWN_PACE_WORDS;
  protected readonly words = computed(() => this.catalogue().give);
  protected readonly days = computed(() => this.catalogue().days);
  protected readonly heading = computed(() => {
    const lesson = this.lesson();
    return lesson ? this.words().heading(lesson.lesson.title) : this.catalogue().place;
  });
  protected readonly loading = computed(() => this.catalogue().loading);
  private readonly startId = uuid();
  protected readonly today = dayOf(Date.now());
  protected readonly lesson = signal<LessonDetail | null>(null);
  protected readonly classes = signal<readonly ClassSummary[]>([]);
  protected readonly classId = signal<string | null>(null);
  protected readonly pupils = signal<readonly ClassPupil[]>([]);
  protected readonly toAll = signal(true);
  protected readonly chosen = signal<ReadonlySet<string>>(new Set());
  protected readonly firstDay = signal<string>(this.today);
  protected readonly lastDay = signal<string>(daysOn(this.today, USUAL_DAYS));
  protected readonly byKey = signal(false);
  protected readonly voice = signal(true);
  /** Steps at which something is said, and those of them that have a take which fits. */
  protected readonly spoken = signal(0);
  protected readonly recorded = signal(0);
  protected readonly busy = signal(false);
  protected readonly problem = signal<string | null>(null);
  protected readonly whom = computed(() => this.pupils().filter(({ id }) => this.toAll() || this.chosen().has(id)));
  protected readonly withoutCard = computed(() => this.whom().filter(({ cardAtMs }) => cardAtMs === null).length);

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.load(id));
    });
  }

  protected choose(id: string, isChosen: boolean): void {
    this.chosen.update((before) => new Set(isChosen ? [...before, id] : [...before].filter((one) => one !== id)));
  }

  protected async chooseClass(id: string): Promise<void> {
    this.classId.set(id);
    this.chosen.set(new Set());
    await this.attempt(async () => {
      const { pupils } = await ask<ClassDetail>('GET', `/api/classes/${id}`);
      this.pupils.set(pupils.filter(({ leftAtMs }) => leftAtMs === null));
    });
  }

  protected async give(event: Event): Promise<void> {
    event.preventDefault();
    this.busy.set(true);
    const whom = this.whom().map(({ id }) => id);
    await this.attempt(async () => {
      const { id } = await ask<OwnPaceDetail>('POST', '/api/own-pace', {
        id: this.startId,
        lessonId: this.id(),
        classId: this.classId(),
        pupilIds: this.toAll() ? null : whom,
        firstDay: this.firstDay(),
        lastDay: this.lastDay(),
        byKey: this.byKey(),
        voice: this.voice() && this.recorded() > 0,
      });
      await this.router.navigate(['/own-pace', id]);
    });
    this.busy.set(false);
  }

  private async load(id: string): Promise<void> {
    await this.attempt(async () => {
      const [lesson, classes, { takes }] = await Promise.all([
        ask<LessonDetail>('GET', `/api/lessons/${id}`),
        ask<ClassSummary[]>('GET', '/api/classes'),
        ask<RecordingDetail>('GET', `/api/lessons/${id}/recording`),
      ]);
      const steps = voicedSteps(prepareLesson(lesson.lesson), takes);
      this.spoken.set(steps.length);
      this.recorded.set(steps.filter(({ take, stale }) => take && !stale).length);
      this.lesson.set(lesson);
      this.classes.set(classes);
      const first = classes.find((one) => one.id === this.of()) ?? classes[0];
      if (!first) return;
      await this.chooseClass(first.id);
      const wanted = this.to()?.split(',') ?? [];
      const chosen = this.pupils().filter((one) => wanted.includes(one.id));
      if (chosen.length > 0) {
        this.chosen.set(new Set(chosen.map((one) => one.id)));
        this.toAll.set(false);
      }
    });
  }

  private async attempt(work: () => Promise<void>): Promise<void> {
    try {
      await work();
      this.problem.set(null);
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
  }
}
