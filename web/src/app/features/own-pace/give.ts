import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import type { ClassDetail, ClassPupil, ClassSummary, LessonDetail, OwnPaceDetail, RecordingDetail } from '@zeitpunkt/contract';
import { dayOf, daysOn, prepareLesson } from '@zeitpunkt/core';
import { voicedSteps } from '@zeitpunkt/core/voice/takes-of';
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from '../../shared/api';
import { TeacherFrame } from '../frame/teacher-frame';

/** A lesson is given for so many days where nothing else is said. */
const USUAL_DAYS = 7;

/** Gives a lesson out to be done at one's own pace: to whom, between which days, and how they come in. */
@Component({
  selector: 'zp-give',
  imports: [MatButton, RouterLink, TeacherFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-teacher-frame>
      @if (lesson(); as detail) {
        <h1>Give “{{ detail.lesson.title }}” at own pace</h1>
        <p class="facts">
          Each pupil follows the stage, reads or hears what you would say, answers, and learns the reason at once; they stop and come back
          when they like.
        </p>
        @if (problem(); as problem) {
          <p class="problem" role="alert">{{ problem }}</p>
        }
        <form (submit)="give($event)">
          <label
            >Class
            <select #chosenClass class="field" (change)="chooseClass(chosenClass.value)">
              @for (one of classes(); track one.id) {
                <option [value]="one.id" [selected]="one.id === classId()">{{ one.name }}, {{ one.pupilCount }} pupils</option>
              }
            </select>
          </label>
          <fieldset>
            <legend>To whom</legend>
            <label
              ><input type="radio" name="whom" [checked]="toAll()" (change)="toAll.set(true)" /> the whole class, and whoever comes into
              it</label
            >
            <label><input type="radio" name="whom" [checked]="!toAll()" (change)="toAll.set(false)" /> these pupils:</label>
            @if (!toAll()) {
              <ul>
                @for (pupil of pupils(); track pupil.id) {
                  <li>
                    <label
                      ><input #one type="checkbox" [checked]="chosen().has(pupil.id)" (change)="choose(pupil.id, one.checked)" />
                      {{ pupil.name }}</label
                    >
                  </li>
                }
              </ul>
            }
          </fieldset>
          <div class="days">
            <label
              >First day <input #first type="date" class="field" [value]="firstDay()" (change)="firstDay.set(first.value)" required
            /></label>
            <label
              >Last day
              <input #last type="date" class="field" [value]="lastDay()" [min]="today" (change)="lastDay.set(last.value)" required
            /></label>
          </div>
          <fieldset>
            <legend>How they come in</legend>
            <label><input type="radio" name="way" [checked]="!byKey()" (change)="byKey.set(false)" /> by join card alone</label>
            <label
              ><input type="radio" name="way" [checked]="byKey()" (change)="byKey.set(true)" /> by join card or by six pictures and their
              name</label
            >
            @if (byKey()) {
              <p class="facts">Whoever has the six pictures can come in under any name that has not begun yet; cards are safer.</p>
            }
            @if (!byKey() && withoutCard()) {
              <p class="facts">
                {{ withoutCard() }} of them {{ withoutCard() === 1 ? 'has' : 'have' }} no join card yet.
                <a [routerLink]="['/classes', classId(), 'cards']">Make join cards</a>
              </p>
            }
          </fieldset>
          <fieldset>
            <legend>Voice</legend>
            @if (recorded() > 0) {
              <label
                ><input #speaks type="checkbox" [checked]="voice()" (change)="voice.set(speaks.checked)" /> your recorded voice leads
                through the lesson</label
              >
              <p class="facts">
                {{ recorded() }} of {{ spoken() }} steps are recorded as they are now; the others are read.
                <a [routerLink]="['/lessons', id(), 'record']">Record more</a>
              </p>
            } @else {
              <p class="facts">
                Nothing is recorded for this lesson: pupils read what you would say, or have it read to them.
                <a [routerLink]="['/lessons', id(), 'record']">Record your voice</a>
              </p>
            }
          </fieldset>
          <div class="choice">
            <button mat-flat-button class="next" type="submit" [disabled]="busy() || whom().length === 0">
              Give it to {{ whom().length }} {{ whom().length === 1 ? 'pupil' : 'pupils' }}
            </button>
            <a mat-button routerLink="/lessons">Not now</a>
          </div>
        </form>
      } @else {
        <p role="status">{{ problem() ?? 'Fetching the lesson …' }}</p>
      }
    </zp-teacher-frame>
  `,
  styles: `
    @use '../../../styles/options' as *;

    form {
      display: grid;
      gap: 1rem;
      max-width: 42rem;
      margin-top: 1rem;
    }
    fieldset {
      @include options;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
      margin: 0;
      padding: 0 0 0 1.5rem;
      list-style: none;
    }
    .days,
    .choice {
      display: flex;
      flex-wrap: wrap;
      gap: 1rem;
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
