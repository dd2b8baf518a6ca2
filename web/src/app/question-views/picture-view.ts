import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type Picture, dialOfPicture } from '@zeitpunkt/core/question-kinds/picture';
import type { Scene } from '@zeitpunkt/core/scene/scene-node';
import { bandKindOf } from '@zeitpunkt/core/scene/bands/registry';
import { describeDial } from '@zeitpunkt/core/scene/describe-stage';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { heldUpright } from '../ui/held-upright';
import { SceneView } from '../ui/scene-view';
import { deskTongue } from '../shared/words/spoken';

/** What a question shows beside its stem: a dial, a display, lines of words, a line of time. */
@Component({
  selector: 'zp-question-picture',
  imports: [SceneView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (dial(); as dial) {
      <zp-scene class="dial fills" [scene]="dial.scene" [label]="dial.label" />
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
      display: flex;
      flex-direction: column;
      gap: 8px;
      align-items: center;
      justify-content: center;
    }
    /* A dial as large as the room that is left. */
    .dial {
      flex: 1 0 0;
      width: 100%;
      min-height: 5.25rem;
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
  `,
})
export class PictureView {
  readonly picture = input.required<Picture>();

  private readonly tall = heldUpright();

  protected readonly dial = computed(() => {
    const { dial } = this.picture();
    if (!dial) return null;
    const state = dialOfPicture(dial);
    return { scene: dialScene(state), label: describeDial(state, deskTongue()) };
  });
  protected readonly band = computed(() => {
    const { band } = this.picture();
    return band && { scene: bandScene(band, this.tall()), label: bandKindOf(band).describe(band, deskTongue()) };
  });
}

/** What stands left and right of a band in such a scene. */
export const BAND_MARGIN = 60;

/** A band as a scene of its own; on a narrow screen it is drawn shorter, so that its numbers can be read. */
export function bandScene(band: NonNullable<Picture['band']>, isNarrow: boolean): Scene {
  const [width, height] = [isNarrow ? 640 : 1000, 230];
  return {
    width,
    height,
    nodes: bandKindOf(band).nodes(band, { x: BAND_MARGIN, y: 10, width: width - 2 * BAND_MARGIN, height: height - 60 }, 'band'),
  };
}
