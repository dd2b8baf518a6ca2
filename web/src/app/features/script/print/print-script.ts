import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { Router, RouterLink } from '@angular/router';
import { criteriaOf } from '@zeitpunkt/core/ladder/criteria';
import { MATERIALS } from '@zeitpunkt/core/ladder/materials';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { rungOfLesson } from '@zeitpunkt/core/lesson/rung-of-lesson';
import { describeStage } from '@zeitpunkt/core/scene/describe-stage';
import { stageScene } from '@zeitpunkt/core/scene/stage-scene';
import { narrationAt, stageAt } from '@zeitpunkt/core/stage/player';
import { tongueOf } from '@zeitpunkt/core/talk/registry';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import { phasesOf } from '@zeitpunkt/core/lesson/phases';
import { RIM_WORDS } from '../../../shared/rim/words';
import { Icon } from '../../../ui/icons/icon';
import { Failing, Loading } from '../../../ui/parts/states';
import { SceneView } from '../../../ui/scene-view';
import { BeatPictureView } from '../column/beat-picture';
import { rowsOf } from '../column/beat-rows';
import { LessonStore } from '../lesson-store';
import { PRINT_WORDS } from './words';

/**
 * The script on paper, in its parts: each beat with its picture, what is said, how long it takes, and the notes. Short, twenty
 * minutes fit on two pages, to have at hand while teaching; long, each beat has the stage as pupils see it.
 */
@Component({
  selector: 'zp-print-script',
  imports: [BeatPictureView, Failing, Icon, Loading, MatButton, MatButtonToggle, MatButtonToggleGroup, RouterLink, SceneView],
  providers: [LessonStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './print-script.html',
  styleUrl: './print-script.scss',
})
export class PrintScript {
  readonly id = input.required<string>();
  /** `long` for the stages; stands in the address. */
  readonly how = input<string>();
  protected readonly isLong = computed(() => this.how() === 'long');
  protected readonly store = inject(LessonStore);
  private readonly router = inject(Router);
  protected readonly words = PRINT_WORDS;
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
  protected readonly parts = computed(() => {
    const lesson = this.store.lesson();
    if (!lesson) return [];
    const prepared = prepareLesson(lesson);
    const isLong = this.isLong();
    const beats = rowsOf(prepared, []).map((row) => {
      const stage = isLong ? stageAt(prepared, row.steps.at(-1)!.ref, Infinity) : null;
      return {
        ...row,
        scene: stage && stageScene({ ...stage, countdown: null }),
        label: stage ? describeStage(stage) : '',
        said: row.steps.map(({ ref }) => narrationAt(prepared, ref)).filter(Boolean),
      };
    });
    const names = RIM_WORDS().phase;
    return phasesOf(prepared).map(({ id, from, to }) => ({ from, name: names[id], beats: beats.slice(from, to) }));
  });

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.store.load(id));
    });
  }

  protected show(how: 'short' | 'long'): void {
    void this.router.navigate([], { queryParams: { how: how === 'long' ? how : null }, replaceUrl: true });
  }

  protected print(): void {
    window.print();
  }
}
