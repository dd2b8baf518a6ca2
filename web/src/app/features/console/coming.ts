import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { nameOfKind } from '@zeitpunkt/core/beats/registry';
import { nameInLesson } from '@zeitpunkt/core/lesson/beat-words';
import { stepIndex, type PreparedLesson, type Step } from '@zeitpunkt/core/lesson/prepare';
import type { Run } from '@zeitpunkt/core/run/run';
import { stageOfRun } from '@zeitpunkt/core/run/run-stage';
import { describeStage } from '@zeitpunkt/core/scene/describe-stage';
import { stageScene } from '@zeitpunkt/core/scene/stage-scene';
import { narrationAt } from '@zeitpunkt/core/stage/player';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import { SceneView } from '../../ui/scene-view';
import { CONSOLE_WORDS } from './words';

/** A step in a few words: what kind of beat, and where in one of several steps. */
export function nameOfStep({ kind, stepInBeat, stepsOfBeat }: Step): string {
  return stepsOfBeat > 1 ? `${nameOfKind(kind)}, ${stepInBeat + 1} of ${stepsOfBeat}` : nameOfKind(kind);
}

/** A step by what it shows, where a beat begins: "Ask: set a dial, 4:45". */
export const aboutStep = (step: Step, { lesson }: PreparedLesson): string =>
  step.stepInBeat === 0 ? nameInLesson(lesson.beats[step.beatIndex]!, lesson) : nameOfStep(step);

/** So many beats after the next step are shown, too. */
const AFTER = 3;

/** What comes: the picture and the first words of the next step, and smaller those of the beats after it. */
@Component({
  selector: 'zp-coming',
  imports: [SceneView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (next(); as next) {
      <h2>{{ words().heading }}</h2>
      <ol>
        <li class="next">
          <zp-scene class="picture" [scene]="next.scene" [label]="next.label" />
          <p>
            <strong>{{ next.name }}</strong><br />{{ next.words }}
          </p>
          <span class="facts">{{ next.length }}</span>
        </li>
        @for (one of after(); track one.key) {
          <li>
            <zp-scene class="picture" [scene]="one.scene" [label]="one.label" />
            <p>
              <strong>{{ one.name }}</strong><br />{{ one.words }}
            </p>
            <span class="facts">{{ one.length }}</span>
          </li>
        }
      </ol>
    } @else {
      <p class="facts">{{ words().last }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.6rem;
      width: 100%;
    }
    h2 {
      font-size: 18px;
    }
    ol {
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 132px minmax(0, 1fr) auto;
      gap: 16px;
      align-items: start;
      padding: 10px 0;
      border-top: 1px solid var(--line);
    }
    .next {
      grid-template-columns: 208px minmax(0, 1fr) auto;
    }
    .picture {
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--sheet);
      aspect-ratio: 16 / 9;
    }
    li:not(.next) p {
      display: -webkit-box;
      overflow: hidden;
      color: var(--soft);
      -webkit-box-orient: vertical;
      -webkit-line-clamp: 3;
    }
    strong {
      color: var(--ink);
    }
    p {
      margin: 0;
    }
    @media (max-width: 600px) {
      li,
      .next {
        grid-template-columns: 96px minmax(0, 1fr);
      }
      .facts {
        display: none;
      }
    }
  `,
})
export class Coming {
  readonly prepared = input.required<PreparedLesson>();
  readonly run = input.required<Run>();
  private readonly catalogue = CONSOLE_WORDS;
  protected readonly words = computed(() => this.catalogue().coming);
  private readonly index = computed(() => stepIndex(this.prepared(), this.run().at));

  protected readonly next = computed(() => {
    const step = this.prepared().steps[this.index() + 1];
    return step
      ? { ...this.pictured(step, this.words().picture), name: aboutStep(step, this.prepared()), length: lengthText(step.durationMs) }
      : null;
  });
  /** The beats after the next step's, each once however many steps it has. */
  protected readonly after = computed(() => {
    const { steps } = this.prepared();
    const next = steps[this.index() + 1];
    const firsts = steps.slice(this.index() + 2).filter((step) => step.stepInBeat === 0 && step.beatIndex !== next?.beatIndex);
    return firsts.slice(0, AFTER).map((step) => ({
      key: step.ref.beatId,
      ...this.pictured(step, this.words().after),
      name: aboutStep(step, this.prepared()),
      length: lengthText(steps.reduce((sum, one) => sum + (one.beatIndex === step.beatIndex ? one.durationMs : 0), 0)),
    }));
  });

  /** What is seen and said at a step that is to come. */
  private pictured({ ref }: Step, about: string) {
    const [prepared, run] = [this.prepared(), this.run()];
    const stage = stageOfRun(prepared, { ...run, at: ref, besideId: null }, Infinity);
    return { words: narrationAt(prepared, ref), scene: stageScene(stage, 'wide'), label: `${about} ${describeStage(stage)}` };
  }
}
