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

/** What comes: the picture and the first words of the next step, and smaller those of the two beats after it. */
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
              <zp-scene class="picture" [scene]="one.scene" [label]="one.label" />
              <p>
                <strong>{{ one.name }}</strong><br />{{ one.words }}
              </p>
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
      grid-template-columns: 1fr 1fr;
      gap: 1rem;
      margin: 0;
      padding: 0.6rem 0 0;
      border-top: 1px solid var(--line);
      color: var(--soft);
      list-style: none;
    }
    li {
      display: grid;
      gap: 0.3rem;
      align-content: start;
    }
    li p {
      display: -webkit-box;
      overflow: hidden;
      -webkit-box-orient: vertical;
      -webkit-line-clamp: 3;
    }
  `,
})
export class Coming {
  readonly prepared = input.required<PreparedLesson>();
  readonly run = input.required<Run>();
  private readonly index = computed(() => stepIndex(this.prepared(), this.run().at));

  protected readonly next = computed(() => {
    const step = this.prepared().steps[this.index() + 1];
    return step ? { ...this.pictured(step, 'The picture of the next step.'), name: nameOfStep(step) } : null;
  });
  /** The two beats after the next step's, each once however many steps it has. */
  protected readonly after = computed(() => {
    const { steps } = this.prepared();
    const next = steps[this.index() + 1];
    const firsts = steps.slice(this.index() + 2).filter((step) => step.stepInBeat === 0 && step.beatIndex !== next?.beatIndex);
    return firsts.slice(0, 2).map((step) => ({
      key: step.ref.beatId,
      ...this.pictured(step, 'A picture of what comes after it.'),
      name: nameOfStep(step).replace(/, 1 of \d+$/, ''),
    }));
  });

  /** What is seen and said at a step that is to come. */
  private pictured({ ref }: Step, about: string) {
    const [prepared, run] = [this.prepared(), this.run()];
    const stage = stageOfRun(prepared, { ...run, at: ref, besideId: null }, Infinity);
    return { words: narrationAt(prepared, ref), scene: stageScene(stage, 'wide'), label: `${about} ${describeStage(stage)}` };
  }
}
