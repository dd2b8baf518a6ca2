import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import {
  describeStage,
  nameOfKind,
  narrationAt,
  stageOfRun,
  stageScene,
  stepIndex,
  type PreparedLesson,
  type Run,
  type Step,
} from '@zeitpunkt/core';
import { SceneView } from '../../ui/scene-view';

/** A step in a few words: what kind of beat, and where in one of several steps. */
export function nameOfStep({ kind, stepInBeat, stepsOfBeat }: Step): string {
  return stepsOfBeat > 1 ? `${nameOfKind(kind)}, ${stepInBeat + 1} of ${stepsOfBeat}` : nameOfKind(kind);
}

/** What comes: the picture and the first words of the next step, and the two beats after it. */
@Component({
  selector: 'zp-coming',
  imports: [SceneView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (next(); as next) {
      <h2>Coming next</h2>
      <div class="next">
        <zp-scene class="picture" [scene]="next.scene" [label]="next.label" />
        <p>
          <strong>{{ next.name }}</strong><br />{{ next.words }}
        </p>
      </div>
      @if (after().length) {
        <ol>
          @for (one of after(); track one.key) {
            <li>
              <strong>{{ one.name }}</strong> {{ one.words }}
            </li>
          }
        </ol>
      }
    } @else {
      <p class="facts">This is the last step of the lesson.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.6rem;
      width: 100%;
    }
    .next {
      display: grid;
      grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
      gap: 1rem;
      align-items: start;
    }
    .picture {
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--sheet);
      aspect-ratio: 16 / 9;
    }
    ol {
      display: grid;
      gap: 0.3rem;
      margin: 0;
      padding: 0.5rem 0 0;
      border-top: 1px solid var(--line);
      color: var(--soft);
      list-style: none;
    }
    li {
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
  `,
})
export class Coming {
  readonly prepared = input.required<PreparedLesson>();
  readonly run = input.required<Run>();
  private readonly index = computed(() => stepIndex(this.prepared(), this.run().at));

  protected readonly next = computed(() => {
    const prepared = this.prepared();
    const step = prepared.steps[this.index() + 1];
    if (!step) return null;
    const stage = stageOfRun(prepared, { ...this.run(), at: step.ref, besideId: null }, Infinity);
    return {
      name: nameOfStep(step),
      words: narrationAt(prepared, step.ref),
      scene: stageScene(stage, 'wide'),
      label: `The picture of the next step. ${describeStage(stage)}`,
    };
  });
  /** The two beats after the next step's, each once however many steps it has. */
  protected readonly after = computed(() => {
    const prepared = this.prepared();
    const next = prepared.steps[this.index() + 1];
    const firsts = prepared.steps.slice(this.index() + 2).filter((step) => step.stepInBeat === 0 && step.beat !== next?.beat);
    return firsts.slice(0, 2).map((step) => ({
      key: step.ref.beatId,
      name: nameOfStep(step).replace(/, 1 of \d+$/, ''),
      words: narrationAt(prepared, step.ref),
    }));
  });
}
