import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Picture, Scene } from '@zeitpunkt/core';
import { bandKindOf } from '@zeitpunkt/core/scene/bands/registry';
import { describeDial } from '@zeitpunkt/core/scene/describe-stage';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { dialOfPicture } from '@zeitpunkt/core/question-kinds/picture';
import { heldUpright } from '../ui/held-upright';
import { SceneView } from '../ui/scene-view';

/** What a question shows beside its stem: a dial, a display, lines of words, a line of time. */
@Component({
  selector: 'zp-question-picture',
  imports: [SceneView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (dial(); as dial) {
      <zp-scene class="dial" [scene]="dial.scene" [label]="dial.label" />
    }
    @if (picture().display; as display) {
      <p class="display">{{ display.hour ?? '__' }}{{ display.separator }}{{ display.minute ?? '__' }}</p>
    }
    @for (line of picture().lines; track $index) {
      <p class="line" [class.sentence]="line.length > 28">{{ line }}</p>
    }
    @if (band(); as band) {
      <zp-scene class="band" [scene]="band.scene" [label]="band.label" />
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
      align-content: center;
      justify-items: center;
      width: 100%;
    }
    /* A dial as large as the screen leaves room for. Every height twice: an old tablet does not know dvh. */
    .dial {
      width: min(100%, calc(100vh - 14rem));
      width: min(100%, calc(100dvh - 14rem));
      max-width: 34rem;
    }
    .display {
      padding: 0.1em 0.5em;
      border: 3px solid var(--ink);
      border-radius: 8px;
      background: var(--face);
      font-weight: 700;
      font-size: clamp(2.4rem, 9vw, 4.5rem);
      font-variant-numeric: tabular-nums;
    }
    .line {
      text-align: center;
      font-weight: 700;
      font-size: clamp(1.4rem, 5vw, 2.4rem);
    }
    .line.sentence {
      font-weight: 400;
      font-size: 1.15rem;
    }
    .band {
      width: 100%;
    }
    p {
      margin: 0;
    }
    @media (max-width: 720px) {
      .dial {
        width: min(72vw, calc(100vh - 27rem));
        width: min(72vw, calc(100dvh - 27rem));
        min-width: min(11rem, 80vw);
      }
    }
  `,
})
export class PictureView {
  readonly picture = input.required<Picture>();

  private readonly tall = heldUpright();

  protected readonly dial = computed(() => {
    const { dial } = this.picture();
    if (!dial) return null;
    const state = dialOfPicture(dial);
    return { scene: dialScene(state), label: describeDial(state) };
  });
  protected readonly band = computed(() => {
    const { band } = this.picture();
    return band && { scene: bandScene(band, this.tall()), label: bandKindOf(band).describe(band) };
  });
}

/** A band as a scene of its own; on a narrow screen it is drawn shorter, so that its numbers can be read. */
export function bandScene(band: NonNullable<Picture['band']>, isNarrow: boolean): Scene {
  const [width, height] = [isNarrow ? 640 : 1000, 230];
  return { width, height, nodes: bandKindOf(band).nodes(band, { x: 60, y: 10, width: width - 120, height: height - 60 }, 'band') };
}
