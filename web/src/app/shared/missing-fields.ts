import type { AbstractControl } from '@angular/forms';

/** Says beside each field of a form what is wrong there, and goes to the first of them. */
export function showWhatIsMissing(form: AbstractControl, host: HTMLElement): void {
  form.markAllAsTouched();
  host.querySelector<HTMLElement>('input.ng-invalid, textarea.ng-invalid')?.focus();
}
