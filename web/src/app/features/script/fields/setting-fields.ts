import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatOption, MatSelect } from '@angular/material/select';
import { LayerPicture } from '../../../ui/parts/layer-picture';
import type { BeatField } from './beat-field';
import { SCRIPT_WORDS } from '../words';
import { layerPressed, layerStates } from './layers-field';
import { FIELD_WORDS } from './words';

/** The fields of a beat or of a question, each with what stands in it and what cannot be kept of what was written there. */
@Component({
  selector: 'zp-setting-fields',
  imports: [LayerPicture, MatCheckbox, MatFormField, MatInput, MatLabel, MatOption, MatSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './setting-fields.html',
  styleUrl: './setting-fields.scss',
})
export class SettingFields {
  readonly fields = input.required<readonly { readonly field: BeatField; readonly value: string }[]>();
  readonly problems = input.required<Readonly<Record<string, string>>>();
  readonly written = output<{ readonly field: BeatField; readonly text: string }>();
  protected readonly words = SCRIPT_WORDS;
  protected readonly fieldWords = FIELD_WORDS;
  protected readonly layerStates = layerStates;
  protected readonly layerPressed = layerPressed;
}
