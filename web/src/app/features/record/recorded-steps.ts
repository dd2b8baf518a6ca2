import { computed, inject, Injectable } from '@angular/core';
import { nameInLesson } from '@zeitpunkt/core/lesson/beat-words';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { sameStep } from '@zeitpunkt/core/lesson/step-ref';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import { paceOfTakes } from '@zeitpunkt/core/voice/take-times';
import { voicedSteps } from '@zeitpunkt/core/voice/takes-of';
import { anewWith } from '../../shared/anew-with';
import { LessonStore } from '../script/gives';
import { RecordStore } from './record-store';
import type { TakeRow } from './take-list';

/** The steps of the lesson with what is recorded of each, and the one at hand. */
@Injectable()
export class RecordedSteps {
  private readonly lessons = inject(LessonStore);
  private readonly store = inject(RecordStore);

  readonly prepared = computed(() => {
    const lesson = this.lessons.lesson();
    return lesson && prepareLesson(lesson);
  });
  readonly all = computed(() => {
    const prepared = this.prepared();
    return prepared ? voicedSteps(prepared, this.store.takes()) : [];
  });
  /** The step at hand, by its place among these. */
  readonly place = anewWith(
    () => this.lessons.at()?.id,
    () => 0,
  );
  readonly here = computed(() => this.all()[this.place()] ?? null);
  readonly isLast = computed(() => this.place() >= this.all().length - 1);
  readonly rows = computed((): TakeRow[] => {
    const lesson = this.lessons.lesson();
    return this.all().map(({ step, words, take, stale }, index) => ({
      id: `${step.ref.beatId}/${step.ref.step}`,
      number: step.stepsOfBeat > 1 ? `${step.beatIndex + 1}.${step.stepInBeat + 1}` : String(step.beatIndex + 1),
      name: step.stepsOfBeat > 1 && step.stepInBeat > 0 ? '' : nameInLesson(lesson!.beats[step.beatIndex]!, lesson!),
      words,
      took: take && lengthText(take.durationMs),
      stale,
      index,
    }));
  });
  readonly taken = computed(() => this.all().filter(({ take, stale }) => take !== null && !stale).length);
  readonly stale = computed(() => this.all().filter(({ stale }) => stale).length);
  readonly notTaken = computed(() => this.all().filter(({ take }) => take === null).length);
  /** What is said after the step at hand. */
  readonly nextWords = computed(() => this.all()[this.place() + 1]?.words ?? '');
  readonly tookMs = computed(() => this.all().reduce((sum, { take }) => sum + (take?.durationMs ?? 0), 0));
  /** How fast the teacher speaks, where that is not what the lesson is planned with; words a minute. */
  readonly pace = computed(() => {
    const prepared = this.prepared();
    const pace = prepared && paceOfTakes(prepared, this.store.takes());
    return pace && pace !== prepared.lesson.settings.wordsPerMinute ? pace : null;
  });
  /** Whether the step at hand has a take that fits it as it is now. */
  readonly isRecorded = computed(() => {
    const here = this.here();
    return Boolean(here?.take) && !here!.stale;
  });
  /** Whether a take before the latest is kept of the step at hand. */
  readonly beforeHere = computed(() => {
    const at = this.here()?.step.ref;
    return at !== undefined && (this.store.detail()?.before ?? []).some((before) => sameStep(before, at));
  });
  /** Takes of steps that the script does not have any more: undoing the change brings them back, until they are deleted. */
  readonly ofNoStep = computed(() => {
    const prepared = this.prepared();
    if (!prepared) return [];
    return this.store.takes().filter(({ at }) => !prepared.steps.some(({ ref }) => sameStep(ref, at)));
  });
  readonly generated = computed(() => this.store.takes().some(({ generated }) => generated));
}
