import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import {
  criteriaOf,
  describeStage,
  lengthText,
  MATERIALS,
  narrationAt,
  prepareLesson,
  RUNGS,
  stageAt,
  stageScene,
  tongueOf,
  rungOfLesson,
} from '@zeitpunkt/core';
import { SceneView } from '../../ui/scene-view';
import { rowsOf } from './column/beat-rows';
import { LessonStore } from './lesson-store';

/** The script on paper: each beat with a small picture of the stage, what is said, how long it takes, and the notes. */
@Component({
  selector: 'zp-print-script',
  imports: [MatButton, RouterLink, SceneView],
  providers: [LessonStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './print-script.html',
  styleUrl: './print-script.scss',
})
export class PrintScript {
  readonly id = input.required<string>();
  protected readonly store = inject(LessonStore);
  protected readonly clock = lengthText;
  protected readonly about = computed(() => {
    const lesson = this.store.lesson();
    if (!lesson) return null;
    const rung = RUNGS[rungOfLesson(lesson)];
    const tongue = tongueOf(lesson.settings);
    return {
      criteria: lesson.successCriteria.length > 0 ? lesson.successCriteria : criteriaOf(rung, lesson.settings),
      materials: rung.materials.map((id) => ({ thing: MATERIALS[id].thing[tongue], otherwise: MATERIALS[id].otherwise[tongue] })),
    };
  });
  protected readonly beats = computed(() => {
    const lesson = this.store.lesson();
    if (!lesson) return [];
    const prepared = prepareLesson(lesson);
    return rowsOf(prepared, []).map((row) => {
      const stage = stageAt(prepared, row.steps.at(-1)!.ref, Infinity);
      return {
        ...row,
        scene: stageScene({ ...stage, countdown: null }),
        label: describeStage(stage),
        said: row.steps.map(({ ref }) => narrationAt(prepared, ref)).filter(Boolean),
      };
    });
  });

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.store.load(id));
    });
  }

  protected print(): void {
    window.print();
  }
}
