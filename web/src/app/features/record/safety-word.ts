import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Safety } from './take-keeper';

/** Where what was said is safe, in a few words. */
@Component({
  selector: 'zp-safety',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'status', '[class.problem]': 'isInDanger()' },
  template: '{{ word() }}',
  styles: ':host { color: var(--soft); font-size: 0.92rem; } :host(.problem) { color: var(--wrong); }',
})
export class SafetyWord {
  readonly safety = input.required<Safety>();
  /** Takes that are being made ready just now. */
  readonly finishing = input.required<number>();
  /** Whether there is any take. */
  readonly any = input.required<boolean>();
  /** Neither this device nor the server keeps what is said. */
  protected readonly isInDanger = computed(() => {
    const { waiting, deviceKeeps, lineLost, problem } = this.safety();
    return problem !== null || (waiting > 0 && !deviceKeeps && lineLost);
  });
  protected readonly word = computed(() => {
    const { waiting, deviceKeeps, lineLost, problem } = this.safety();
    if (problem !== null) return problem;
    if (waiting === 0 && this.finishing() === 0) return this.any() ? 'All takes are saved' : '';
    if (waiting === 0) return 'Saving …';
    const takes = waiting === 1 ? 'one take' : `${waiting} takes`;
    if (!lineLost) return deviceKeeps ? 'Saving …' : 'Saving … (this device is full: the server keeps what you say)';
    if (!deviceKeeps) return `The server cannot be reached and this device is full: do not close this page, ${takes} would be lost.`;
    return `The server cannot be reached: ${takes} kept on this device, sent later.`;
  });
}
