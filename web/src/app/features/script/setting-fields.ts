import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { BeatField } from './beat-field';
import { layerPressed, layerStates } from './layers-field';

/** The fields of a beat or of a question, each with what stands in it and what cannot be kept of what was written there. */
@Component({
  selector: 'zp-setting-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './setting-fields.html',
  styleUrl: './beat-settings.scss',
})
export class SettingFields {
  readonly fields = input.required<readonly { readonly field: BeatField; readonly value: string }[]>();
  readonly problems = input.required<Readonly<Record<string, string>>>();
  readonly written = output<{ readonly field: BeatField; readonly text: string }>();
  protected readonly layerStates = layerStates;
  protected readonly layerPressed = layerPressed;
}
